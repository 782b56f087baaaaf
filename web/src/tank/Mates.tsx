import { Box } from '@chakra-ui/react';
import { PRODUCT_KINDS, type ProductInput } from '@steady-scatter/core/products';
import { systemOf, UNITS } from '@steady-scatter/core/quantities';
import type { MateUnit } from '@steady-scatter/core/fields';
import { goesInTank, type MateInput, type TankSheet } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/sheet';
import { useShelf } from '../kinds/useShelf.ts';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { Choice } from '../ui/Choice.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';

/** How much of a mate: on the ground, or in each volume of the mix. */
const UNITS_OF = {
  liquid: { us: ['fl oz/1000 ft2', 'qt/1000 ft2', 'gal/acre', 'fl oz/gal'], metric: ['L/ha', 'mL/100 m2', 'mL/L'] },
  dry: { us: ['lb/1000 ft2', 'oz/1000 ft2', 'lb/acre', 'oz/gal', 'lb/gal'], metric: ['kg/ha', 'g/m2', 'g/L'] },
} as const satisfies Record<string, Record<string, readonly MateUnit[]>>; // prettier-ignore

const unitsFor = ({ kind, package: pack }: ProductInput): readonly MateUnit[] =>
  UNITS_OF[PRODUCT_KINDS[kind].form][systemOf(pack.unit)];

function Mate({ mate, at, tank }: { mate: MateInput; at: number; tank: TankSheet }) {
  const form = useSheetForm();
  const { data: shelf = [] } = useShelf();
  const offered = shelf.filter(({ input }) => goesInTank(input.kind));
  const { mates } = useSheet().worksheet;
  const change = (more: Partial<MateInput>) => form.setValue('worksheet.mates', mates.with(at, { ...mate, ...more }), { shouldDirty: true }); // prettier-ignore
  const known = offered.find(({ input }) => input.name === mate.product.name);
  const units = unitsFor(mate.product);
  const stands = units.includes(mate.unit) ? units : [...units, mate.unit];
  return (
    <Box display="grid" gap="8px 12px" alignItems="end" gridTemplateColumns={{ base: '1fr 1fr 44px', md: 'minmax(0, 2fr) 110px 150px 44px' }} marginBottom="8px" data-noprint>
      <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
        <Choice
          label={say('sheet.tank.product', { number: at + 2 })}
          value={known?.id ?? ''}
          options={[{ id: '', label: mate.product.name || say('sheet.tank.choose') }, ...offered.map(({ id, input: { name } }) => ({ id, label: name }))]}
          onChange={(id) => {
            const product = offered.find((each) => each.id === id)?.input;
            if (product) change({ product, ...(unitsFor(product).includes(mate.unit) ? {} : { unit: unitsFor(product)[0]! }) });
          }}
        />
      </Box>
      <LabelledField label={say('sheet.tank.amount')} inputMode="decimal" value={mate.amount} error={tank.errors.find(({ field }) => field === `mates.${at}.amount`)} onChange={(amount) => change({ amount })} />
      <Choice<MateUnit> label={say('sheet.tank.unit')} value={mate.unit} options={stands.map((id) => ({ id, label: UNITS[id].symbol }))} onChange={(unit) => change({ unit })} />
      <DeleteButton act={say('sheet.tank.remove')} name={mate.product.name || say('sheet.tank.product', { number: at + 2 })} onDelete={() => form.setValue('worksheet.mates', mates.toSpliced(at, 1), { shouldDirty: true })} />
    </Box>
  );
} // prettier-ignore

/** What else goes into the tank. */
export const Mates = ({ tank }: { tank: TankSheet }) => (
  <>
    {useSheet().worksheet.mates.map((mate, index) => (
      <Mate key={mate.id} mate={mate} at={index} tank={tank} />
    ))}
  </>
);

import { Box, Button, IconButton } from '@chakra-ui/react';
import { evaluateScoop, scoopLine } from '@steady-scatter/core/loads';
import type { MassUnit } from '@steady-scatter/core/quantities';
import type { ProductInput } from '@steady-scatter/core/products';
import { Plus, X } from 'lucide-react';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';

const UNITS: readonly { id: MassUnit; label: string }[] = [
  { id: 'lb', label: 'lb' },
  { id: 'oz', label: 'oz' },
  { id: 'kg', label: 'kg' },
  { id: 'g', label: 'g' },
];

/** One's own scoop, weighed full of this product: amounts are then told in scoops too. */
export function ScoopCard({ input, errorAt, onChange }: DocFormProps<ProductInput>) {
  const { scoop } = input;
  const set = (more: Partial<typeof scoop>) => onChange({ ...input, scoop: { ...scoop, ...more } });
  const { reading } = evaluateScoop(scoop, 'scoop');
  // There is always one empty weighing to type into.
  const weighings = scoop.weighings.length === 0 ? [''] : scoop.weighings;
  return (
    <Section heading="My scoop of it, weighed">
      <Box
        display="grid"
        gap="14px"
        gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(auto-fill, minmax(170px, 1fr))' }}
        alignItems="start"
      >
        <LabelledField
          label="Which scoop"
          placeholder="red scoop, struck off"
          value={scoop.name}
          onChange={(name) => set({ name })}
        />
        <LabelledField
          label="Empty"
          placeholder="0.12"
          value={scoop.tare}
          error={errorAt('scoop.tare')}
          onChange={(tare) => set({ tare })}
        />
        {weighings.map((value, at) => (
          <LabelledField
            // oxlint-disable-next-line react/no-array-index-key -- weighings have no other identity
            key={at}
            label={weighings.length === 1 ? 'Full' : `Full, time ${at + 1}`}
            placeholder="1.05"
            value={value}
            error={errorAt(`scoop.weighings.${at}`)}
            onChange={(text) => set({ weighings: weighings.with(at, text) })}
            unit={
              weighings.length > 1 && (
                <IconButton
                  aria-label={`Remove weighing ${at + 1}`}
                  variant="ghost"
                  minHeight="44px"
                  onClick={() => set({ weighings: weighings.toSpliced(at, 1) })}
                >
                  <X size={18} />
                </IconButton>
              )
            }
          />
        ))}
        <Choice
          label="Weights are in"
          value={scoop.unit}
          options={UNITS}
          onChange={(unit) => set({ unit })}
        />
      </Box>
      <Button
        variant="ghost"
        marginLeft="-10px"
        minHeight="44px"
        onClick={() => set({ weighings: [...weighings, ''] })}
      >
        <Plus size={18} /> Weigh it once more
      </Button>
      {reading && <WorkingLine working={scoopLine(reading, scoop)} size="plain" />}
      {reading && reading.scatter === null && (
        <Box fontSize="15px" color="ink.soft">
          One weighing shows no scatter. Weigh two or three more to see how alike your scoops are.
        </Box>
      )}
    </Section>
  );
}

import { Box, Button } from '@chakra-ui/react';
import { blankProduct } from '@steady-scatter/core/products';
import { isUnitOf, showQuantity, systemOf, type UnitId } from '@steady-scatter/core/quantities';
import { dimensionOf, isSprayed } from '@steady-scatter/core/testing';
import { goesInTank, tankSheet, type TankSheet } from '@steady-scatter/core/worksheet';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/sheet';
import { calibrationContext, useMachineShelf } from '../bench/calibrationContext.ts';
import { useDoc } from '../documents/docs.ts';
import { CALIBRATIONS } from '../kinds/useCalibrations.ts';
import { useCharts } from '../machine/useCharts.ts';
import { useJobMachine } from '../machine/useJobMachine.ts';
import { Choice } from '../ui/Choice.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { Dissolving } from './Dissolving.tsx';
import { Mates } from './Mates.tsx';
import { MixingOrder } from './MixingOrder.tsx';
import { SpraySection } from './SpraySection.tsx';
import { TankTable } from './TankTable.tsx';

/** The chart of what sprays: the sheet’s own, or the one beside it where the sheet’s own is of granules. */
function useSprayer() {
  const { tank } = useSheet().worksheet;
  const own = useJobMachine();
  const { data: other } = useDoc(CALIBRATIONS, tank.calibration === '' ? null : tank.calibration);
  const shelf = useMachineShelf(other?.input.rig ?? '');
  if (!other) return own;
  return { chosen: other, on: calibrationContext(other.input, shelf, other.id) };
}

/** Which chart sprays, where that of the sheet is of granules. */
function SprayerChoice() {
  const form = useSheetForm();
  const { tank } = useSheet().worksheet;
  const { chosen } = useJobMachine();
  const { data: lines = [] } = useCharts();
  if (chosen && isSprayed(dimensionOf(chosen.input.target.unit))) return null;
  const sprayers = lines.filter(({ targetUnit }) => isUnitOf('volumePerArea', targetUnit));
  if (sprayers.length === 0) return null;
  return (
    <Box maxWidth="360px" marginTop="8px" data-noprint>
      <Choice
        label={say('sheet.tank.sprayer')}
        value={tank.calibration}
        options={[{ id: '', label: say('sheet.tank.noSprayer') }, ...sprayers.map(({ id, name }) => ({ id, label: name }))]}
        onChange={(id) => form.setValue('worksheet.tank.calibration', id, { shouldDirty: true })}
      />
    </Box>
  );
} // prettier-ignore

/** The tanks of this sheet, with what is known of the machine that it goes by. */
function useTank(): { tank: TankSheet; chart: string | null; volume: UnitId } {
  const { answer, worksheet } = useSheet();
  const { chosen, on } = useSprayer();
  const isSprayer = chosen !== undefined && isSprayed(dimensionOf(chosen.input.target.unit));
  const tankL = on?.bench.spray?.tankL ?? null;
  const chartLPerM2 = isSprayer ? (on?.reading.spray?.now?.mean.mean ?? null) : null;
  const tank = useMemo(() => tankSheet(worksheet, answer, { tankL, chartLPerM2 }), [worksheet, answer, tankL, chartLPerM2]); // prettier-ignore
  const volume: UnitId = systemOf(worksheet.carrier.unit) === 'us' ? 'gal' : 'L';
  return { tank, chart: isSprayer ? chosen.input.name : null, volume };
}

/** What the spray volume is, where it comes from, and whether the label allows it. */
function Volume({ tank, chart }: { tank: TankSheet; chart: string | null }) {
  const { carrier } = useSheet().worksheet;
  if (tank.mixLPerM2 === null) return <Box fontSize="17px">{say('sheet.tank.lacksVolume')}</Box>;
  const { number, unit } = showQuantity(tank.mixLPerM2, carrier.unit, 3);
  return (
    <>
      <Box fontSize="17px">
        {say('sheet.tank.volume', { volume: `${number} ${unit}`, from: tank.mixFrom, chart: chart ?? '' })}
      </Box>
      {tank.off && (
        <Box color="warn" fontWeight="semibold">
          {say('sheet.tank.outOfLabel', { side: tank.off })}
        </Box>
      )}
    </>
  );
}

/** What the tank is filled to, and how warm the water is. */
function Fields({ tank }: { tank: TankSheet }) {
  const form = useSheetForm();
  const input = useWatch({ control: form.control, name: 'worksheet.tank' });
  const errorAt = (field: string) => tank.errors.find((error) => error.field === field);
  const known = tank.tankL === null ? '' : showQuantity(tank.tankL, input.unit, 3).number.replace(/\.0+$/, '');
  const set = (name: 'size' | 'water') => (text: string) => form.setValue(`worksheet.tank.${name}`, text, { shouldDirty: true });
  return (
    <Box display="grid" gap="10px 14px" gridTemplateColumns="repeat(auto-fit, minmax(170px, 220px))" marginY="10px" data-noprint>
      <LabelledField label={say('sheet.tank.size')} placeholder={known} inputMode="decimal" unit={<BareUnit text={input.size} unit={input.unit} />} value={input.size} error={errorAt('tank.size')} onChange={set('size')} />
      <LabelledField label={say('sheet.tank.water')} placeholder={input.waterUnit === 'degF' ? '50' : '10'} inputMode="decimal" unit={<BareUnit text={input.water} unit={input.waterUnit} />} value={input.water} error={errorAt('tank.water')} onChange={set('water')} />
    </Box>
  );
} // prettier-ignore

/** What still keeps the tank from being worked out, in words. */
const lacksText = ({ lacks }: TankSheet): string => say('sheet.tank.lacks', { what: lacks[0] ?? 'none' });

/** The job in tanks: water and products for each full one and for the last, the order of mixing, what dissolves, what to do with the rest. */
export default function TankSection() {
  const { worksheet } = useSheet();
  const form = useSheetForm();
  const { tank, chart, volume } = useTank();
  const { product, mates } = worksheet;
  if (!goesInTank(product.kind) && mates.length === 0) return null;
  const add = () => {
    const system = systemOf(worksheet.carrier.unit);
    const mate = { id: newId(), product: blankProduct('liquid-fertilizer', system), amount: '', unit: system === 'us' ? ('fl oz/1000 ft2' as const) : ('L/ha' as const) }; // prettier-ignore
    form.setValue('worksheet.mates', [...mates, mate], { shouldDirty: true });
  };
  return (
    <>
    <SpraySection tank={tank} />
    <Section heading={say('sheet.tank.heading')}>
      <Volume tank={tank} chart={chart} />
      <SprayerChoice />
      <Fields tank={tank} />
      <Mates tank={tank} />
      <Button variant="ghost" minHeight="44px" marginLeft="-12px" data-noprint onClick={add}>
        <Plus size={18} /> {say('sheet.tank.addProduct')}
      </Button>
      <Box asChild fontSize="15px" textDecoration="underline" data-noprint>
        <Link to="/patch">{say('sheet.patch.fromTank')}</Link>
      </Box>
      {tank.plan ? (
        <>
          <TankTable plan={tank.plan} parts={tank.parts} volume={volume} />
          <Dissolving tank={tank} volume={volume} />
          <MixingOrder tank={tank} volume={volume} />
          <Box fontSize="16px" marginTop="10px">
            {say('sheet.tank.left')}
          </Box>
        </>
      ) : (
        tank.mixLPerM2 !== null && (
          <Box fontSize="17px">
            <FieldErrors error={tank.errors.find(({ field }) => field === 'carrier.amount')} input="" />
            {tank.errors.length === 0 && lacksText(tank)}
          </Box>
        )
      )}
    </Section>
    </>
  ); // prettier-ignore
}

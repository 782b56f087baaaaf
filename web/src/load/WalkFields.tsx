import { Box, Button } from '@chakra-ui/react';
import { LAST_PASS, HEADING_AIMS, WINDS } from '@steady-scatter/core/passes';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { UNITS } from '@steady-scatter/core/quantities';
import { USUAL } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/load';
import { useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { shownIn } from '../units/shownIn.ts';
import { AIM_NAMES, LAST_NAMES, SIDE_NAMES, WIND_NAMES } from './names.ts';
import { lengthText } from './texts.ts';
import { useLoadFields } from './useLoadFields.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
}

const TURN_DEG = 15;

/** Which way passes run: the best one, or one's own. */
function HeadingFields({ run, of }: Props) {
  const { input, set, areaOf, setArea } = useLoadFields();
  const index = input.areas.findIndex(({ id }) => id === run.id);
  const own = areaOf(run.id).heading;
  const headingDeg = Math.round(run.plan.headingDeg * 10) / 10;
  const error = of.load.errors.find(({ field }) => field === `areas.${index}.heading`);
  return (
    <StatedDefault
      name={say('load.direction')}
      text={say('load.direction.is', {
        heading: headingDeg,
        how: own.trim() === '' ? (input.headingAim === 'fewest' ? 'fewest' : 'off') : 'typed',
      })}
      isWrong={error !== undefined}
    >
      <Box display="flex" flexWrap="wrap" gap="8px" gridColumn="1 / -1">
        <Button
          minHeight="touch"
          onClick={() =>
            setArea(run.id, {
              heading: String((Math.round(headingDeg / TURN_DEG) * TURN_DEG + TURN_DEG) % 180),
            })
          }
        >
          {say('load.direction.turn')}
        </Button>
        {own.trim() !== '' && (
          <Button variant="ghost" minHeight="touch" onClick={() => setArea(run.id, { heading: '' })}>
            {say('load.direction.best')}
          </Button>
        )}
      </Box>
      <LabelledField
        label={say('load.direction.typed')}
        value={own}
        inputMode="decimal"
        placeholder={String(headingDeg)}
        error={error}
        onChange={(heading) => setArea(run.id, { heading })}
      />
      <Choice
        label={say('load.direction.aim')}
        value={input.headingAim}
        options={HEADING_AIMS.map((id) => ({ id, label: AIM_NAMES[id] }))}
        onChange={(aim) => set('headingAim', aim)}
      />
      <DirectionsField />
      <Choice
        label={say('load.last')}
        value={input.last}
        options={LAST_PASS.map((id) => ({ id, label: LAST_NAMES[id] }))}
        onChange={(last) => set('last', last)}
      />
    </StatedDefault>
  );
}

/** Over the ground once, or twice at right angles with half of it each: it is the sheet's own. */
function DirectionsField() {
  const form = useSheetForm();
  const directions = form.watch('worksheet.split.directions');
  return (
    <Choice
      label={say('load.times')}
      value={directions}
      options={[
        { id: 'one', label: say('load.times.one') },
        { id: 'two', label: say('load.times.two') },
      ]}
      onChange={(value) => form.setValue('worksheet.split.directions', value, { shouldDirty: true })}
    />
  );
}

/** Trims: how many, on which side the deflector is, how much lighter. */
function TrimFields({ of }: Pick<Props, 'of'>) {
  const { input, set } = useLoadFields();
  const { load, sheet } = of;
  const errorAt = (field: string) => load.errors.find((error) => error.field === field);
  const share = Math.round(load.trimShare * 1000) / 10;
  return (
    <StatedDefault
      name={say('load.trims')}
      text={say('load.trims.is', { trims: sheet.trims, side: SIDE_NAMES[input.edgeOn], share })}
      isWrong={errorAt('trims') !== undefined || errorAt('trimShare') !== undefined}
    >
      <LabelledField
        label={say('load.trims')}
        value={input.trims}
        inputMode="numeric"
        placeholder={String(sheet.trims)}
        error={errorAt('trims')}
        onChange={(trims) => set('trims', trims)}
      />
      <Choice
        label={say('load.trims.side')}
        value={input.edgeOn}
        options={(['left', 'right'] as const).map((id) => ({ id, label: SIDE_NAMES[id] }))}
        onChange={(side) => set('edgeOn', side)}
      />
      <LabelledField
        label={say('load.trims.share')}
        value={input.trimShare}
        inputMode="decimal"
        placeholder={String(USUAL.trimShare * 100)}
        error={errorAt('trimShare')}
        onChange={(next) => set('trimShare', next)}
      />
    </StatedDefault>
  );
}

/** Where the product stands, and how long turning and filling takes. */
function RefillFields({ run, of }: Props) {
  const { input, set, areaOf, setArea } = useLoadFields();
  const { load } = of;
  const { refillAt } = areaOf(run.id);
  const errorAt = (field: string) => load.errors.find((error) => error.field === field);
  return (
    <StatedDefault
      name={say('load.refill')}
      text={say('load.refill.is', {
        where: refillAt === '' ? 'none' : WIND_NAMES[refillAt],
        minutes: load.refillS / 60,
        seconds: load.turnS,
      })}
      isWrong={errorAt('refill') !== undefined || errorAt('turn') !== undefined}
    >
      <Choice
        label={say('load.refill')}
        value={refillAt}
        options={[
          { id: '', label: say('load.refill.none') },
          ...WINDS.map((id) => ({ id, label: WIND_NAMES[id] })),
        ]}
        onChange={(wind) => setArea(run.id, { refillAt: wind })}
      />
      <LabelledField
        label={say('load.refill.minutes')}
        value={input.refill}
        inputMode="decimal"
        placeholder={String(USUAL.refillS / 60)}
        error={errorAt('refill')}
        onChange={(text) => set('refill', text)}
      />
      <LabelledField
        label={say('load.refill.turn')}
        value={input.turn}
        inputMode="decimal"
        placeholder={String(USUAL.turnS)}
        error={errorAt('turn')}
        onChange={(text) => set('turn', text)}
      />
    </StatedDefault>
  );
}

/** What stays in the hopper. */
function ReserveFields({ of }: Pick<Props, 'of'>) {
  const { input, set } = useLoadFields();
  const { load, machine } = of;
  const error = load.errors.find(({ field }) => field === 'reserve');
  const unit = input.reserveUnit;
  const holds = machine?.holdsSi ?? null;
  return (
    <StatedDefault
      name={say('load.reserve')}
      text={say('load.reserve.is', {
        holds:
          holds === null ? 'none' : shownIn(holds, of.sheet.isMix ? (unit === 'kg' ? 'L' : 'gal') : unit),
        reserve: load.reserveSi > 0 ? shownIn(load.reserveSi, unit) : 'none',
      })}
      isWrong={error !== undefined}
    >
      <LabelledField
        label={say('load.reserve.keep')}
        value={input.reserve}
        inputMode="decimal"
        placeholder="1"
        unit={<BareUnit text={input.reserve} unit={unit} />}
        error={error}
        onChange={(text) => set('reserve', text)}
      />
    </StatedDefault>
  );
}

/** Water after it. */
function WaterFields({ of }: Pick<Props, 'of'>) {
  const { input, set } = useLoadFields();
  const { water } = input;
  const error = of.load.errors.find(({ field }) => field === 'water.depth');
  const { waterL } = of.sheet.totals;
  const us = UNITS[water.unit].symbol === 'in';
  const depth = of.load.waterM === null ? 'none' : shownIn(of.load.waterM, water.unit, 2);
  return (
    <StatedDefault
      name={say('load.water')}
      text={say('load.water.is', {
        depth,
        by: water.by.trim() || 'none',
        who: water.who.trim() || 'none',
        liters: waterL === null ? 'none' : shownIn(waterL, us ? 'gal' : 'L'),
      })}
      isWrong={error !== undefined}
    >
      <LabelledField
        label={say('load.water.depth')}
        value={water.depth}
        inputMode="decimal"
        placeholder={us ? '0.25' : '6'}
        unit={<BareUnit text={water.depth} unit={water.unit} />}
        error={error}
        onChange={(text) => set('water', { ...water, depth: text })}
      />
      <LabelledField
        label={say('load.water.by')}
        value={water.by}
        placeholder={say('load.water.byHint')}
        onChange={(text) => set('water', { ...water, by: text })}
      />
      <LabelledField
        label={say('load.water.who')}
        value={water.who}
        onChange={(text) => set('water', { ...water, who: text })}
      />
    </StatedDefault>
  );
}

/** How long the area is, where nobody drew it. */
function LengthField({ run, of }: Props) {
  const { areaOf, setArea, input } = useLoadFields();
  const { length } = areaOf(run.id);
  const index = input.areas.findIndex(({ id }) => id === run.id);
  const error = of.load.errors.find(({ field }) => field === `areas.${index}.length.text`);
  const known = of.load.areas.get(run.id)?.lengthM ?? null;
  return (
    <StatedDefault
      name={say('load.length')}
      text={say('load.lengthIs', { length: known === null ? 'none' : lengthText(known, length.unit) })}
      isWrong={error !== undefined}
    >
      <LabelledField
        label={say('load.length')}
        value={length.text}
        inputMode="decimal"
        placeholder={length.unit === 'm' ? '40' : '120'}
        unit={<BareUnit {...length} />}
        error={error}
        onChange={(text) => setArea(run.id, { length: { ...length, text } })}
      />
    </StatedDefault>
  );
}

/** How an area is walked: stated lines, each with its fields one press away. */
export const WalkFields = ({ run, of }: Props) => (
  <Box marginTop="10px" data-noprint>
    {run.isSketch && <LengthField run={run} of={of} />}
    <HeadingFields run={run} of={of} />
    <TrimFields of={of} />
    <RefillFields run={run} of={of} />
    <ReserveFields of={of} />
    <WaterFields of={of} />
  </Box>
);

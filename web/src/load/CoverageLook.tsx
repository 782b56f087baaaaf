import { Box, Button } from '@chakra-ui/react';
import { OFF_KINDS, type Coverage, type CoverageRequest } from '@steady-scatter/core/coverage';
import { assumedFor, coverageFor, runSheet, type AreaRun } from '@steady-scatter/core/runSheet';
import { evaluateWidthTest, type Pattern } from '@steady-scatter/core/width';
import { USUAL } from '@steady-scatter/core/worksheet';
import type { LengthUnit } from '@steady-scatter/core/quantities';
import { useMemo, useState } from 'react';
import { list, say } from '@steady-scatter/words/load';
import { latestAccepted, useWidthTests } from '../kinds/useWidthTests.ts';
import { metres } from '../machine/ChartTold.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { shownIn } from '../units/shownIn.ts';
import { CoverageMap, GroundHistogram, MapLegend } from './CoverageMap.tsx';
import type { RunUnits } from './LoadTable.tsx';
import { OFF_NAMES } from './names.ts';
import { lengthText } from './texts.ts';
import { useCoverage } from './useCoverage.ts';
import { useLoadFields } from './useLoadFields.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
}

/** Cells of the map: a tenth of a metre, larger on large ground. */
const cellFor = (areaM2: number): number => Math.max(0.1, Math.sqrt(areaM2 / 1e6));

/** The pattern that the trays of this machine gave last. */
function usePattern(rig: string): { pattern: Pattern | null; told: { name: string; day: string } | null } {
  const { data: tests = [] } = useWidthTests();
  return useMemo(() => {
    const latest = latestAccepted(tests, rig);
    const pattern = latest ? evaluateWidthTest(latest.input).pattern : null;
    return { pattern, told: latest && pattern ? { name: latest.input.name, day: latest.input.onDay } : null };
  }, [tests, rig]);
}

/** What lands beside the area, the worst first. */
function offText({ off }: Coverage, units: RunUnits): string {
  const smallest = Object.values(off).reduce((sum, si) => sum + si, 0) * 0.005;
  const found = OFF_KINDS.flatMap((kind) =>
    off[kind] > Math.max(smallest, 1e-4)
      ? [
          say('load.cover.offOf', {
            amount: shownIn(off[kind], units.amount, 2),
            kind: OFF_NAMES[kind],
          }),
        ]
      : [],
  );
  return found.length === 0 ? say('load.cover.offNone') : say('load.cover.off', { what: list(found) });
}

const percent = (share: number): string => (share * 100).toFixed(share < 0.0995 ? 1 : 0);

interface ResultProps {
  coverage: Coverage;
  request: CoverageRequest;
  heading: string | null;
  name: string;
  units: RunUnits;
  isFine: boolean;
}

/** One plan: its map and what it comes to. */
function Result({ coverage, request, heading, name, units, isFine }: ResultProps) {
  const { targetPerM2 } = request;
  return (
    <Box minWidth={0}>
      {heading && (
        <Box fontWeight="bold" fontSize="17px" marginBottom="4px">
          {heading}
        </Box>
      )}
      <CoverageMap coverage={coverage} targetPerM2={targetPerM2} name={name} />
      <Box fontSize="30px" fontFamily="figure" fontWeight="bold" marginTop="6px">
        {say('load.cover.cv')} {percent(coverage.cv)} %
        {!isFine && (
          <Box as="span" fontSize="15px" fontWeight="normal" fontFamily="body" color="ink.soft">
            {' '}
            {say('load.cover.coarse')}
          </Box>
        )}
      </Box>
      <Box fontSize="17px">
        {say('load.cover.means', {
          mean: Math.round((coverage.mean / targetPerM2) * 100),
          under: percent(coverage.under),
          over: percent(coverage.over),
        })}
      </Box>
      <Box fontSize="17px">{offText(coverage, units)}</Box>
      <GroundHistogram histogram={coverage.histogram} />
    </Box>
  );
}

/** How people walk it: stated, and changed in place. */
function WalkingFields({ of, onAgain }: Pick<Props, 'of'> & { onAgain(): void }) {
  const { input, set } = useLoadFields();
  const { walk } = input;
  const { wanderM, paceSd, lateM, earlyM } = of.load.walk;
  const unit = walk.unit;
  const errorAt = (field: string) => of.load.errors.find((error) => error.field === `walk.${field}`);
  const told = (m: number) => (m === 0 ? 'none' : lengthText(m, unit));
  const metric = (name: 'wander' | 'late' | 'early', label: string, placeholder: string) => (
    <LabelledField
      label={label}
      value={walk[name]}
      inputMode="decimal"
      placeholder={placeholder}
      unit={<BareUnit text={walk[name]} unit={unit} />}
      error={errorAt(name)}
      onChange={(text) => set('walk', { ...walk, [name]: text })}
    />
  );
  return (
    <StatedDefault
      name={say('load.cover.walk')}
      text={say('load.cover.walkIs', {
        wander: shownIn(wanderM, unit, 2),
        pace: Math.round(paceSd * 100),
        late: told(lateM),
        early: told(earlyM),
      })}
      isWrong={of.load.errors.some(({ field }) => field?.startsWith('walk.'))}
    >
      {metric('wander', say('load.cover.wander'), shownIn(USUAL.wanderM, unit, 2))}
      <LabelledField
        label={say('load.cover.pace')}
        value={walk.pace}
        inputMode="decimal"
        placeholder={String(USUAL.paceSd * 100)}
        error={errorAt('pace')}
        onChange={(text) => set('walk', { ...walk, pace: text })}
      />
      {metric('late', say('load.cover.late'), '0')}
      {metric('early', say('load.cover.early'), '0')}
      <Button minHeight="touch" alignSelf="end" onClick={onAgain}>
        {say('load.cover.seed')}
      </Button>
    </StatedDefault>
  );
}

/** The same area passed at another spacing, with what the machine puts out for it. */
function useOther({ of, run }: Props, spacing: string): AreaRun | null {
  const form = useSheetForm();
  const { answer, worksheet } = useSheet();
  const unit = worksheet.spread.width.unit;
  const otherM = metres({ text: spacing, unit });
  const { input, load, machine } = of;
  return useMemo(() => {
    if (otherM === null) return null;
    const [name, onDay] = form.getValues(['name', 'onDay']);
    const there = { ...answer, reading: { ...answer.reading, passedM: otherM } };
    const facts = {
      grounds: new Map([[run.id, run.ground]]),
      machine,
      mixLPerM2: null,
      drift: null,
      broken: [],
    };
    const only = {
      ...there,
      reading: { ...there.reading, areas: there.reading.areas.filter(({ id }) => id === run.id) },
    };
    return (
      runSheet({ name, onDay, worksheet, load: input }, { answer: only, load, errors: [] }, facts).areas[0] ??
      null
    );
  }, [otherM, form, answer, worksheet, input, load, machine, run]);
}

/** Which of two plans is more even, and what it costs in walking. */
function differenceText(
  own: { run: AreaRun; coverage: Coverage },
  other: { run: AreaRun; coverage: Coverage },
  unit: LengthUnit,
): string {
  const walked = (run: AreaRun) =>
    run.plan.legs.reduce((sum, { lengthM, unfedM }) => sum + lengthM + unfedM, 0);
  const times = walked(other.run) / walked(own.run);
  return say('load.cover.difference', {
    spacing: lengthText(other.run.plan.spacingM, unit),
    other: lengthText(own.run.plan.spacingM, unit),
    cv: percent(other.coverage.cv),
    otherCv: percent(own.coverage.cv),
    walk: Math.abs(times - 1) < 0.05 ? 'same' : times > 1 ? 'more' : 'less',
    times: times.toFixed(1),
  });
}

/** What is asked of the simulation for an area; null: there is none. The pattern is that of the sheet's own spacing. */
function useRequest(
  run: AreaRun | null,
  { machine, input, load }: RunOfSheet,
  { pattern, spacingM, seed }: { pattern: Pattern | null; spacingM: number; seed: number },
): CoverageRequest | null {
  return useMemo(
    () =>
      run && coverageFor({ run, pattern, machine, spacingM, input, load, seed, cellM: cellFor(run.areaM2) }),
    [run, pattern, machine, spacingM, input, load, seed],
  );
}

/** A simulation of an area, and of another spacing beside it. */
export function CoverageLook(props: Props) {
  const { run, of, units } = props;
  const { machine, rig, sheet } = of;
  const { pattern, told } = usePattern(rig);
  const [seed, setSeed] = useState(1);
  const [spacing, setSpacing] = useState('');
  const spacingM = sheet.spacingM ?? 1;
  const other = useOther(props, spacing);
  const request = useRequest(run, of, { pattern, spacingM, seed });
  const otherRequest = useRequest(other, of, { pattern, spacingM, seed });
  const own = useCoverage(request);
  const beside = useCoverage(otherRequest);
  const { worksheet } = useSheet();
  const unit = worksheet.spread.width.unit;
  const typed = (factor: number) => lengthText(spacingM * factor, unit);
  return (
    <>
      <Box fontSize="16px" color="ink.soft" marginBottom="6px">
        {told
          ? say('load.cover.measured', { test: told.name, day: dayText(told.day) })
          : say('load.cover.assumed', { assumed: assumedFor(machine?.kind ?? null) })}
      </Box>
      <MapLegend />
      {own.share !== null && (
        <Box display="flex" gap="12px" alignItems="center" fontSize="16px" role="status">
          {say('load.cover.working')} {Math.round(own.share * 100)} %
          <Button variant="ghost" minHeight="touch" onClick={own.stop}>
            {say('load.cover.stop')}
          </Button>
        </Box>
      )}
      <Box
        display="grid"
        gap="20px"
        gridTemplateColumns={{
          base: 'minmax(0, 1fr)',
          md: other ? 'minmax(0, 1fr) minmax(0, 1fr)' : 'minmax(0, 1fr)',
        }}
        alignItems="end"
      >
        {own.coverage && request && (
          <Result
            coverage={own.coverage}
            request={request}
            heading={other && say('load.cover.this', { spacing: lengthText(run.plan.spacingM, unit) })}
            name={run.name}
            units={units}
            isFine={own.isFine}
          />
        )}
        {other && beside.coverage && otherRequest && (
          <Result
            coverage={beside.coverage}
            request={otherRequest}
            heading={say('load.cover.this', { spacing: lengthText(other.plan.spacingM, unit) })}
            name={run.name}
            units={units}
            isFine={beside.isFine}
          />
        )}
      </Box>
      {other && own.isFine && beside.isFine && own.coverage && beside.coverage && (
        <Box fontSize="19px" fontWeight="semibold" marginTop="12px">
          {differenceText({ run, coverage: own.coverage }, { run: other, coverage: beside.coverage }, unit)}
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="10px" alignItems="end" marginTop="14px" data-noprint>
        <Box width="150px">
          <LabelledField
            label={say('load.cover.compareWith')}
            value={spacing}
            inputMode="decimal"
            placeholder={typed(2)}
            unit={<BareUnit text={spacing} unit={unit} />}
            onChange={setSpacing}
          />
        </Box>
        <Button minHeight="touch" onClick={() => setSpacing(typed(0.5))}>
          {say('load.cover.half')}
        </Button>
        <Button minHeight="touch" onClick={() => setSpacing(typed(2))}>
          {say('load.cover.double')}
        </Button>
      </Box>
      <WalkingFields of={of} onAgain={() => setSeed(seed + 1)} />
    </>
  );
}

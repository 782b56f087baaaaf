import { Box, Button, chakra } from '@chakra-ui/react';
import {
  attempt,
  faultsOf,
  faultTexts,
  fromSi,
  groundRemarks,
  handySpacing,
  leftShare,
  levelText,
  meanLine,
  MISSING,
  overlay,
  readPositive,
  recommendationText,
  showExact,
  showQuantity,
  UNITS,
  type RigTyped,
  type WidthTestTyped,
} from '@steady-scatter/core';
import { lazy, Suspense, useState } from 'react';
import { benchOf, useBenchShelf } from '../bench/benchOf.ts';
import { BigNumber } from '../ui/BigNumber.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { today } from '../ui/today.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { Stripes } from './Stripes.tsx';
import { useSureness } from './useSureness.ts';
import { useWidthTests } from './useWidthTests.ts';
import type { WidthOnScreen } from './useWidth.ts';

const UnevenChart = lazy(() => import('./UnevenChart.tsx'));
const Slider = chakra('input', {
  base: { width: '100%', height: { base: '56px', md: '32px' }, accentColor: 'act' },
});

interface Props {
  typed: WidthTestTyped;
  on: WidthOnScreen;
  rig: RigTyped | null;
  onChange(typed: WidthTestTyped): void;
}

const lengthText = (m: number, typed: WidthTestTyped): string => {
  const { number, unit } = showQuantity(m, typed.layout.unit, 3);
  return `${number} ${unit}`;
};

const Said = ({ lines }: { lines: readonly string[] }) =>
  lines.map((line) => (
    <Box key={line} fontSize="16px" marginTop="6px">
      {line}
    </Box>
  ));

/** How sure the figures are, worked out beside; it can be stopped. */
function Sure({ typed, on }: Pick<Props, 'typed' | 'on'>) {
  const { found, share, stop } = useSureness(on.reading);
  if (share !== null)
    return (
      <Box fontSize="15px" color="ink.soft" marginTop="6px" display="flex" gap="10px" alignItems="center">
        Working out how sure that is: {Math.round(100 * share)} %
        <Button size="sm" minHeight="36px" onClick={stop}>
          Stop
        </Button>
      </Box>
    );
  if (!found) return null;
  const band = found.widestM[typed.mode];
  const cv = found.cv[typed.mode];
  const from =
    found.from === 'rows'
      ? 'from how the rows differ'
      : 'from the reading of the trays alone; three rows would tell more';
  return (
    <Box fontSize="16px" marginTop="6px">
      {band
        ? `The widest even spacing lies between ${lengthText(band.low, typed)} and ${lengthText(band.high, typed)}`
        : 'Often enough no spacing was even'}
      ; CV here between {showExact(100 * cv.low, 2)} and {showExact(100 * cv.high, 2)} % ({from}).
    </Box>
  ); // prettier-ignore
}

/** Slides the spacing that is looked at; everything follows. */
function Look({ typed, on, onChange }: Omit<Props, 'rig'>) {
  const { lookedM, throwM, trays } = on.reading;
  if (lookedM === null || throwM === null) return null;
  const unit = typed.layout.unit;
  const least = fromSi(Math.min(2 * (trays.spacingM ?? throwM / 10), throwM / 2), unit);
  // What is typed at once, not what was worked out from it: the slider must not jump back under the finger.
  const typedNow = attempt(() => readPositive(typed.looked.text, { kind: 'length', bareUnit: unit, field: 'looked' }, 'The pass spacing').si).value; // prettier-ignore
  const value = fromSi(typedNow ?? lookedM, unit);
  const set = (text: string) => onChange({ ...typed, looked: { text, unit } });
  return (
    <Box marginTop="12px" data-noprint>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        Look at another spacing
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 120px" gap="12px" alignItems="center">
        <Slider
          type="range"
          aria-label="Pass spacing looked at"
          aria-valuetext={lengthText(lookedM, typed)}
          min={least}
          max={fromSi(throwM, unit)}
          step={unit === 'm' ? 0.01 : 0.05}
          value={value}
          onChange={(event) => set(event.target.value)}
        />
        <LabelledField
          label={UNITS[unit].symbol}
          aria-label="Pass spacing"
          value={typed.looked.text}
          placeholder={showExact(value, 4)}
          onChange={set}
        />
      </Box>
      {typed.looked.text !== '' && (
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={() => set('')}>
          Back to the recommended one
        </Button>
      )}
    </Box>
  );
}

/** The spacing that is accepted, by whom and since when. */
function Accept({ typed, on, onChange }: Omit<Props, 'rig'>) {
  const { lookedM, recommendedM } = on.reading;
  const { accepted } = typed;
  const spacing = typed.looked.text === '' ? recommendedM : lookedM;
  if (accepted)
    return (
      <Box marginTop="14px">
        <Box fontSize="18px">
          Pass <b>{accepted.text}</b> apart, since {dayText(accepted.onDay)}.
        </Box>
        <Box display="flex" gap="10px" alignItems="end" flexWrap="wrap" marginTop="6px">
          <Box width="220px">
            <LabelledField
              label="By"
              value={accepted.by}
              onChange={(by) => onChange({ ...typed, accepted: { ...accepted, by } })}
            />
          </Box>
          <Button minHeight="44px" onClick={() => onChange({ ...typed, accepted: null })}>
            Take it back
          </Button>
        </Box>
      </Box>
    );
  if (spacing === null || typed.deflector) return null;
  const text = handySpacing(spacing, typed.layout.unit);
  return (
    <Button
      variant="solid"
      minHeight={{ base: '60px', md: '48px' }}
      fontSize="17px"
      marginTop="14px"
      onClick={() =>
        onChange({ ...typed, accepted: { text, unit: typed.layout.unit, onDay: today(), by: '' } })
      }
    >
      Pass {text} apart
    </Button>
  );
}

/** The level: what the trays caught against what the bench weighed at the same setting. */
function Level({ typed, on, onChange }: Omit<Props, 'rig'>) {
  const shelf = useBenchShelf();
  const same = shelf.calibrations.filter(({ typed: each }) => each.rig === typed.rig && typed.rig !== '');
  const chosen = same.find(({ id }) => id === typed.calibration)?.typed;
  if (same.length === 0) return null;
  const bench = chosen && benchOf(chosen, shelf);
  const mark = bench?.reading.chart.find(({ mark: { label } }) => label === typed.setting.trim());
  const outputKgPerM = mark && bench?.reading.widthM ? mark.rateKgPerM2 * bench.reading.widthM : null;
  const { caughtKgPerM } = on.reading;
  const text = (): string | null => {
    if (!chosen) return null;
    if (outputKgPerM === null)
      return `That chart has no mark ${typed.setting || 'yet'}: say at which setting the trays were thrown over.`;
    if (caughtKgPerM !== null) return levelText(caughtKgPerM, outputKgPerM);
    const at = on.reading.lookedM;
    if (at === null) return null;
    const mean = showQuantity(outputKgPerM / at, chosen.target.unit);
    return `The shape is from the trays, the level from weighing: ${mean.number} ${mean.unit} on average at this spacing.`;
  };
  return (
    <Box marginTop="14px" maxWidth="420px" data-noprint>
      <Choice
        label="Level from a weigh test"
        value={typed.calibration}
        options={[{ id: '', label: 'none chosen' }, ...same.map(({ id, typed: each }) => ({ id, label: each.name }))]}
        onChange={(calibration) => onChange({ ...typed, calibration })}
      />
      {text() && <Box marginTop="6px">{text()}</Box>}
    </Box>
  ); // prettier-ignore
}

/** Held against the test from before something was changed. */
function BeforeAndAfter({ typed, on, onChange }: Omit<Props, 'rig'>) {
  const { data: tests = [] } = useWidthTests();
  const others = tests.filter(({ typed: each }) => each.rig === typed.rig && each.name !== typed.name && each.way === 'trays'); // prettier-ignore
  if (others.length === 0) return null;
  const { pattern, lookedM } = on.reading;
  const compare = () => {
    if (!on.before || !pattern || lookedM === null) return null;
    const cv = (of: typeof pattern) => `${showExact(100 * overlay(of, lookedM, typed.mode).cv, 2)} %`;
    const left = (of: typeof pattern) => `${showExact(100 * leftShare(of), 3)} %`;
    return `At this spacing CV was ${cv(on.before.pattern)} before and is ${cv(pattern)} now; ${left(on.before.pattern)} fell to the left before, ${left(pattern)} now.`;
  };
  return (
    <Box marginTop="14px" maxWidth="420px" data-noprint>
      <Choice
        label="Against the test before the change"
        value={typed.before}
        options={[
          { id: '', label: 'none' },
          ...others.map(({ id, typed: each }) => ({ id, label: each.name })),
        ]}
        onChange={(before) => onChange({ ...typed, before })}
      />
      {compare() && <Box marginTop="6px">{compare()}</Box>}
    </Box>
  );
}

/** The spacing to pass at and why, what comes of it on the ground, and what to change in the machine. */
export function WidthAnswer({ typed, on, rig, onChange }: Props) {
  const { reading, ground } = on;
  const { recommendedM, pattern, lookedM, sweeps } = reading;
  const shown = recommendedM === null ? null : showQuantity(recommendedM, typed.layout.unit, 3);
  const [isMore, setMore] = useState(false);
  const faults = pattern && sweeps ? faultTexts(faultsOf(pattern, recommendedM, null), rig?.kind ?? 'push-rotary') : []; // prettier-ignore
  const mean = lookedM === null ? null : meanLine(reading, lookedM, typed);
  return (
    <Box
      as="section"
      aria-label="Answer"
      bg="paper"
      borderWidth="1px"
      borderColor="line"
      borderRadius="12px"
      padding={{ base: '16px', md: '18px 22px' }}
    >
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {typed.deflector ? 'For trim passes' : 'Passes apart'}
      </Box>
      <BigNumber number={shown?.number ?? MISSING} unit={shown?.unit ?? ''} live />
      <Box fontSize="17px" marginTop="8px">
        {recommendationText(reading, typed)}
      </Box>
      {sweeps && <Sure typed={typed} on={on} />}
      <Accept typed={typed} on={on} onChange={onChange} />
      {sweeps && (
        <Box marginTop="14px">
          <Suspense fallback={<Box height="290px" />}>
            <UnevenChart reading={reading} unit={typed.layout.unit} lookedM={lookedM} />
          </Suspense>
        </Box>
      )}
      {sweeps && <Look typed={typed} on={on} onChange={onChange} />}
      {pattern && ground && lookedM !== null && (
        <>
          <Stripes
            pattern={pattern}
            ground={ground}
            spacingM={lookedM}
            mode={typed.mode}
            limit={reading.limit}
            spacing={lengthText(lookedM, typed)}
          />
          <Said lines={groundRemarks(reading, ground, typed)} />
          {mean && (
            <Box marginTop="8px">
              <WorkingLine working={mean} names={{ mean: 'Mean' }} size="plain" />
            </Box>
          )}
        </>
      )}
      {faults.length > 0 && (
        <Box marginTop="14px">
          {faults.map((fault) => (
            <Box key={fault.said} fontSize="16px" marginTop="6px">
              <b>▲ {fault.said}</b> {fault.try}
            </Box>
          ))}
          <Box fontSize="16px" marginTop="6px">
            Change one thing, test again, and hold the two against each other.
          </Box>
        </Box>
      )}
      {pattern && (
        <Button
          variant="ghost"
          minHeight="44px"
          marginLeft="-12px"
          marginTop="6px"
          aria-expanded={isMore || typed.calibration !== '' || typed.before !== ''}
          onClick={() => setMore(!isMore)}
        >
          Level and comparison
        </Button>
      )}
      {(isMore || typed.calibration !== '' || typed.before !== '') && (
        <>
          <Level typed={typed} on={on} onChange={onChange} />
          <BeforeAndAfter typed={typed} on={on} onChange={onChange} />
        </>
      )}
    </Box>
  );
}

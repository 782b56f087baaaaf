import { Box, Button } from '@chakra-ui/react';
import { showQuantity, systemOf, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import {
  BRINE_SALT_IDS,
  brineSheet,
  type BrineInput,
  type BrineSheet,
  type HydrometerMarks,
} from '@steady-scatter/core/winter';
import { useMemo, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/winter';
import { shownIn } from '../units/shownIn.ts';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { Choice } from '../ui/Choice.tsx';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { WinterTabs } from '../shell/WinterTabs.tsx';
import { WarningBox } from '../ui/WarningBox.tsx';
import { degrees } from './degrees.ts';
import { useHeldBrine } from './useHeldBrine.ts';

const SALTS = BRINE_SALT_IDS.map((id) => ({ id, label: say('winter.brine.saltOf', { salt: id === 'calcium-chloride' ? 'calcium' : 'sodium' }) })); // prettier-ignore
const MARKS: readonly { id: HydrometerMarks; label: string }[] = [
  { id: 'sg-60F', label: say('winter.brine.marksOf', { marks: 'sixty' }) },
  { id: 'sg-20C', label: say('winter.brine.marksOf', { marks: 'twenty' }) },
  { id: 'kg/L', label: say('winter.brine.marksOf', { marks: 'kg' }) },
];
const RATES = (['gal/lane-mile', 'L/lane-km', 'gal/1000 ft2', 'L/m2'] as const).map((id) => ({ id, label: UNITS[id].symbol })); // prettier-ignore

interface PartProps {
  input: BrineInput;
  sheet: BrineSheet;
  set(changed: Partial<BrineInput>): void;
}

interface PartBoxProps {
  heading: string;
  fields: ReactNode;
  /** What its number is of; null: nothing is known yet. */
  big: { of: string; number: string; unit: string } | null;
  children: ReactNode;
}

/** What is typed on the left, what it comes to on the right. */
const Part = ({ heading, fields, big, children }: PartBoxProps) => (
  <Section heading={heading}>
    <Box
      display="grid"
      gap={{ base: '14px', lg: '32px' }}
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="12px 14px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))">
        {fields}
      </Box>
      <AnswerBox aria-label={say('winter.brine.answer', { part: heading })} fontSize="17px">
        {big && (
          <>
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
              {big.of}
            </Box>
            <BigNumber number={big.number} unit={big.unit} live />
          </>
        )}
        {children}
      </AnswerBox>
    </Box>
  </Section>
);

type Typed = 'reading' | 'sample' | 'wanted' | 'tank' | 'rate' | 'lane' | 'pavement' | 'load' | 'wetting';

/** What a field of the page is bound with. */
const fieldOf = ({ input, sheet, set }: PartProps, name: Typed) => ({
  value: input[name],
  error: sheet.errors.find(({ field }) => field === name),
  onChange: (text: string) => set({ [name]: text }),
  minHeight: 'touch',
});

const isUs = ({ tankUnit }: BrineInput): boolean => systemOf(tankUnit) === 'us';
const freezing = (degC: number | null, { temperatureUnit }: BrineInput): string =>
  say('winter.brine.freezes', degC === null ? { freezes: 'none', at: '' } : { freezes: 'at', at: degrees(degC, temperatureUnit) }); // prettier-ignore

function Strength(props: PartProps) {
  const { input, sheet, set } = props;
  const { strength, freezesC, isSampleOff } = sheet;
  return (
    <Part
      heading={say('winter.brine.strength')}
      big={strength === null ? null : { of: say('winter.brine.byWeight'), number: strength.toFixed(1), unit: '%' }}
      fields={
        <>
          <LabelledField label={say('winter.brine.reading')} placeholder="1.150" inputMode="decimal" {...fieldOf(props, 'reading')} />
          <Choice label={say('winter.brine.marks')} value={input.marks} options={MARKS} onChange={(marks) => set({ marks })} />
          <LabelledField label={say('winter.brine.sample')} placeholder={input.temperatureUnit === 'degF' ? '68' : '20'} inputMode="decimal" unit={<BareUnit text={input.sample} unit={input.temperatureUnit} />} {...fieldOf(props, 'sample')} />
          <Choice label={say('winter.brine.salt')} value={input.salt} options={SALTS} onChange={(salt) => set({ salt })} />
        </>
      }
    >
      {strength === null ? say('winter.brine.readFirst') : freezing(freezesC, input)}
      {isSampleOff && (
        <WarningBox marginTop="10px">
          {say('winter.brine.sampleOff', { at: degrees(20, input.temperatureUnit) })}
        </WarningBox>
      )}
    </Part>
  );
} // prettier-ignore

function Tank(props: PartProps) {
  const { input, sheet } = props;
  const { making, correction, wantedFreezesC } = sheet;
  const mass: UnitId = isUs(input) ? 'lb' : 'kg';
  const big = making === null ? null : showQuantity(making.saltKg, mass);
  const added = correction && (correction.saltKg > 0.05 ? 'salt' : correction.waterKg > 0.05 ? 'water' : 'none');
  return (
    <Part
      heading={say('winter.brine.tank')}
      big={big && { of: say('winter.brine.saltForTank'), ...big }}
      fields={
        <>
          <LabelledField label={say('winter.brine.tankHolds')} placeholder={isUs(input) ? '300' : '1000'} inputMode="decimal" unit={<BareUnit text={input.tank} unit={input.tankUnit} />} {...fieldOf(props, 'tank')} />
          <LabelledField label={say('winter.brine.wanted')} placeholder="23.3" inputMode="decimal" {...fieldOf(props, 'wanted')} />
        </>
      }
    >
      {making === null ? (
        say('winter.brine.tankFirst')
      ) : (
        <>
          <Box>
            {say('winter.brine.makeIt', { water: shownIn(making.waterKg, mass), volume: shownIn(making.waterKg, input.tankUnit) })} {freezing(wantedFreezesC, input)}
          </Box>
          {correction && added && (
            <Box marginTop="6px">
              <b>{say('winter.brine.correct')}: </b>
              {say('winter.brine.correctIt', { how: added, amount: added === 'salt' ? shownIn(correction.saltKg, mass) : shownIn(correction.waterKg, input.tankUnit) })} {added !== 'none' && say('winter.brine.room')}
            </Box>
          )}
          <Box marginTop="6px" fontSize="15px" color="ink.soft">{say('winter.brine.pure')}</Box>
        </>
      )}
    </Part>
  );
} // prettier-ignore

/** What becomes of a brine on pavement of a temperature. */
function holdsText({ fate, onGround, pavementC }: BrineSheet, { temperatureUnit }: BrineInput): string {
  if (fate === null || onGround === null || pavementC === null) return say('winter.brine.pavementFirst');
  const { moreWaterM: more } = onGround;
  const water = more === null ? '' : shownIn(more, 'mm', 2);
  return say('winter.brine.holds', { how: fate, at: degrees(pavementC, temperatureUnit), water });
}

function Pavement(props: PartProps) {
  const { input, sheet, set } = props;
  const { onGround, lPerM2, strength } = sheet;
  const rate: UnitId = isUs(input) ? 'lb/1000 ft2' : 'g/m2';
  const brine: UnitId = isUs(input) ? 'gal/1000 ft2' : 'L/100 m2';
  const big = onGround && showQuantity(onGround.saltKgPerM2, rate);
  return (
    <Part
      heading={say('winter.brine.pavement')}
      big={big && { of: say('winter.brine.saltOnGround'), ...big }}
      fields={
        <>
          <LabelledField label={say('winter.brine.rate')} placeholder="40" inputMode="decimal" {...fieldOf(props, 'rate')} />
          <Choice label={say('winter.brine.rateUnit')} value={input.rateUnit} options={RATES} onChange={(rateUnit) => set({ rateUnit })} />
          {input.rateUnit.includes('lane') && (
            <LabelledField label={say('winter.brine.lane')} placeholder={input.laneUnit === 'ft' ? '12' : '3.5'} inputMode="decimal" unit={<BareUnit text={input.lane} unit={input.laneUnit} />} {...fieldOf(props, 'lane')} />
          )}
          <LabelledField label={say('winter.brine.temperature')} placeholder={input.temperatureUnit === 'degF' ? '23' : '-5'} unit={<BareUnit text={input.pavement} unit={input.temperatureUnit} />} {...fieldOf(props, 'pavement')} />
        </>
      }
    >
      {onGround && lPerM2 !== null && (
        <Box>{say('winter.brine.onGround', { brine: shownIn(lPerM2, brine) })}</Box>
      )}
      <Box fontWeight={onGround ? 'semibold' : 'normal'}>{holdsText(sheet, input)}</Box>
      {onGround && <Box fontSize="15px" color="ink.soft">{say('winter.brine.which', { from: strength === null ? 'wanted' : 'tank' })}</Box>}
    </Part>
  );
} // prettier-ignore

function Prewet(props: PartProps) {
  const { input, sheet } = props;
  const { prewetting } = sheet;
  const mass: UnitId = isUs(input) ? 'lb' : 'kg';
  return (
    <Part
      heading={say('winter.brine.prewet')}
      big={prewetting && { of: say('winter.brine.brineForLoad'), ...showQuantity(prewetting.brineL, input.tankUnit) }}
      fields={
        <>
          <LabelledField label={say('winter.brine.load')} placeholder="1" inputMode="decimal" unit={<BareUnit text={input.load} unit={input.loadUnit} />} {...fieldOf(props, 'load')} />
          <LabelledField label={say('winter.brine.wetting')} placeholder={input.wettingUnit === 'L/t' ? '30' : '8'} inputMode="decimal" unit={<BareUnit text={input.wetting} unit={input.wettingUnit} />} {...fieldOf(props, 'wetting')} />
        </>
      }
    >
      {prewetting === null
        ? say('winter.brine.prewetFirst')
        : say('winter.brine.prewetSalt', { salt: shownIn(prewetting.saltKg, mass), share: (prewetting.share * 100).toFixed(1) })}
    </Part>
  );
} // prettier-ignore

/** Brine: how strong it is, what a tank takes, and what it does on the pavement. */
export default function BrinePage() {
  const { input, set, clear } = useHeldBrine();
  const sheet = useMemo(() => brineSheet(input), [input]);
  const props = { input, sheet, set };
  return (
    <>
      <title>{say('winter.brine.title')}</title>
      <TopBar acts={<Button onClick={clear}>{say('winter.brine.clear')}</Button>}>
        <Box as="h1" fontSize="22px" fontWeight="bold">
          {say('winter.brine.heading')}
        </Box>
      </TopBar>
      <WinterTabs />
      <Box as="main" id="main" padding={{ base: '18px 16px', md: '22px 24px' }} onKeyDown={goOnWithEnter}>
        <Strength {...props} />
        <Tank {...props} />
        <Pavement {...props} />
        <Prewet {...props} />
      </Box>
    </>
  );
}

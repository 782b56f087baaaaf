import { Box, Button } from '@chakra-ui/react';
import { showQuantity } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/machines';
import { pressureUnitFor } from '@steady-scatter/core/fields';
import {
  isSprayed,
  markRemark,
  showRate,
  sprayedAt,
  spreadPlan,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { mismatchRemark } from '@steady-scatter/core/width';
import { termText } from '@steady-scatter/core/working';
import type { SpreadInput } from '@steady-scatter/core/worksheet';
import { rich, say, speak } from '@steady-scatter/words/sheet';
import type { CalibrationContext } from '../bench/calibrationContext.ts';
import { ageOf, FRESH_WORDS } from '../bench/SignOff.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { richly, TAGS } from '../ui/richly.tsx';
import { termOf } from '../ui/termShown.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';

const lengthOf = (m: number, unit: SpreadInput['width']['unit']): string => {
  const { number, unit: symbol } = showQuantity(m, unit, 3);
  return `${number.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '')} ${symbol}`;
};

/** What a sprayer is set to, and what it puts down so. */
function Sprayed({ input, on }: { input: CalibrationInput; on: CalibrationContext }) {
  const { spray } = on.reading;
  const at = on.rig ? sprayedAt(spray, on.rig, pressureUnitFor(input.units.length)) : '';
  const shown = spray?.now && showRate(spray.now.mean.mean, spray.now.mean.uRelative, input.target.unit);
  const age = ageOf(input, on);
  return (
    <Box fontSize="17px">
      {shown ? say('sheet.machine.sprays', { at: at || 'none', volume: `${shown.number}${shown.band ? ` ±${shown.band}` : ''} ${shown.unit}` }) : say('sheet.machine.lacksRates')}
      {(age.state === 'stale' || age.state === 'ageing') && (
        <Box color={age.state === 'stale' ? 'warn' : 'ink'}>
          {FRESH_WORDS[age.state]}: {age.reasons.map(speak).join('; ')}.
        </Box>
      )}
    </Box>
  );
} // prettier-ignore

/** The mark for this sheet's rate, and what comes of a spacing that is not the chart's. */
export function Setting({
  input,
  on,
  spread,
  isLarge = false,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
  spread: SpreadInput;
  /** The setting is what the page is about. */
  isLarge?: boolean;
}) {
  const form = useSheetForm();
  const { answer } = useSheet();
  const { rateSi, times: over } = answer.numbers.once;
  const set = (more: Partial<SpreadInput>) => form.setValue('worksheet.spread', { ...spread, ...more }, { shouldDirty: true }); // prettier-ignore
  if (isSprayed(on.reading.dimension)) return <Sprayed input={input} on={on} />;
  if (rateSi === null) return <Box fontSize="16px">{say('sheet.machine.lacksRate')}</Box>;
  const plan = spreadPlan(on.reading, rateSi, answer.reading.passedM, spread.recomputed, input.isCeiling);
  if (!plan) return <Box fontSize="16px">{say('sheet.machine.lacksRates')}</Box>;
  const { found, workedM, passedM, times } = plan;
  const { unit } = spread.width;
  const [worked, passed] = [lengthOf(workedM, unit), lengthOf(passedM, unit)];
  const age = ageOf(input, on);
  return (
    <Box fontSize="17px">
      {over > 1 && (
        <Box fontSize="16px" color="ink.soft">
          {speak(answer.lines.once.label)}: {termText(termOf(answer.lines.once, 'once.rate'), speak)}
        </Box>
      )}
      {isLarge && <BigNumber number={found.line.mark.label} unit="" live />}
      <Box>{richly(rich('sheet.machine.set', { ...TAGS, control: on.rig?.control.name || say('sheet.machine.control'), mark: found.line.mark.label, rate: speak(markRemark(found, input.target.unit)) }))}{input.second && say('sheet.machine.second', { name: on.rig?.second.name ?? '', second: input.second })}.
      </Box>
      {found.beyond && (
        <Box color="warn" fontWeight="semibold">{say('sheet.machine.beyond', { side: found.beyond })}</Box>
      )}
      {(age.state === 'stale' || age.state === 'ageing') && (
        <Box color={age.state === 'stale' ? 'warn' : 'ink'} fontWeight={age.state === 'stale' ? 'semibold' : 'normal'}>
          {FRESH_WORDS[age.state]}: {age.reasons.map(speak).join('; ')}.
        </Box>
      )}
      {times !== null && rigKind(on.bench.kind).width === 'passes' && (
        <WarningBox marginTop="10px" data-noprint>
          {richly(rich('sheet.machine.twoSpacings', { ...TAGS, text: speak(mismatchRemark({ times }, worked, passed)) }))}<WarningActs>
            <Button minHeight="44px" onClick={() => set({ width: { text: worked, unit }, recomputed: false })}>{say('sheet.machine.passAt', { worked })}</Button>
            <Button minHeight="44px" onClick={() => set({ recomputed: true })}>{say('sheet.machine.workOutAt', { passed })}</Button>
          </WarningActs>
        </WarningBox>
      )}
      {spread.recomputed && (
        <Box fontSize="16px">{say('sheet.machine.workedOutFor', { worked, passed })}{' '}<Button variant="ghost" minHeight="36px" paddingX="8px" onClick={() => set({ recomputed: false })}>{say('sheet.machine.notAnyMore')}</Button>
        </Box>
      )}
    </Box>
  ); // prettier-ignore
}

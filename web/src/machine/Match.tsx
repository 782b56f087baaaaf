import { Box, Button } from '@chakra-ui/react';
import { sameProductKey, type CalibrationInput, type ChartMatch } from '@steady-scatter/core/testing';
import type { SpreadInput } from '@steady-scatter/core/worksheet';
import { Link } from 'react-router';
import { rich, say } from '@steady-scatter/words/sheet';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { richly, TAGS } from '../ui/richly.tsx';
import { termOf } from '../ui/termShown.ts';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';

/** A chart of another product gives no setting: what can be done instead. */
export function OtherProduct({ match, id, input, spread }: { match: ChartMatch; id: string; input: CalibrationInput; spread: SpreadInput }) {
  const form = useSheetForm();
  const { answer } = useSheet();
  const rate = termOf(answer.lines.once, 'once.rate').shown;
  const asked = new URLSearchParams({ machine: input.rig, product: match.sheet, rate: rate ? `${rate.number} ${rate.unit}` : '' });
  const withShape = new URLSearchParams([...asked, ['shape', id]]);
  return (
    <WarningBox marginTop="10px" fontSize="17px">
      {richly(rich('sheet.machine.otherProduct', { ...TAGS, chart: match.chart, sheet: match.sheet }))}<WarningActs data-noprint>
        <Button asChild minHeight="44px">
          <Link to={`/bench/new?${asked}`}>{say('sheet.machine.test', { sheet: match.sheet })}</Link>
        </Button>
        <Button asChild minHeight="44px" variant="outline">
          <Link to={`/bench/new?${withShape}`}>{say('sheet.machine.testByShape')}</Link>
        </Button>
        <Button
          minHeight="44px"
          variant="outline"
          onClick={() => form.setValue('worksheet.spread', { ...spread, sameProduct: sameProductKey(match) }, { shouldDirty: true })}
        >{say('sheet.machine.sameProduct')}</Button>
      </WarningActs>
    </WarningBox>
  );
} // prettier-ignore

/** What is to be known of a chart that may be used: said to be the same, matched by its grade alone, other grain or lot. */
export function MatchNote({ match, spread }: { match: ChartMatch; spread: SpreadInput }) {
  const form = useSheetForm();
  const isOtherGrain = match.differs.includes('grain');
  return (
    <>
      {match.is === 'said-same' && (
        <Box fontSize="16px">
          {say('sheet.machine.twoNames', { sheet: match.sheet, chart: match.chart })}{' '}<Button
            variant="ghost"
            minHeight="36px"
            paddingX="8px"
            data-noprint
            onClick={() => form.setValue('worksheet.spread', { ...spread, sameProduct: '' }, { shouldDirty: true })}
          >{say('sheet.machine.notSame')}</Button>
        </Box>
      )}
      {match.is === 'same-grade' && <Box fontSize="16px">{say('sheet.machine.byGrade', { chart: match.chart })}</Box>}
      {match.differs.length > 0 && (
        <Box color={isOtherGrain ? 'warn' : 'ink'} fontWeight={isOtherGrain ? 'semibold' : 'normal'}>
          {isOtherGrain ? say('sheet.machine.otherGrain') : say('sheet.machine.otherLot')}
        </Box>
      )}
    </>
  ); // prettier-ignore
}

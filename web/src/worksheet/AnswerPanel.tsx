import { lazyPart } from '../ui/lazyPart.ts';
import { Box, chakra } from '@chakra-ui/react';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { NUTRIENTS, splitUnit } from '@steady-scatter/core/need';
import { RATE_AREAS } from '@steady-scatter/core/quantities';
import { isNutrient } from '@steady-scatter/core/products';
import { bandText, MISSING, termText } from '@steady-scatter/core/working';
import type { DeliveredLine, WorksheetAnswer, WorksheetInput } from '@steady-scatter/core/worksheet';
import { memo, Suspense } from 'react';
import { rich, say, speak } from '@steady-scatter/words/sheet';
import { useSheet } from '../sheet/sheet.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { termOf, termShown } from '../ui/termShown.ts';
import { Bags } from './Bags.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

const BrokenRules = lazyPart(() => import('../regulations/BrokenRules.tsx'));

const PART_WORDS = {
  asked: say('sheet.gives.asked'),
  along: say('sheet.gives.incidental'),
  none: say('sheet.gives.none'),
} as const;

/** What still stands between the sheet and its answer, as the next act. */
export function nextAct(
  { numbers, errors }: WorksheetAnswer,
  { need, product }: WorksheetInput,
): string | null {
  if (numbers.amountSi !== null)
    return numbers.unsized === 0 ? null : say('sheet.answer.unsized', { unsized: numbers.unsized });
  if (errors.length === 1) return say('sheet.answer.oneUnread');
  if (errors.length > 1) return say('sheet.answer.manyUnread', { count: errors.length });
  if (need.amount.trim() === '') return say('sheet.answer.lacksNeed');
  if (isNutrient(need.nutrient) && product.grade.trim() === '') return say('sheet.answer.lacksGrade');
  if (numbers.rateSi === null && need.nutrient === 'ai') return say('sheet.answer.lacksLoad');
  if (numbers.rateSi === null) return say('sheet.answer.lacksDensity');
  return say('sheet.answer.lacksSize');
}

function TakeLine() {
  const { answer } = useSheet();
  const { packages } = answer.numbers;
  if (!packages || !answer.left) return null;
  const sizeText = termShown(answer.lines.packages, 'package.size')?.number ?? '';
  const sentence = say('sheet.load.takeOf', {
    count: packages.whole,
    size: sizeText,
    more: packages.wholeAtMost > packages.whole ? packages.wholeAtMost : 0,
  });
  const left = say('sheet.answer.left', { number: answer.left.number, unit: answer.left.unit });
  return (
    <Box display="flex" gap="14px" alignItems="center" marginTop="14px">
      <Box flexShrink={0} maxWidth="55%">
        <Bags packages={packages} label={`${sentence}; ${left}`} />
      </Box>
      <Box>
        <Box fontWeight="bold" fontSize="17px">
          {sentence}
        </Box>
        <Box fontSize="15px" color="ink.soft">
          {left}
        </Box>
      </Box>
    </Box>
  );
}

/** What goes into the machine this time, where it takes several times over the ground. */
function OnceOver() {
  const { once } = useSheet().answer.numbers;
  const { lines } = useSheet().answer;
  if (once.times < 2 || once.rateSi === null) return null;
  return (
    <Box marginTop="12px" fontSize="17px">
      {richly(
        rich('sheet.answer.portion', {
          ...TAGS,
          label: speak(lines.once.label),
          amount: termText(termOf(lines.once, 'once.amount'), speak),
          rate: termText(termOf(lines.once, 'once.rate'), speak),
        }),
      )}
    </Box>
  );
}

function DeliveredRow({ line }: { line: DeliveredLine }) {
  const [mass] = line.shown.unit.split(' / ');
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.th scope="row" textAlign="left" fontWeight="medium" paddingY="7px">
        {NUTRIENTS[line.nutrient].symbol}
      </chakra.th>
      <chakra.td textAlign="right" fontVariantNumeric="tabular-nums" whiteSpace="nowrap">
        {line.part === 'none' ? '0' : `${line.shown.number} ${mass}`}
      </chakra.td>
      <chakra.td paddingLeft="14px" color="ink.soft" fontSize="15px">
        {PART_WORDS[line.part]}
        {line.other &&
          line.part !== 'none' &&
          `, ${line.other.shown.number} ${mass} ${NUTRIENTS[line.other.nutrient].symbol}`}
      </chakra.td>
    </chakra.tr>
  );
}

function Delivered() {
  const { answer } = useSheet();
  if (answer.delivered.length === 0) return null;
  const area = RATE_AREAS[splitUnit(answer.units.delivered)[1]].symbol;
  return (
    <Box marginTop={{ base: '18px', _print: '4px' }}>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft" marginBottom="4px">
        {say('sheet.answer.gives', { area })}
      </Box>
      <chakra.table width="100%" fontSize="17px">
        <chakra.tbody>
          {answer.delivered.map((line) => (
            <DeliveredRow key={line.nutrient} line={line} />
          ))}
        </chakra.tbody>
      </chakra.table>
    </Box>
  );
}

/** The one big number of the sheet, what to take, and everything that it puts down. */
export const AnswerPanel = memo(function AnswerPanelOf({ onBroken }: { onBroken(rules: number): void }) {
  const { answer } = useSheet();
  const worksheet = useSheet().worksheet;
  const shown = termShown(answer.lines.total, 'total.amount');
  const next = nextAct(answer, worksheet);
  return (
    <AnswerBox
      borderRadius="10px"
      padding="22px"
      css={{
        '@media print': {
          display: 'grid',
          gridTemplateColumns: '1fr 1fr',
          columnGap: '30px',
          padding: '10px 14px',
        },
      }}
    >
      <Box>
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {answer.reading.product.form === 'liquid'
            ? say('sheet.answer.measureOut')
            : say('sheet.answer.weighOut')}
        </Box>
        <BigNumber
          number={shown?.number ?? MISSING}
          unit={shown ? `${shown.unit}${bandText(shown)}` : ''}
          live
        />
        {next && (
          <Box fontSize="17px" marginTop="8px">
            {next}
          </Box>
        )}
        <OnceOver />
        <TakeLine />
      </Box>
      <Box>
        <Suspense fallback={null}>
          <BrokenRules onCount={onBroken} />
        </Suspense>
        <Delivered />
      </Box>
    </AnswerBox>
  );
});

import { memo } from 'react';
import { Box } from '@chakra-ui/react';
import { showQuantity } from '@steady-scatter/core/quantities';
import type { ComponentProps } from 'react';
import { say, speak } from '@steady-scatter/words/sheet';
import { SheetError } from '../sheet/SheetError.tsx';
import { useSheet } from '../sheet/sheet.tsx';
import { useShowIn } from '../sheet/useShowIn.ts';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { PackageTerm } from './PackageTerm.tsx';

const NAMES = {
  rate: say('sheet.load.rate'),
  'total.area': say('sheet.load.ground'),
  'total.amount': say('sheet.load.amount'),
  covers: say('sheet.load.covers'),
  back: say('sheet.load.back'),
};

/** One time over the ground: its rate, and what each area takes of it. */
function OnceOver({ working, showIn }: Pick<ComponentProps<typeof WorkingLine>, 'working' | 'showIn'>) {
  const { numbers, reading, units } = useSheet().answer;
  const each = numbers.areas.flatMap(({ id, amountSi }, index) => {
    if (amountSi === null) return [];
    const { number, unit } = showQuantity(amountSi / numbers.once.times, units.amount);
    return [{ id, text: `${reading.areas[index]?.name || say('sheet.area.number', { number: index + 1 })} ${number} ${unit}` }];
  });
  return (
    <Box marginY="6px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {speak(working.label)}
      </Box>
      <WorkingLine working={working} names={{ ...NAMES, 'once.rate': say('sheet.load.rateOnce'), 'once.amount': say('sheet.load.amountOnce') }} {...(showIn ? { showIn } : {})} size="plain" />
      {each.length > 1 && <Box fontSize="16px">{each.map(({ text }) => text).join('; ')}</Box>}
    </Box>
  );
} // prettier-ignore

/** In all: the whole amount, the packages it takes, how far one goes, and the check back to the need. */
export const LoadSection = memo(function LoadSectionOf({ onEnter }: { onEnter(): void }) {
  const { answer } = useSheet();
  const { total, once, packages, covers, back } = answer.lines;
  const area = useShowIn('area');
  const showIn = {
    rate: useShowIn('rate'),
    'total.area': area,
    covers: area,
    'total.amount': useShowIn('amount'),
  };
  return (
    <Section id="load" heading={speak(total.label)} onEnter={onEnter}>
      <WorkingLine working={total} names={NAMES} showIn={showIn} />
      {answer.numbers.once.times > 1 && <OnceOver working={once} showIn={showIn} />}
      <WorkingLine
        working={packages}
        names={NAMES}
        showIn={showIn}
        editors={{
          'package.size': (
            <PackageTerm label={say('sheet.load.package')} unitLabel={say('sheet.load.unit')} />
          ),
        }}
      />
      <SheetError name="worksheet.product.package.size" />
      <Box marginTop="12px" paddingTop="10px" borderTopWidth="1px" borderColor="line">
        {answer.numbers.packageCoversM2 !== null && (
          <Box display="flex" flexWrap="wrap" columnGap="8px" alignItems="baseline" fontSize="17px">
            <Box color="ink.soft">{speak(covers.label)}:</Box>
            <WorkingLine working={covers} names={NAMES} showIn={showIn} size="plain" />
          </Box>
        )}
        {answer.numbers.backPerM2 !== null && (
          <WorkingLine working={back} names={NAMES} showIn={showIn} size="plain" />
        )}
      </Box>
    </Section>
  );
});

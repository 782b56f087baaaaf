import { Box, Button, chakra } from '@chakra-ui/react';
import { InputError } from '@steady-scatter/core/errors';
import { blankProduct } from '@steady-scatter/core/products';
import { ORIGINS } from '@steady-scatter/core/working';
import { AS_TYPED, answerWorksheet, blankWorksheet } from '@steady-scatter/core/worksheet';
import { Copy } from 'lucide-react';
import type { ReactNode } from 'react';
import { nameOf } from '@steady-scatter/words/common';
import { Bags } from '../worksheet/Bags.tsx';
import { Tape } from '../shell/Tape.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { useNotices } from '../notices/notices.tsx';
import { ResultTerm } from '../ui/ResultTerm.tsx';
import { Section } from '../ui/Section.tsx';
import { TermInput } from '../ui/TermInput.tsx';
import { termOf } from '../ui/termShown.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';

const SAMPLE = answerWorksheet(
  {
    ...blankWorksheet('us', 'sample'),
    need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    areas: [{ id: 'sample', name: 'Bandstand lawn', size: '62 x 38 ft', unit: 'ft2' }],
    product: {
      ...blankProduct('dry-fertilizer', 'us'),
      grade: '24-0-8',
      package: { size: '40', unit: 'lb' },
    },
  },
  AS_TYPED,
);
const WRONG = new InputError('grade.run-together', { field: 'grade', input: '240-8', hint: '24-0-8' });
const STOPS = [
  { id: 'a', label: 'Need', holds: '3.33 lb / 1000 ft²', lacks: false, to: '#a' },
  { id: 'b', label: 'Ground', holds: 'no size yet', lacks: true, to: '#b' },
];
const doNothing = () => undefined;

const Exhibit = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box marginBottom="18px">
    <chakra.h3 fontSize="13px" color="ink.soft">
      {name}
    </chakra.h3>
    {children}
  </Box>
);

function Components() {
  const notices = useNotices();
  return (
    <>
      <Exhibit name="TopBar, CommandButton, Button">
        <TopBar acts={<CommandButton icon={Copy} label="Copy" />}>
          <Button variant="solid">solid</Button>
          <Button>outline</Button>
          <Button variant="ghost">ghost</Button>
          <Button disabled>disabled</Button>
          <Button loading>loading</Button>
          <SampleBadge />
        </TopBar>
      </Exhibit>
      <Exhibit name="Tape">
        <Tape stops={STOPS} current="a" onPart={doNothing} />
      </Exhibit>
      <Exhibit name="TermInput, one of each origin, and wrong">
        {ORIGINS.map((origin) => (
          <TermInput key={origin} label={origin} origin={origin} defaultValue={nameOf('origin', origin)} />
        ))}
        <TermInput label="wrong" origin="label" defaultValue="240-8" errorId="error-grade" />
        <FieldErrors error={WRONG} input="240-8" onUse={doNothing} />
      </Exhibit>
      <Exhibit name="WorkingLine, large and plain; ResultTerm; UnitPicker">
        <WorkingLine working={SAMPLE.lines.need} />
        <WorkingLine working={SAMPLE.lines.back} size="plain" />
        <ResultTerm term={termOf(SAMPLE.lines.total, 'total.amount')} label="Amount" />
        <UnitPicker
          label="unit"
          current="lb"
          shown="lb"
          options={[{ id: 'lb', symbol: 'lb', preview: null }]}
          onPick={doNothing}
        />
      </Exhibit>
      <Exhibit name="BigNumber, Bags">
        <BigNumber number="25.0" unit="lb" />
        <BigNumber number="1 230 000" unit="lb" />
        {SAMPLE.numbers.packages && (
          <Bags packages={{ ...SAMPLE.numbers.packages, whole: 3 }} label="Three packages" />
        )}
      </Exhibit>
      <Exhibit name="Notices">
        <Button onClick={() => notices.tell('Something was done.')}>Tell</Button>
        <Button onClick={() => notices.undoable('Something was deleted.', doNothing)}>With undo</Button>
      </Exhibit>
    </>
  );
}

/** Every shared component in both themes, at desk and at phone width: for looking at while building. */
export default function ComponentRoom() {
  return (
    <Box as="main" id="main" display="grid" gap="20px" padding="20px" gridTemplateColumns={{ xl: '1fr 1fr' }}>
      <title>Component room</title>
      {(['light', 'dark'] as const).map((theme) => (
        <Box key={theme} className={theme} bg="ground" color="ink" padding="16px">
          <Section heading={`${theme}, at a desk`}>
            <Components />
          </Section>
          <Box width="390px" maxWidth="100%" borderWidth="1px" borderColor="line.strong" padding="12px">
            <Section heading={`${theme}, at phone width`}>
              <Components />
            </Section>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

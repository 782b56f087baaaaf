import { Box, Button } from '@chakra-ui/react';
import { evaluateApplication, splitByPlan, type DoneRow } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say } from '@steady-scatter/words/winter';
import { appendApplication } from '../../kinds/useApplications.ts';
import { useNotices } from '../../notices/notices.tsx';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { Section } from '../../ui/Section.tsx';
import { typedAs } from './applicationFor.ts';

/** What really went out of one machine, weighed back: shared out over what it treated, as it was planned. */
export function WeighBack({ load, storm }: { load: readonly DoneRow[]; storm: string }) {
  const [text, setText] = useState('');
  const [tried, setTried] = useState(false);
  const notices = useNotices();
  const { input: first } = load[0]!;
  const { unit } = first.amount;
  const read = evaluateApplication({ ...first, amount: { text, unit, from: 'split' } });
  const save = () => {
    setTried(true);
    if (read.amountSi === null || read.errors.length > 0) return;
    const planned = load.map(({ input }) => evaluateApplication(input).amountSi ?? 0);
    splitByPlan(read.amountSi, planned).forEach((share, index) => {
      const row = load[index]!;
      void appendApplication({ subject: { kind: 'storms', id: storm }, of: row, input: { ...row.input, amount: { text: typedAs(share, unit), unit, from: 'split' }, correction: say('winter.round.weighedWhy') } });
    });
    setText('');
    setTried(false);
    notices.tell(say('winter.round.weighed', { count: load.length }));
  };
  return (
    <Section heading={say('winter.round.weighBack')}>
      <b>{[first.machine.name, first.product.name].join(', ')}</b>
      <Box>{say('winter.round.weighHow')}</Box>
      <Box display="flex" gap="12px" alignItems="end" flexWrap="wrap" marginTop="6px">
        <Box width="200px">
          <LabelledField label={say('winter.round.usedInAll')} inputMode="decimal" value={text} minHeight="56px" unit={<BareUnit text={text} unit={unit} />} error={tried ? read.errors[0] : undefined} onChange={setText} />
        </Box>
        <Button minHeight="56px" onClick={save}>{say('winter.round.share')}</Button>
      </Box>
    </Section>
  );
} // prettier-ignore

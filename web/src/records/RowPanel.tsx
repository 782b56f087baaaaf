import { Box, Button } from '@chakra-ui/react';
import { evaluateApplication, type ApplicationInput, type DoneRow } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say } from '@steady-scatter/words/record';
import { appendApplication, type Subject } from '../kinds/useApplications.ts';
import { BareUnit } from '../ui/BareUnit.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Panel } from '../ui/Panel.tsx';
import { rowText } from './rowText.ts';

type What = 'amount' | 'swept' | 'void';

/** What stands of an area is said anew: another amount, what was swept up, or that it does not count. */
export function RowPanel({ row, subject, onClose }: { row: DoneRow; subject: Subject; onClose(): void }) {
  const { input } = row;
  const [what, setWhat] = useState<What | null>(null);
  const [text, setText] = useState('');
  const [why, setWhy] = useState('');
  const [tried, setTried] = useState(false);
  const next = (): ApplicationInput => {
    if (what === 'void') return { ...input, void: why.trim(), correction: why.trim() };
    if (what === 'swept') return { ...input, swept: { text, unit: input.amount.unit, to: 'reused' }, correction: why.trim() || say('record.row.sweptWhy') };
    return { ...input, amount: { ...input.amount, text, from: 'weighed' }, correction: why.trim() };
  };
  const errors = what === null ? [] : evaluateApplication(next()).errors;
  const errorAt = (field: string) => (tried ? errors.find((error) => error.field === field) : undefined);
  const lacksWhy = what !== 'swept' && why.trim() === '';
  const save = () => {
    setTried(true);
    if (errors.length > 0 || lacksWhy) return;
    void appendApplication({ subject, input: next(), of: row });
    onClose();
  };
  return (
    <Panel
      title={say('record.row.title', { area: input.areaName, round: input.round || 'none' })}
      size="md"
      onClose={onClose}
      footer={what !== null && <Button variant="solid" minHeight="touch" onClick={save}>{say('record.row.save')}</Button>}
    >
      <Box marginBottom="10px">
        {rowText(input)}
        {input.correction && <Box color="ink.soft">{say('record.row.corrected', { why: input.correction })}</Box>}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="8px" marginBottom="12px">
        {(['amount', 'swept', 'void'] as const).map((id) => (
          <Button key={id} minHeight="touch" aria-pressed={what === id} variant={what === id ? 'solid' : 'outline'} onClick={() => { setWhat(id); setTried(false); }}>
            {say('record.row.what', { what: id })}
          </Button>
        ))}
      </Box>
      {what !== null && what !== 'void' && (
        <LabelledField
          label={say(what === 'amount' ? 'record.row.amount' : 'record.row.swept')}
          inputMode="decimal"
          value={text}
          error={errorAt(what === 'amount' ? 'amount.text' : 'swept.text')}
          unit={<BareUnit text={text} unit={input.amount.unit} />}
          onChange={setText}
        />
      )}
      {what !== null && what !== 'swept' && (
        <LabelledField label={say('record.row.why')} value={why} aria-invalid={tried && lacksWhy} onChange={setWhy} />
      )}
      {tried && lacksWhy && <Box color="warn" fontWeight="semibold">{say('record.row.needsWhy')}</Box>}
    </Panel>
  );
} // prettier-ignore

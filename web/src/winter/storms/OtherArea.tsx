import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readSize } from '@steady-scatter/core/fields';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/winter';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { AtArea } from './applicationFor.ts';

/** An area that stands on no site: it is named and measured as it is treated. */
export function OtherArea({ onAdd }: { onAdd(area: AtArea): void }) {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [size, setSize] = useState('');
  const [tried, setTried] = useState(false);
  const read = toResult(() => readSize(size, 'ft2', 'size'));
  if (!isOpen)
    return (
      <Button variant="ghost" minHeight="56px" onClick={() => setOpen(true)}>
        <Plus size={18} /> {say('winter.round.other')}
      </Button>
    );
  const add = () => {
    setTried(true);
    if (name.trim() === '' || read.error) return;
    onAdd({ name: name.trim(), siteName: '', areaM2: read.value.areaM2, isByHand: false, size });
    setOpen(false);
    setName('');
    setSize('');
    setTried(false);
  };
  return (
    <Box display="grid" gap="10px 14px" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr auto' }} alignItems="end" marginTop="8px">
      <LabelledField label={say('winter.round.otherName')} value={name} minHeight="56px" aria-invalid={tried && name.trim() === ''} onChange={setName} />
      <LabelledField label={say('winter.round.otherSize')} placeholder={say('winter.round.otherHint')} value={size} minHeight="56px" error={tried ? (read.error ?? undefined) : undefined} onChange={setSize} />
      <Button minHeight="56px" onClick={add}>{say('winter.round.otherAdd')}</Button>
    </Box>
  );
} // prettier-ignore

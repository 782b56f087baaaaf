import { Box, Button } from '@chakra-ui/react';
import { evaluateRig, type RigInput, type RigResult } from '@steady-scatter/core/machines';
import { Plus } from 'lucide-react';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/rigs';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { dayText } from '../ui/dayText.ts';
import { NotesField } from '../ui/formParts.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';

type Props = DocFormProps<RigInput>;

/** What was done to it, and when it is due again. */
export function Services(props: Props) {
  const { input, bind, field, add, removeAt } = props;
  const { services } = input;
  const due = services
    .map(({ dueDay }) => dueDay)
    .filter((day) => day !== '')
    .toSorted()[0];
  const text =
    services.length === 0
      ? say('rigs.service.none')
      : say('rigs.service.is', {
          count: services.length,
          due: due ? dayText(due) : 'none',
        });
  const isWrong = services.some((_, index) =>
    isWrongAt(props, `services.${index}.onDay`, `services.${index}.dueDay`),
  );
  return (
    <StatedDefault name={say('rigs.part.service')} text={text} isWrong={isWrong}>
      {services.map((service, index) => (
        <Box
          key={service.id}
          gridColumn="1 / -1"
          display="grid"
          gap="10px"
          gridTemplateColumns={{ base: '1fr', md: '170px 1fr 170px 44px' }}
          alignItems="end"
        >
          <LabelledField label={say('rigs.service.day')} type="date" {...field(`services.${index}.onDay`)} />
          <LabelledField label={say('rigs.service.work')} {...bind(`services.${index}.what`)} />
          <LabelledField label={say('rigs.service.due')} type="date" {...field(`services.${index}.dueDay`)} />
          <DeleteButton
            act={say('rigs.service.remove')}
            name={say('rigs.service.number', { number: index + 1 })}
            onDelete={() => removeAt('services', index)}
          />
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        justifySelf="start"
        onClick={() => add('services', { id: newId(), onDay: today(), what: '', dueDay: '' })}
      >
        <Plus size={18} /> {say('rigs.service.add')}
      </Button>
    </StatedDefault>
  );
}

/** What is looked at: what the kind asks for, and own additions, a line each. */
export function Checks({ input, set }: Props) {
  const { before, after } = evaluateRig({ ...input, before: [], after: [] });
  const own = [...input.before, ...input.after].filter((line) => line.trim() !== '').length;
  const list = (name: 'before' | 'after', label: string, given: RigResult['before']) => (
    <Box gridColumn="1 / -1">
      <Box fontSize="16px">{given.map(speak).join('; ')}.</Box>
      <NotesField
        label={label}
        value={input[name].join('\n')}
        onChange={(text) => set(name, text.split('\n').slice(0, 60))}
      />
    </Box>
  );
  return (
    <StatedDefault
      name={say('rigs.part.checks')}
      text={say('rigs.checks.are', {
        before: before.length,
        after: after.length,
        own,
      })}
    >
      {list('before', say('rigs.checks.before'), before)}
      {list('after', say('rigs.checks.after'), after)}
    </StatedDefault>
  );
}

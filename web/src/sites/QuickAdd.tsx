import { Box, Button, chakra } from '@chakra-ui/react';
import { toResult, type InputError } from '@steady-scatter/core/errors';
import { readQuickPart, SHAPE_KINDS, type QuickPart, type ShapeKind } from '@steady-scatter/core/ground';
import { useId, useState } from 'react';
import { nameOf, say } from '@steady-scatter/words/sites';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { errorId, FieldErrors } from '../ui/FieldErrors.tsx';
import { fieldBox } from '../ui/fieldBox.ts';

const Input = chakra('input', {
  base: { ...fieldBox, flex: '1 1 200px', minWidth: 0, minHeight: 'touch' },
});

const Shapes = chakra('select', {
  base: {
    ...fieldBox,
    width: { base: '100%', md: '146px' },
    flexShrink: 0,
    minHeight: 'touch',
  },
});

/** One line to call parts out in: type, Enter, type the next. */
export function QuickAdd({
  onAdd,
  onShape,
}: {
  onAdd(part: QuickPart): void;
  onShape(kind: ShapeKind): void;
}) {
  const id = useId();
  const [input, setInput] = useState('');
  const [error, setError] = useState<InputError | undefined>();
  useCommands([
    {
      id: 'call-out',
      label: say('sites.quick.command'),
      keys: 'Alt+P',
      run: () => document.getElementById(id)?.focus(),
    },
  ]);
  const add = () => {
    const { value, error: wrong } = toResult(() => readQuickPart(input, 'quick'));
    setError(wrong ?? undefined);
    if (!value) return;
    setInput('');
    onAdd(value);
  };
  return (
    <Box data-noprint marginBottom="10px">
      <Box display="flex" gap="8px" flexWrap={{ base: 'wrap', md: 'nowrap' }}>
        <Input
          id={id}
          aria-label={say('sites.quick.label')}
          placeholder={say('sites.quick.hint')}
          value={input}
          autoComplete="off"
          aria-invalid={error !== undefined}
          aria-describedby={errorId(error)}
          onChange={(event) => {
            setInput(event.target.value);
            setError(undefined);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            add();
          }}
        />
        <Button minHeight="touch" onClick={add}>
          {say('sites.quick.add')}
        </Button>
        <Shapes
          aria-label={say('sites.quick.shape')}
          value=""
          onChange={(event) => onShape(event.target.value as ShapeKind)}
        >
          <option value="" disabled>
            {say('sites.quick.orShape')}
          </option>
          {SHAPE_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {nameOf('shape', kind)}
            </option>
          ))}
        </Shapes>
      </Box>
      <FieldErrors error={error} input={input} />
    </Box>
  );
}

import { Box, chakra } from '@chakra-ui/react';
import { useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { useJobList } from '../jobs/useJobs.ts';
import { Panel } from '../ui/Panel.tsx';
import type { Command } from './commands.ts';
import { entriesOf, findEntries, type Entry } from './findEntries.ts';

const KIND_WORDS = { act: 'do', job: 'job', area: 'area' } as const;

const Find = chakra('input', {
  base: {
    width: '100%',
    minHeight: '52px',
    fontSize: '18px',
    bg: 'ground',
    borderWidth: '1px',
    borderColor: 'line.strong',
    borderRadius: '8px',
    paddingX: '14px',
  },
});

const Option = ({ entry, active, onPick }: { entry: Entry; active: boolean; onPick(): void }) => (
  <Box
    id={entry.id}
    role="option"
    aria-selected={active}
    onMouseDown={(event) => event.preventDefault()}
    onClick={onPick}
    display="flex"
    alignItems="baseline"
    gap="12px"
    padding="10px 12px"
    borderRadius="8px"
    cursor="pointer"
    bg={active ? 'soft' : 'transparent'}
    outline={active ? '2px solid' : 'none'}
    outlineColor="water"
  >
    <chakra.span width="40px" flexShrink={0} fontSize="14px" color="ink.soft">
      {KIND_WORDS[entry.kind]}
    </chakra.span>
    <chakra.span flex="1" overflowWrap="anywhere">
      {entry.label}
    </chakra.span>
    <chakra.span fontSize="14px" color="ink.soft">
      {entry.detail}
    </chakra.span>
  </Box>
);

/** Finds acts, jobs and areas by a few letters. */
export default function GoTo({ acts, onClose }: { acts: readonly Command[]; onClose(): void }) {
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const { data: jobs = [] } = useJobList();
  const navigate = useNavigate();
  const found = findEntries(
    entriesOf(acts, jobs, (id) => void navigate(`/jobs/${id}`)),
    typed,
  );
  const active = found[Math.min(at, found.length - 1)];

  const pick = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    // The box gives the focus back first; then the act may take it.
    setTimeout(() => entry.run(), 50);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step)
      setAt((now) => (Math.min(now, found.length - 1) + step + found.length) % Math.max(1, found.length));
    else if (event.key === 'Enter') pick(active);
    else return;
    event.preventDefault();
  };

  return (
    <Panel title="Go to" onClose={onClose} size="md">
      <Find
        role="combobox"
        aria-label="Find a job, an area or an act"
        aria-expanded
        aria-controls="go-to-list"
        aria-activedescendant={active?.id}
        autoFocus
        autoComplete="off"
        placeholder="A job, an area, or what to do"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
      />
      <Box id="go-to-list" role="listbox" aria-label="Found" marginTop="10px" minHeight="200px">
        {found.map((entry) => (
          <Option key={entry.id} entry={entry} active={entry === active} onPick={() => pick(entry)} />
        ))}
      </Box>
      {found.length === 0 && (
        <Box role="status" padding="10px 12px">
          Nothing here is called that.
        </Box>
      )}
    </Panel>
  );
}

import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Hit } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { say } from '@steady-scatter/words/shell';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { useList } from '../documents/docs.ts';
import { useSought } from '../documents/useSought.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { Panel } from '../ui/Panel.tsx';
import { useStable } from '../ui/useStable.ts';
import type { Command } from '../commands/commands.ts';
import { commandEntries, groupsOf, hitEntries, MAX_FOUND, type Entry } from './findEntries.ts';

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
    <chakra.span flex="1 1 55%" overflowWrap="anywhere">
      {entry.label}
    </chakra.span>
    <chakra.span fontSize="14px" color="ink.soft" textAlign="right" overflowWrap="anywhere">
      {entry.detail}
    </chakra.span>
  </Box>
);

/** What is stored and has the words; the latest jobs while nothing is typed. Null until the answer to just these words is there. */
function useHits(q: string): Hit[] | null {
  const { data, isError } = useQuery(
    {
      queryKey: ['search', q],
      queryFn: ({ signal }) => call('search', { query: { q, limit: MAX_FOUND }, signal }),
      enabled: q !== '',
    },
    queries,
  );
  const { data: latest } = useList(JOBS, { limit: MAX_FOUND }, q === '');
  if (q !== '') return data?.hits ?? (isError ? [] : null);
  const hits = latest?.lines.map((line): Hit => ({ kind: 'jobs', id: line.id, name: line.name, found: null, onDay: line.isReadable ? line.onDay : null, isSample: line.isSample })); // prettier-ignore
  return hits ?? [];
}

type KeyPress = Pick<KeyboardEvent, 'key' | 'preventDefault'>;

/**
 * The box gets what is typed before the focus has come to the panel: with letters lost, Enter would do something else.
 */
function useKeysFromAnywhere(onKeyDown: (event: KeyPress) => void) {
  const box = useRef<HTMLInputElement>(null);
  const press = useStable(onKeyDown);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target, ctrlKey, metaKey, altKey } = event;
      const panel = box.current?.closest('[role=dialog]');
      if (target instanceof Node && panel?.contains(target)) return;
      if (ctrlKey || metaKey || altKey) return;
      // Focus that comes within the press of a key gets the letter of it.
      box.current?.focus();
      press(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [press]);
  return box;
}

/** Finds what can be done, and everything that is stored, by a few letters. */
export default function GoTo({ acts, onClose }: { acts: readonly Command[]; onClose(): void }) {
  const { value: input, onChange: setInput, q } = useSought();
  const [at, setAt] = useState(0);
  const answer = useHits(q);
  // Hits for other words than these would be opened by Enter.
  const hits = q === input.trim() ? answer : null;
  const navigate = useNavigate();
  const found = groupsOf(
    [...commandEntries(acts, input), ...hitEntries(hits ?? [], (path) => void navigate(path))].slice(
      0,
      MAX_FOUND,
    ),
  ).flatMap(([, entries]) => entries);
  const active = found[Math.min(at, found.length - 1)];

  const pick = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    // The box gives the focus back first; then the act may take it.
    setTimeout(() => entry.run(), 50);
  };
  const onKeyDown = (event: KeyPress) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step)
      setAt((now) => (Math.min(now, found.length - 1) + step + found.length) % Math.max(1, found.length));
    else if (event.key === 'Enter') pick(active);
    else return;
    event.preventDefault();
  };
  const box = useKeysFromAnywhere(onKeyDown);

  return (
    <Panel title={say('shell.goTo')} onClose={onClose} size="md">
      <Find
        ref={box}
        role="combobox"
        aria-label={say('shell.goToLabel')}
        aria-expanded
        aria-controls="go-to-list"
        aria-activedescendant={active?.id}
        autoFocus
        autoComplete="off"
        placeholder={say('shell.goToHint')}
        value={input}
        onChange={(event) => {
          setInput(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
      />
      <Box id="go-to-list" role="listbox" aria-label={say('shell.found')} marginTop="10px" minHeight="200px">
        {groupsOf(found).map(([kind, entries]) => (
          <Box key={kind} role="group" aria-label={kind}>
            <Box fontSize="14px" fontWeight="semibold" color="ink.soft" padding="8px 12px 2px" aria-hidden>
              {kind}
            </Box>
            {entries.map((entry) => (
              <Option key={entry.id} entry={entry} active={entry === active} onPick={() => pick(entry)} />
            ))}
          </Box>
        ))}
      </Box>
      {hits && found.length === 0 && (
        <Box role="status" padding="10px 12px">
          {say('shell.noMatch')}
        </Box>
      )}
    </Panel>
  );
}

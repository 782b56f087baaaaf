import { Box, chakra, createListCollection, Listbox } from '@chakra-ui/react';
import { doneRows, type ApplicationRow } from '@steady-scatter/core/season';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Hit } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { say } from '@steady-scatter/words/shell';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { useList } from '../documents/docs.ts';
import { useSought } from '../documents/useSought.ts';
import { useRows } from '../events/appended.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { Panel } from '../ui/Panel.tsx';
import { useStands } from '../ui/useStands.ts';
import type { Command } from '../commands/commands.ts';
import type { PanelProps } from '../commands/CommandsProvider.tsx';
import {
  commandEntries,
  groupsOf,
  hitEntries,
  logEntry,
  lotEntries,
  MAX_FOUND,
  recordEntries,
  type Entry,
  type LotMove,
} from './findEntries.ts';

const Option = ({ entry }: { entry: Entry }) => (
  <Listbox.Item item={entry}>
    <Listbox.ItemText>{entry.label}</Listbox.ItemText>
    <chakra.span fontSize="14px" color="ink.soft" textAlign="right" overflowWrap="anywhere">
      {entry.detail}
    </chakra.span>
  </Listbox.Item>
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

/**
 * The box gets what is typed before the focus has come to the panel: with letters lost, Enter would do something else.
 */
function useKeysFromAnywhere() {
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target, key, ctrlKey, metaKey, altKey } = event;
      const panel = box.current?.closest('[role=dialog]');
      if (target instanceof Node && panel?.contains(target)) return;
      if (ctrlKey || metaKey || altKey) return;
      // Focus that comes within the press of a key gets the letter of it; what is no letter is handed on.
      box.current?.focus();
      if (key.length > 1) box.current?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })); // prettier-ignore
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return box;
}

const NO_MOVES: readonly LotMove[] = [];

/** Lots by their names, and records as far as this device has them: none is fetched for a few letters. */
function useLotsAndRecords(q: string, open: (path: string) => void): Entry[] {
  const { data: moves = NO_MOVES } = useRows('stockMoves', null);
  const { data: products } = useList(PRODUCTS, {}, q !== '');
  const rows = useMemo(() => (q === '' ? [] : doneRows(queries.getQueryData<ApplicationRow[]>(['applications', 'all']) ?? [])), [q]); // prettier-ignore
  const nameOf = (id: string) => products?.lines.find((line) => line.id === id)?.name ?? '';
  return [...lotEntries(q, moves, nameOf, open), ...recordEntries(q, rows, open)];
}

/** What can be done and what is stored, each kind under its name, as the words find it. */
function useFound(acts: readonly Command[], input: string, q: string) {
  const answer = useHits(q);
  const navigate = useNavigate();
  // Hits for other words than these would be opened by Enter.
  const hits = q === input.trim() ? answer : null;
  const open = (path: string) => void navigate(path);
  const found = [...commandEntries(acts, input), ...hitEntries(hits ?? [], open)].slice(0, MAX_FOUND);
  const own = useLotsAndRecords(q, open);
  const entries = hits !== null && q !== '' ? [...found, ...own, logEntry(q, open)] : found;
  const groups = groupsOf(entries);
  const items = groups.flatMap(([, each]) => [...each]);
  return {
    groups,
    collection: createListCollection({ items, itemToValue: ({ id }) => id, itemToString: ({ label }) => label }), // prettier-ignore
    isNothing: hits !== null && found.length === 0 && own.length === 0,
  };
}

/** Finds what can be done, and everything that is stored, by a few letters. */
export default function GoTo({
  acts,
  typedAhead,
  onClose,
}: Pick<PanelProps, 'acts' | 'typedAhead' | 'onClose'>) {
  // prettier-ignore
  const { value: input, onChange: setInput, q } = useSought();
  const [at, setAt] = useState<string | null>(null);
  const { groups, collection, isNothing } = useFound(acts, input, q);
  const active = collection.find(at) ?? collection.at(0);
  const box = useKeysFromAnywhere();
  const stands = useStands();
  useEffect(() => {
    const typed = typedAhead();
    if (typed !== '') setInput(typed);
  }, [setInput, typedAhead]);

  const pick = (id: string) => {
    onClose();
    // The box gives the focus back first; then the act may take it.
    setTimeout(() => collection.find(id)?.run(), 50);
  };

  return (
    <Panel title={say('shell.goTo')} onClose={onClose} size="md">
      <Listbox.Root
        collection={collection}
        value={[]}
        loopFocus
        highlightedValue={active?.id ?? null}
        onHighlightChange={({ highlightedValue }) => setAt(highlightedValue)}
        onSelect={({ value }) => pick(value)}
      >
        <Listbox.Input
          ref={box}
          role="combobox"
          aria-label={say('shell.goToLabel')}
          aria-expanded
          autoFocus
          placeholder={say('shell.goToHint')}
          value={input}
          onChange={(event) => {
            setInput(event.target.value);
            setAt(null);
          }}
        />
        <Listbox.Content aria-label={say('shell.found')}>
          {(stands ? groups : []).map(([kind, entries]) => (
            <Listbox.ItemGroup key={kind}>
              <Listbox.ItemGroupLabel>{kind}</Listbox.ItemGroupLabel>
              {entries.map((entry) => (
                <Option key={entry.id} entry={entry} />
              ))}
            </Listbox.ItemGroup>
          ))}
        </Listbox.Content>
      </Listbox.Root>
      {isNothing && (
        <Box role="status" padding="10px 12px">
          {say('shell.noMatch')}
        </Box>
      )}
    </Panel>
  );
}

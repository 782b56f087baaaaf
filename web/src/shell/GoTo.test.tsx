import { jobs, type Hit } from '@steady-scatter/contract';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { call } from '../api/lazyCall.ts';
import { inApp, keepDemo, keepList } from '../testing/inApp.tsx';
import GoTo from './GoTo.tsx';

const asked = vi.mocked(call);
const newSheet = vi.fn();
const COMMANDS = [{ id: 'new', label: 'New sheet', keys: 'n', run: newSheet }];
const hit = (more: Partial<Hit>): Hit => ({ kind: 'jobs', id: '1', name: 'Spring feed', found: null, onDay: '2026-04-18', isSample: true, ...more }); // prettier-ignore

beforeEach(() => {
  keepDemo();
  keepList(jobs, { limit: 12 }, [{ id: '9', isReadable: true, name: 'Latest feed', onDay: '2026-09-14', isSample: true }]); // prettier-ignore
  asked.mockResolvedValue({ hits: [hit({ found: 'Slipway bank' }), hit({ kind: 'sites', id: '2', name: 'Slipway', onDay: null })] }); // prettier-ignore
});
const open = (onClose = vi.fn(), typedAhead = () => '') =>
  inApp(<GoTo acts={COMMANDS} typedAhead={typedAhead} onClose={onClose} />);
const options = () => screen.getAllByRole('option').map(({ textContent }) => textContent);
const box = () => screen.getByRole('combobox', { name: 'Find anything stored, or something to do' });

it('offers what can be done, and the latest jobs, before anything is typed', () => {
  open();
  expect(options()).toEqual(['New sheetn', 'Latest feed14\u00a0Sep\u00a02026']);
  expect(asked).not.toHaveBeenCalled();
});

it('finds among everything that is stored once somebody pauses, and tells what has the words', async () => {
  const person = open();
  await person.type(box(), 'slip');
  await waitFor(() => expect(options()).toEqual(['Spring feedSlipway bank, 18\u00a0Apr\u00a02026', 'Slipway', 'Slipway bank, Lake frontAutumn feed 22-2-11, 15\u00a0Sep\u00a02026', 'Slipway bank, Lake frontLake feed 24-0-8, 18\u00a0Apr\u00a02026', 'Slipway bank, Lake frontAutumn feed 22-2-11, 9\u00a0Sep\u00a02025', 'Records with “slip”'])); // prettier-ignore
  expect(asked).toHaveBeenCalledTimes(1);
  expect(asked).toHaveBeenCalledWith('search', expect.objectContaining({ query: { q: 'slip', limit: 12 } }));
});

it('each kind stands together, under its name, whatever the order in which they were found', async () => {
  asked.mockResolvedValue({ hits: [hit({ id: '1', name: 'A' }), hit({ kind: 'sites', id: '2', name: 'B', onDay: null }), hit({ id: '3', name: 'C' })] }); // prettier-ignore
  const person = open();
  await person.type(box(), 'x');
  await waitFor(() => expect(screen.getAllByRole('group').map((group) => document.getElementById(group.getAttribute('aria-labelledby') ?? '')?.textContent)).toEqual(['Jobs', 'Sites', 'Records'])); // prettier-ignore
  expect(options().map((text) => text?.[0])).toEqual(['A', 'C', 'B', 'R']);
  // The keys go by what is seen.
  await person.keyboard('{ArrowDown}');
  expect(document.getElementById(box().getAttribute('aria-activedescendant') ?? '')?.textContent).toContain(
    'C',
  );
});

it('is worked by keys alone', async () => {
  const onClose = vi.fn();
  const person = open(onClose);
  await person.type(box(), '{ArrowDown}{ArrowUp}{Enter}');
  expect(onClose).toHaveBeenCalled();
  await waitFor(() => expect(newSheet).toHaveBeenCalled());
});

it('gets what is typed while the focus is still elsewhere', async () => {
  const onClose = vi.fn();
  const person = open(onClose);
  box().blur();
  await person.keyboard('new sh');
  expect(box()).toHaveProperty('value', 'new sh');
  expect(options()).toEqual(['New sheetn']);
  box().blur();
  await person.keyboard('{Enter}');
  await waitFor(() => expect(newSheet).toHaveBeenCalled());
});

it('begins with what was typed before it stood', () => {
  open(vi.fn(), () => 'new sh');
  expect(box()).toHaveProperty('value', 'new sh');
  expect(options()).toEqual(['New sheetn']);
});

it('says that nothing is called that', async () => {
  asked.mockResolvedValue({ hits: [] });
  const person = open();
  await person.type(box(), 'zzz');
  expect(await screen.findByText('No match')).toBeTruthy();
});

it('opens nothing that was found for other words', async () => {
  const onClose = vi.fn();
  const person = open(onClose);
  await person.type(box(), 'slip');
  await screen.findByText('Spring feed');
  asked.mockReturnValue(new Promise(() => undefined));
  await person.type(box(), 's{Enter}');
  expect(screen.queryByRole('option')).toBeNull();
  expect(screen.queryByText('No match')).toBeNull();
  expect(onClose).not.toHaveBeenCalled();
});

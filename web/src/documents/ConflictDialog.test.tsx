import { screen, within } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import ConflictDialog from './ConflictDialog.tsx';
import type { Doc } from './docs.ts';

interface Lawn {
  readonly name: string;
  readonly need: { readonly nutrient: string; readonly amount: string; readonly unit: string };
  readonly areas: readonly { readonly id: string; readonly name: string; readonly size: string }[];
}
const base: Lawn = { name: 'Spring', need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' }, areas: [{ id: 'a', name: 'Front', size: '60 x 38' }] }; // prettier-ignore
const doc = (input: Lawn): Doc<Lawn> => ({ id: 'x', version: 5, schemaVersion: 1, isSample: false, input, changedAt: '' }); // prettier-ignore

function open(mine: Lawn, theirs: Lawn | null) {
  const on = { onSave: vi.fn(), onTakeTheirs: vi.fn(), onClose: vi.fn() };
  const person = inApp(
    <ConflictDialog one="job" conflict={{ base, mine, theirs: theirs && doc(theirs) }} {...on} />,
  );
  return { person, ...on };
}
const group = (name: string | RegExp) => screen.getByRole('group', { name });
const side = (name: string | RegExp, whose: RegExp) =>
  within(group(name)).getByRole('radio', { name: whose });

const mine: Lawn = { ...base, need: { ...base.need, amount: '0.9' }, areas: [{ id: 'a', name: 'Front', size: '61 x 38' }] }; // prettier-ignore
const theirs: Lawn = { ...base, name: 'Late', areas: [{ id: 'a', name: 'Front', size: '62 x 38' }, { id: 'b', name: 'Back', size: '10' }] }; // prettier-ignore

it('shows each value with both sides as they read, proposes who changed it, and says where both did', () => {
  open(mine, theirs);
  expect(screen.getAllByRole('group').map((each) => each.textContent)).toEqual([
    'NameMine: SpringTheirs: Late',
    'NeedMine: N 0.9 lb / 1000 ft²Theirs: N 0.8 lb / 1000 ft²',
    'Area, Front, size · both changed itMine: 61 x 38Theirs: 62 x 38',
    'Area, BackMine: not thereTheirs: Back, 10',
  ]);
  expect(side('Name', /Theirs/)).toHaveProperty('checked', true);
  expect(side('Need', /Mine/)).toHaveProperty('checked', true);
  expect(side('Area, Back', /Theirs/)).toHaveProperty('checked', true);
});

it('saves what is chosen: what each side alone changed, and a choice where both did', async () => {
  const { person, onSave } = open(mine, theirs);
  await person.click(side(/^Area, Front, size/, /Theirs/));
  await person.click(screen.getByRole('button', { name: 'Save what is chosen' }));
  expect(onSave).toHaveBeenCalledWith({ name: 'Late', need: mine.need, areas: theirs.areas });
});

it('keeps one side whole', async () => {
  const { person, onSave, onTakeTheirs } = open(mine, theirs);
  await person.click(screen.getByRole('button', { name: 'Keep my version' }));
  expect(onSave).toHaveBeenCalledWith(mine);
  await person.click(screen.getByRole('button', { name: 'Show their version' }));
  expect(onTakeTheirs).toHaveBeenCalled();
});

it('of what was deleted elsewhere it asks whether to restore it', async () => {
  const { person, onSave } = open(mine, null);
  expect(screen.getByRole('dialog', { name: 'Deleted elsewhere' })).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Restore it with mine' }));
  expect(onSave).toHaveBeenCalledWith(mine);
});

it('an area reads as it is typed, without its id', () => {
  const area = { id: '0196334f-f401', name: 'Bandstand lawn', size: '62 x 38 ft', unit: 'ft2' };
  const conflict = { base: { areas: [area] }, mine: { areas: [area] }, theirs: doc({ areas: [] } as never) };
  inApp(<ConflictDialog one="job" conflict={conflict as never} onSave={vi.fn()} onTakeTheirs={vi.fn()} onClose={vi.fn()} />); // prettier-ignore
  expect(group('Area, Bandstand lawn').textContent).toBe('Area, Bandstand lawnMine: Bandstand lawn 62 x 38 ftTheirs: not there'); // prettier-ignore
});

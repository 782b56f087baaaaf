import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { keepDemo, inApp } from '../testing/inApp.tsx';
import { DocList } from './DocList.tsx';
import type { Doc, DocKind } from './docs.ts';

interface Typed {
  readonly name: string;
  readonly onDay: string;
}

const doc = (id: string, name: string, onDay: string): Doc<Typed> => ({ id, version: 1, isSample: false, typed: { name, onDay }, changedAt: '2026-04-18T08:00:00.000Z' }); // prettier-ignore
const remove = vi.fn(async () => undefined);
const KIND: DocKind<Typed> = {
  root: 'things',
  one: 'thing',
  home: { path: '/things', label: 'Things' },
  errorsOf: () => [],
  complete: (held) => held,
  list: async () => [],
  read: async (id) => doc(id, '', ''),
  write: async (id) => doc(id, '', ''),
  remove,
  restore: async (id) => doc(id, '', ''),
};
const cell = ({ onDay }: Typed) => {
  if (onDay === 'broken') throw new RangeError('Invalid time value');
  return onDay;
};

beforeEach(() => {
  keepDemo({
    things: [doc('1', 'First', '2026-04-18'), doc('2', 'Second', 'broken'), doc('3', 'Third', '2026-05-02')],
  });
  // React tells of what a boundary caught.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});

const list = () => inApp(<DocList kind={KIND} heading="Things" tabs={null} empty="None." columns={[{ header: 'Day', cell }]} />); // prettier-ignore

it('one that cannot be shown is one line that says so; the others stand as ever', () => {
  list();
  expect(screen.getByText('▲ “Second” cannot be shown: something in it is not readable.')).toBeTruthy();
  for (const name of ['First', 'Third']) expect(screen.getByRole('link', { name })).toBeTruthy();
  expect(screen.getAllByRole('row')).toHaveLength(4);
});

it('and it can be deleted there, with a way back', async () => {
  const person = list();
  await person.click(screen.getByRole('button', { name: 'Delete Second' }));
  expect(remove).toHaveBeenCalledWith('2');
  const told = await screen.findByText('Deleted “Second”.');
  expect(within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' })).toBeTruthy(); // prettier-ignore
});

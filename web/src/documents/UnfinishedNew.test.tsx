import { blankRig } from '@steady-scatter/core/machines';
import { screen, waitFor } from '@testing-library/react';
import { Link } from 'react-router';
import { beforeEach, expect, it } from 'vitest';
import { RIGS } from '../kinds/useRigs.ts';
import { freshDevice } from '../testing/device.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { DocPage, type DocFormProps } from './DocPage.tsx';
import { drafts, holdDraft, unfinishedOf } from './drafts.ts';

type Input = ReturnType<typeof blankRig>;
const rig = (name: string): Input => ({ ...blankRig('us'), name });
const begun = (name: string, heldAs: string) => holdDraft(RIGS, heldAs, { input: rig(name), base: null });

const Form = ({ input, set }: DocFormProps<Input>) => (
  <input aria-label="Name" value={input.name} onChange={({ target }) => set('name', target.value)} />
);
const page = () =>
  inApp(
    <>
      <Link to="/bench/rigs/new">Another</Link>
      <DocPage kind={RIGS} blank={() => blankRig('us')} renderForm={(props) => <Form {...props} />} />
    </>,
    '/bench/rigs/new',
  );
const name = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Name' });

beforeEach(async () => {
  await freshDevice();
  keepDemo();
});

it('a new one is blank each time, and what was begun is offered beside it', async () => {
  const person = page();
  await person.type(name(), 'Red spreader');
  await person.click(screen.getByRole('link', { name: 'Another' }));
  expect(name().value).toBe('');
  await person.type(name(), 'Grey truck');
  await person.click(screen.getByRole('link', { name: 'Red spreader' }));
  expect(name().value).toBe('Red spreader');
  // The other one is offered in turn.
  expect(screen.getByRole('link', { name: 'Grey truck' })).toBeDefined();
});

it('one without a name is offered too, three at most, the latest first', async () => {
  const names = ['A', 'B', '', 'D'];
  await Promise.all(names.map((each, index) => drafts.set(`rigs:new-${index}:tab`, { schemaVersion: RIGS.kind.schemaVersion, input: rig(each), base: null, at: index }))); // prettier-ignore
  page();
  const links = screen.getAllByRole('link').map(({ textContent }) => textContent);
  expect(links).toEqual(expect.arrayContaining(['D', 'no name', 'B']));
  expect(links).not.toContain('A');
  expect(unfinishedOf(RIGS, 'new').map(({ input }) => input.name)).toEqual(['D', '', 'B', 'A']);
});

it('is deleted with a way back', async () => {
  await begun('Red spreader', 'new-1');
  await holdDraft(RIGS, 'stored', { input: rig('Not new'), base: null });
  const person = page();
  expect(screen.queryByRole('link', { name: 'Not new' })).toBeNull();
  await person.click(screen.getByRole('button', { name: 'Delete' }));
  await waitFor(() => expect(screen.queryByRole('link', { name: 'Red spreader' })).toBeNull());
  expect(unfinishedOf(RIGS, 'new')).toEqual([]);
  await person.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(screen.getByRole('link', { name: 'Red spreader' })).toBeDefined());
});

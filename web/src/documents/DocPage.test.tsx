import { blankSoilTest } from '@steady-scatter/core/need';
import { act, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { fetched, inApp, keepDemo } from '../testing/inApp.tsx';
import { DocPage, type DocFormProps, type DocFormWithWayOn } from './DocPage.tsx';
import { keysOf } from './docs.ts';

type Input = ReturnType<typeof blankSoilTest>;
const of = (name: string): Input => ({ ...blankSoilTest('kg/ha', '2026-04-18'), name });
const stored = (name: string, version: number) => ({ ...fetched('soil', of(name)), version });
const key = keysOf(SOIL_TESTS.kind).one('soil');

const Form = ({ input, onChange }: DocFormProps<Input>) => (
  <input
    aria-label="Name"
    value={input.name}
    onChange={({ target }) => onChange({ ...input, name: target.value })}
  />
);
const page = () =>
  inApp(
    <DocPage kind={SOIL_TESTS} blank={() => of('')} renderForm={(props) => <Form {...props} />} />,
    '/jobs/soil',
  );
const name = () => screen.getByRole('textbox', { name: 'Name' });

beforeEach(async () => {
  await freshDevice();
  keepDemo();
  queries.setQueryData(key, stored('First', 1));
});

it('shows what another device stored, one after the other', async () => {
  page();
  expect(name()).toHaveProperty('value', 'First');
  act(() => {
    queries.setQueryData(key, stored('Second', 2));
  });
  act(() => {
    queries.setQueryData(key, stored('Third', 3));
  });
  await waitFor(() => expect(name()).toHaveProperty('value', 'Third'));
});

it('leaves what is being typed where another device stored something', async () => {
  const person = page();
  await person.type(name(), ', lake front');
  act(() => {
    queries.setQueryData(key, stored('Second', 2));
  });
  expect(name()).toHaveProperty('value', 'First, lake front');
  expect(screen.getByText('unsaved changes')).toBeTruthy();
});

describe('saving', () => {
  let server: ReturnType<typeof fakeServer>;
  beforeEach(() => {
    server = fakeServer();
    vi.mocked(callDocuments).mockImplementation(server.documents);
  });
  const keep = () => screen.getByRole('button', { name: /^Save/ });

  it('is kept from it by what is missing, and saved once that is there', async () => {
    queries.removeQueries({ queryKey: key });
    const person = inApp(<DocPage kind={SOIL_TESTS} blank={() => of('')} renderForm={(props) => <Form {...props} />} />, '/shelf/soil/new'); // prettier-ignore
    await person.click(keep());
    expect(server.of('soilTests')).toEqual([]);
    await person.type(name(), 'Lake front');
    await person.click(keep());
    await waitFor(() => expect(server.of('soilTests')).toMatchObject([{ input: { name: 'Lake front' } }]));
  });

  it('what leads on right after a change saves that first; where nothing was changed it leads on at once', async () => {
    const went: string[] = [];
    const Way = ({ set, keepThen }: DocFormWithWayOn<Input>) => (
      <>
        <button type="button" onClick={() => (set('name', 'Second'), keepThen((id) => went.push(id)))}>
          Change and go
        </button>
        <button type="button" onClick={() => keepThen((id) => went.push(id))}>
          Go
        </button>
      </>
    );
    const person = inApp(<DocPage kind={SOIL_TESTS} blank={() => of('')} renderForm={(props) => <Way {...props} />} />, '/jobs/soil'); // prettier-ignore
    await person.click(screen.getByRole('button', { name: 'Go' }));
    expect(went).toEqual(['soil']);
    expect(server.of('soilTests')).toEqual([]);
    await person.click(screen.getByRole('button', { name: 'Change and go' }));
    await waitFor(() => expect(went).toEqual(['soil', 'soil']));
    expect(server.of('soilTests')).toMatchObject([{ input: { name: 'Second' } }]);
  });
});

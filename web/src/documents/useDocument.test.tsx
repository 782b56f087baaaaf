import { KINDS } from '@steady-scatter/contract';
import { blankSoilTest, type SoilTestInput } from '@steady-scatter/core/need';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { useDoc, type Doc } from './docs.ts';
import { holdDraft, openDraft } from './drafts.ts';
import { stoppingErrors, useDocument } from './useDocument.ts';

const of = (name: string, lab = ''): SoilTestInput => ({
  ...blankSoilTest('kg/ha', '2026-04-18'),
  name,
  lab,
});

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
});

/** A document as its page has it: asked for, opened, and followed. */
async function opened(input: SoilTestInput) {
  server.put(KINDS.soilTests, 's', input);
  const page = renderHook(() => {
    const { data } = useDoc(SOIL_TESTS, 's');
    return data ? { doc: data } : null;
  });
  await waitFor(() => expect(page.result.current).not.toBeNull());
  const open = renderHook(
    ({ doc }: { doc: Doc<SoilTestInput> }) => useDocument(SOIL_TESTS, doc, { blank: () => of('') }),
    { initialProps: page.result.current! },
  );
  const draw = () => open.rerender(page.result.current!);
  return { open: open.result, draw, leave: open.unmount };
}
type Opened = Awaited<ReturnType<typeof opened>>['open'];
const type = (open: Opened, more: Partial<SoilTestInput>) =>
  act(() => open.current.change({ ...open.current.input, ...more }));
const save = (open: Opened) => act(async () => void (await open.current.save().outcome));
const stored = () => server.of('soilTests')[0];
/** Somebody else saves it. */
const elsewhere = (input: SoilTestInput, version: number) => server.put(KINDS.soilTests, 's', input, version);

it('what keeps one from being saved is what the core reader finds, of a form that changed in place', () => {
  const values = of('');
  expect(stoppingErrors(SOIL_TESTS, values).map(({ code }) => code)).toEqual(['name.empty']);
  Object.assign(values, { name: 'Lake front' });
  expect(stoppingErrors(SOIL_TESTS, values)).toEqual([]);
});

describe('what is typed', () => {
  it('is a draft until it is saved, on the device with what it started from', async () => {
    const { open, draw } = await opened(of('Lake front'));
    expect(open.current.status).toBe('saved');
    type(open, { lab: 'County' });
    expect(open.current.status).toBe('draft');
    expect(openDraft(SOIL_TESTS, 's')).toMatchObject({
      input: { lab: 'County' },
      base: { version: 1, input: { lab: '' } },
    });
    await save(open);
    act(draw);
    expect(open.current.status).toBe('saved');
    expect(openDraft(SOIL_TESTS, 's')).toBeNull();
    expect(stored()).toMatchObject({ version: 2, input: { lab: 'County' } });
  });

  it('is there when it is opened again, and saved over what it started from', async () => {
    await holdDraft(SOIL_TESTS, 's', {
      input: of('Lake front', 'County'),
      base: { version: 1, input: of('Lake front') },
    });
    const { open } = await opened(of('Lake front'));
    expect(open.current).toMatchObject({ status: 'draft', input: { lab: 'County' } });
    await save(open);
    expect(stored()).toMatchObject({ version: 2, input: { lab: 'County' } });
  });

  it('stays where somebody else saved it meanwhile, which is told', async () => {
    const { open, draw } = await opened(of('Lake front'));
    type(open, { lab: 'County' });
    elsewhere(of('Renamed'), 2);
    await act(() => queries.invalidateQueries());
    await waitFor(() => {
      draw();
      expect(open.current.isOvertaken).toBe(true);
    });
    expect(open.current).toMatchObject({
      status: 'draft',
      input: { name: 'Lake front', lab: 'County' },
    });
  });

  it('is given up for what is saved, with what was typed for a way back', async () => {
    const { open } = await opened(of('Lake front'));
    type(open, { lab: 'County' });
    let typed: SoilTestInput | null = null;
    act(() => void (typed = open.current.discard()));
    expect(open.current).toMatchObject({ status: 'saved', input: { lab: '' } });
    act(() => open.current.replace(typed!));
    expect(open.current).toMatchObject({ status: 'draft', input: { lab: 'County' } });
  });
});

describe('saving', () => {
  it('twice before the page was shown what the first came to goes on from that', async () => {
    const { open } = await opened(of('Lake front'));
    type(open, { lab: 'County' });
    await save(open);
    type(open, { ph: '6.2' });
    await save(open);
    expect(stored()).toMatchObject({ version: 3, input: { lab: 'County', ph: '6.2' } });
    expect(waitingHere()).toEqual([]);
  });

  it('without an answer leaves it on the device, shown as saved there', async () => {
    const { open, draw } = await opened(of('Lake front'));
    server.isSilent = true;
    type(open, { lab: 'County' });
    await save(open);
    act(draw);
    expect(open.current).toMatchObject({ status: 'on-device', differs: false });
    act(() => server.comeBack());
    await waitFor(() => expect(stored()).toMatchObject({ version: 2 }));
  });

  it('what the server refuses is typed still, also when it is opened again', async () => {
    const { open, leave } = await opened(of('Lake front'));
    server.refuses = 'Something measured would be lost.';
    type(open, { lab: 'County' });
    await save(open);
    expect(open.current).toMatchObject({
      status: 'refused',
      refusal: { words: 'Something measured would be lost.' },
      input: { lab: 'County' },
    });
    leave();
    const again = await opened(of('Lake front'));
    expect(again.open.current).toMatchObject({ status: 'refused', input: { lab: 'County' } });
    server.refuses = null;
    await save(again.open);
    expect(stored()).toMatchObject({ input: { lab: 'County' } });
    expect(waitingHere()).toEqual([]);
  });
});

describe('a new one', () => {
  const begun = () =>
    renderHook(() => useDocument(SOIL_TESTS, null, { blank: () => of(''), heldAs: 'new' })).result;

  it('that is saved goes on under its own address, with what is typed until that is open', async () => {
    const open = begun();
    type(open, { name: 'Lake front' });
    expect(openDraft(SOIL_TESTS, 'new')?.input.name).toBe('Lake front');
    await save(open);
    expect(openDraft(SOIL_TESTS, 'new')).toBeNull();
    type(open, { lab: 'Hill' });
    expect(openDraft(SOIL_TESTS, 'new')).toBeNull();
    const { id } = open.current;
    const doc = server.of('soilTests').find((each) => each.id === id) as unknown as Doc<SoilTestInput>;
    expect(doc.input).toMatchObject({ name: 'Lake front', lab: '' });
    const { result: page } = renderHook(() => useDocument(SOIL_TESTS, doc, { blank: () => of('') }));
    expect(page.current.input).toMatchObject({ name: 'Lake front', lab: 'Hill' });
    expect([page.current.status, page.current.isOvertaken]).toEqual(['draft', false]);
    // Typed back to what was saved, nothing is held.
    type(open, { lab: '' });
    expect(openDraft(SOIL_TESTS, id)).toBeNull();
  });

  it('that the server refused is held as it was begun', async () => {
    const open = begun();
    type(open, { name: 'Lake front' });
    server.refuses = 'The day is none.';
    await save(open);
    type(open, { lab: 'Hill' });
    expect(openDraft(SOIL_TESTS, 'new')?.input.lab).toBe('Hill');
    expect(openDraft(SOIL_TESTS, open.current.id)).toBeNull();
  });
});

describe('what somebody else changed', () => {
  async function met() {
    const at = await opened(of('Lake front'));
    elsewhere(of('Renamed'), 5);
    type(at.open, { lab: 'County' });
    await save(at.open);
    await waitFor(() => expect(at.open.current.conflict).not.toBeNull());
    return at;
  }

  it('is met with both sides and what both began from', async () => {
    const { open } = await met();
    expect(open.current.status).toBe('refused');
    expect(open.current.conflict).toMatchObject({
      base: { name: 'Lake front', lab: '' },
      mine: { name: 'Lake front', lab: 'County' },
      theirs: { version: 5, input: { name: 'Renamed' } },
    });
    expect(stored()).toMatchObject({ version: 5, input: { lab: '' } });
  });

  it('is written over by a merge of both', async () => {
    const { open } = await met();
    await act(
      async () => void (await open.current.saveOver(open.current.conflict!.theirs, of('Renamed', 'County'))),
    );
    expect(stored()).toMatchObject({ version: 6, input: { name: 'Renamed', lab: 'County' } });
    expect(waitingHere()).toEqual([]);
    expect(open.current.input).toMatchObject({ name: 'Renamed', lab: 'County' });
  });

  it('is taken in place of what was typed, which is given back', async () => {
    const { open, draw } = await met();
    let typed: SoilTestInput | null = null;
    await act(async () => void (typed = await open.current.takeTheirs(open.current.conflict!.theirs!)));
    act(draw);
    expect(typed).toMatchObject({ lab: 'County' });
    expect(open.current).toMatchObject({ status: 'saved', input: { name: 'Renamed', lab: '' } });
    expect(waitingHere()).toEqual([]);
  });
});

it('what a key does not touch stays the same object, so that it is not worked out anew', async () => {
  const { open } = await opened(of('Lake'));
  const before = open.current.input;
  act(() => open.current.form.setValue('lab', 'Tarn lab'));
  expect(open.current.input).toEqual({ ...before, lab: 'Tarn lab' });
  expect(open.current.input.needs).toBe(before.needs);
  act(() => open.current.form.setValue('needs.N', '4'));
  expect(open.current.input.needs).not.toBe(before.needs);
  expect(before.needs.N).toBe('');
});

import { KINDS } from '@steady-scatter/contract';
import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { beforeEach, expect, it, vi } from 'vitest';
import { noteSilence } from '../api/connection.ts';
import { NotTaken, Unreachable } from '../api/errors.ts';
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { keysOf } from './docs.ts';
import { saveDoc, saveNew } from './saving.ts';

const rig = (name: string): RigInput => ({ ...blankRig('us'), name });
const from = (version: number, name: string) => ({ version, input: rig(name) });
const save = (version: number, before: string, name: string) =>
  saveDoc(RIGS, 'r', { base: from(version, before), input: rig(name) });

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
});

it('says by which schema it was written, and shows what came back', async () => {
  server.put(KINDS.rigs, 'r', rig('Red'));
  expect(await save(1, 'Red', 'Blue').outcome).toEqual({ state: 'sent' });
  expect(vi.mocked(callDocuments).mock.calls[0]).toMatchObject([KINDS.rigs, 'write', { params: { id: 'r' }, body: { version: 1, schemaVersion: KINDS.rigs.schemaVersion } }]); // prettier-ignore
  expect(queries.getQueryData(keysOf(KINDS.rigs).one('r'))).toMatchObject({ version: 2, input: { name: 'Blue' } }); // prettier-ignore
});

it('what is saved while another is on its way goes on from what that came to', async () => {
  server.put(KINDS.rigs, 'r', rig('Red'));
  const [first, second] = [save(1, 'Red', 'Blue'), save(1, 'Red', 'Green')];
  expect(await Promise.all([first.outcome, second.outcome])).toEqual([{ state: 'sent' }, { state: 'sent' }]);
  expect(server.of('rigs')[0]).toMatchObject({ input: { name: 'Green' } });
});

it('what is saved anew takes the place of what waits, and starts from what that started from', async () => {
  server.put(KINDS.rigs, 'r', rig('Red'));
  server.isSilent = true;
  await save(1, 'Red', 'Blue').outcome;
  await save(1, 'Blue', 'Green').outcome;
  expect(waitingHere()).toMatchObject([{ entry: { name: 'Green', base: { version: 1, input: { name: 'Red' } } } }]); // prettier-ignore
  server.comeBack();
  await vi.waitFor(() => expect(waitingHere()).toEqual([]));
  expect(server.of('rigs')[0]).toMatchObject({ version: 2, input: { name: 'Green' } });
});

it('what the server has already, since its answer was lost, is as good as sent', async () => {
  server.put(KINDS.rigs, 'r', rig('Red'));
  vi.mocked(callDocuments).mockImplementationOnce(async (...asked) => {
    await server.documents(...asked);
    // Somebody saved the same thing once more, so that its version is another one.
    server.put(KINDS.rigs, 'r', rig('Blue'), 7);
    noteSilence();
    throw new Unreachable('The answer was lost.');
  });
  expect(await save(1, 'Red', 'Blue').outcome).toEqual({ state: 'waiting' });
  server.comeBack();
  await vi.waitFor(() => expect(waitingHere()).toEqual([]), { timeout: 4000 });
  expect(queries.getQueryData(keysOf(KINDS.rigs).one('r'))).toMatchObject({ version: 7 });
});

it('what is saved anew after an answer was lost goes on from what got there, and is nobody else’s', async () => {
  server.put(KINDS.rigs, 'r', rig('Red'));
  vi.mocked(callDocuments).mockImplementationOnce(async (...asked) => {
    await server.documents(...asked);
    noteSilence();
    throw new Unreachable('The answer was lost.');
  });
  expect(await save(1, 'Red', 'Blue').outcome).toEqual({ state: 'waiting' });
  expect(await save(1, 'Blue', 'Green').outcome).toEqual({ state: 'waiting' });
  server.comeBack();
  await vi.waitFor(() => expect(waitingHere()).toEqual([]), { timeout: 4000 });
  expect(server.of('rigs')[0]).toMatchObject({ version: 3, input: { name: 'Green' } });
});

it('what somebody else changed is refused with what stands there, and nothing is stored', async () => {
  server.put(KINDS.rigs, 'r', rig('Theirs'), 4);
  expect(await save(1, 'Red', 'Blue').outcome).toMatchObject({ state: 'refused', refusal: { code: 'changed-elsewhere', theirs: { version: 4 } } }); // prettier-ignore
  expect(server.of('rigs')[0]).toMatchObject({ version: 4, input: { name: 'Theirs' } });
  expect(waitingHere()).toHaveLength(1);
});

it('something new that is refused is told to who goes on with it, and waits nowhere', async () => {
  server.refuses = 'No room.';
  await expect(saveNew(RIGS, 'r', rig('Red'))).rejects.toThrow(NotTaken);
  expect(waitingHere()).toEqual([]);
});

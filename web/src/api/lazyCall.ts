import type { EventPage, StoredEvent } from '@steady-scatter/contract';
import { say } from '@steady-scatter/words/common';
import { atHand, type AtHand } from './atHand.ts';
import { connectionStore, noteSilence, noteUpdate, serverAnswers } from './connection.ts';
import { Renewed, Unreachable } from './errors.ts';

/**
 * Loads a part of the app that something is saved with. That it does not come means that the server does not answer, or has other parts
 * by now.
 *
 * @throws Unreachable, Renewed
 */
export async function loadPart<Part>(load: () => Promise<Part>): Promise<Part> {
  try {
    return await load();
  } catch {
    if (await serverAnswers()) {
      noteUpdate();
      throw new Renewed(say('common.partGone'));
    }
    noteSilence();
    throw new Unreachable(say('common.serverSilent'));
  }
}

type Call = (typeof import('./call.ts'))['call'];
type CallDocuments = (typeof import('./call.ts'))['callDocuments'];
type CallEvents = (typeof import('./call.ts'))['callEvents'];

const loadCall = () => loadPart(() => import('./call.ts'));

/** What is asked for comes from the server; where that does not answer, from what this device has at hand. */
async function orAtHand(ask: () => Promise<unknown>, otherwise: (device: AtHand) => Promise<unknown>): Promise<unknown> {
  const isSilent = !connectionStore.get().reachable;
  const device = isSilent ? await atHand() : null;
  if (device) return otherwise(device);
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    const now = await atHand();
    if (!now) throw error;
    return otherwise(now);
  }
} // prettier-ignore

/** As `call`, with the wire and its schemas loaded when something is first asked: a new sheet works without them. */
export const call: Call = async (name, input) => {
  const ask = async () => (await loadCall()).call(name, input);
  if (name !== 'search') return ask();
  const { q = '', limit = 12 } = input?.query ?? {};
  return orAtHand(ask, (device) => device.search(String(q), Number(limit))) as ReturnType<typeof ask>;
};

/** The same for the routes of what is measured or done. */
export const callEvents: CallEvents = async (event, verb, input) => {
  const ask = async () => {
    const answer = await (await loadCall()).callEvents(event, verb, input);
    const rows = verb === 'list' ? (answer as EventPage<unknown>).events : [answer as StoredEvent<unknown>];
    const noted = atHand().then((device) => device?.seenRows(event, rows));
    // What was appended waits on this device until it is at hand here.
    if (verb !== 'list') await noted;
    return answer;
  };
  return verb === 'list' ? orAtHand(ask, (device) => device.events(event, verb, input)) : ask();
};

/** The same for the routes of a stored kind. */
export const callDocuments: CallDocuments = async (kind, verb, input) => {
  const ask = async () => {
    const answer = await (await loadCall()).callDocuments(kind, verb, input);
    void atHand().then((device) => device?.seen(kind, verb, input, answer));
    return answer;
  };
  const isReading = verb === 'list' || verb === 'read' || verb === 'several';
  return isReading ? orAtHand(ask, (device) => device.documents(kind, verb, input)) : ask();
};

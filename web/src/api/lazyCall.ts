import { noteSilence, serverAnswers } from './connection.ts';
import { Renewed, Unreachable } from './errors.ts';

/**
 * Loads a part of the app that something is kept with. That it does not come means that the server does not answer, or has other parts
 * by now.
 *
 * @throws Unreachable, Renewed
 */
export async function loadPart<Part>(load: () => Promise<Part>): Promise<Part> {
  try {
    return await load();
  } catch {
    if (await serverAnswers()) throw new Renewed('This part of the page is not there any more.');
    noteSilence();
    throw new Unreachable('The server does not answer.');
  }
}

type Call = (typeof import('./call.ts'))['call'];

/** As `call`, with the wire and its schemas loaded when something is first asked: a new sheet works without them. */
export const call: Call = async (name, input) =>
  (await loadPart(() => import('./call.ts'))).call(name, input);

/** The same for the routes of what is measured or done. */
export const callEvents: (typeof import('./call.ts'))['callEvents'] = async (...asked) =>
  (await loadPart(() => import('./call.ts'))).callEvents(...asked);

/** The same for the routes of a stored kind. */
export const callDocuments: (typeof import('./call.ts'))['callDocuments'] = async (...asked) =>
  (await loadPart(() => import('./call.ts'))).callDocuments(...asked);

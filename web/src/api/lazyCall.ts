import { noteSilence } from './connection.ts';
import { Unreachable } from './errors.ts';

type Call = (typeof import('./call.ts'))['call'];

async function load(): Promise<Call> {
  try {
    return (await import('./call.ts')).call;
  } catch {
    noteSilence();
    throw new Unreachable('The server does not answer.');
  }
}

/** As `call`, with the wire and its schemas loaded when something is first asked: a new sheet works without them. */
export const call: Call = async (name, input) => (await load())(name, input);

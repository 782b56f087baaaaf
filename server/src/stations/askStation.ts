import { stationAnswer, type StationAnswer, type StationQuantity } from '@steady-scatter/core/winter';
import { say } from '@steady-scatter/words/server';
import { HttpProblem, plainProblem } from '../problems/HttpProblem.ts';

/** Longest that a station is waited for, ms, and most that it may answer, bytes. */
const TIMEOUT_MS = 4000;
const MAX_BYTES = 256 * 1024;

type Why = 'silent' | 'large' | 'unreadable' | 'none';
const stationDown = (why: Why) => plainProblem('station-down', say('server.stationWhy', { why }));

/** The body of an answer, as far as it may be long. */
async function bodyOf(response: Response): Promise<string> {
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  for await (const piece of response.body ?? []) {
    bytes += (piece as Uint8Array).byteLength;
    if (bytes > MAX_BYTES) throw stationDown('large');
    pieces.push(piece as Uint8Array);
  }
  return new TextDecoder().decode(Buffer.concat(pieces));
}

function read(text: string): StationAnswer {
  try {
    return stationAnswer.parse(JSON.parse(text));
  } catch {
    throw stationDown('unreadable');
  }
}

/**
 * Asks the one station that is configured: `GET <address>?of=pavement`.
 *
 * @param address null: none is configured
 * @throws HttpProblem station-down
 */
export async function askStation(
  address: string | null,
  of: StationQuantity,
  timeoutMs = TIMEOUT_MS,
): Promise<StationAnswer> {
  if (address === null) throw stationDown('none');
  const asked = new URL(address);
  asked.searchParams.set('of', of);
  try {
    const signal = AbortSignal.timeout(timeoutMs);
    const response = await fetch(asked, { signal, redirect: 'error', headers: { Accept: 'application/json' } }); // prettier-ignore
    if (!response.ok) throw stationDown('silent');
    return read(await bodyOf(response));
  } catch (error) {
    // What is told already is; anything else is a station that does not answer.
    throw error instanceof HttpProblem ? error : stationDown('silent');
  }
}

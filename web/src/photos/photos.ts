import { photoPath } from '@steady-scatter/contract';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/photos';
import { connectionStore, noteAnswer, noteSilence } from '../api/connection.ts';
import { Unreachable } from '../api/errors.ts';
import { queries } from '../api/queries.ts';
import { outbox, type PhotoEntry } from '../outbox/index.ts';
import { shrunk } from './shrunk.ts';

/** What a photo is about in the outbox. */
export const aboutPhoto = (id: string): string => `photos:${id}`;

/** Sends a photo that was taken here; the same one twice is harmless. */
export async function sendPhoto({ photo, picture, installation }: PhotoEntry): Promise<void> {
  const { INSTALLATION_HEADER } = await import('@steady-scatter/contract');
  const askedAt = performance.now();
  let response: Response;
  try {
    response = await fetch(photoPath(photo), {
      method: 'PUT',
      body: picture,
      headers: { 'Content-Type': 'image/jpeg', ...(installation && { [INSTALLATION_HEADER]: installation }) },
      signal: AbortSignal.timeout(90_000),
    });
  } catch {
    noteSilence(askedAt);
    throw new Unreachable(say('photos.silent'));
  }
  noteAnswer(response.headers.get('Date'), Date.now());
  if (!response.ok) throw await (await import('../api/call.ts')).readProblem(response);
  await queries.invalidateQueries({ queryKey: ['photo', photo] });
}

/**
 * Takes a photo: made smaller, held on this device at once, and sent in its order.
 *
 * @returns its id, by which a record names it
 * @throws NotAPicture where the file is none
 */
export async function takePhoto(file: Blob): Promise<string> {
  const id = newId();
  const picture = await shrunk(file);
  const { held } = outbox.add({
    id: newId(),
    what: 'photo',
    about: aboutPhoto(id),
    needs: [],
    name: say('photos.one'),
    at: new Date().toISOString(),
    installation: connectionStore.get().installation,
    photo: id,
    picture,
  });
  await held;
  return id;
}

import { createHash } from 'node:crypto';
import { PHOTO_LIMITS, PHOTO_TYPES, type PhotoFacts, type PhotoType } from '@steady-scatter/contract';
import { oneOf } from '@steady-scatter/words/things';
import { say } from '@steady-scatter/words/server';
import { imageSize } from 'image-size';
import type { Sequelize } from 'sequelize';
import type { Actor } from '../actor.ts';
import { PhotoRow } from '../models/index.ts';
import { notFound, plainProblem } from '../problems/HttpProblem.ts';
import { transact } from '../services/transact.ts';
import { cleaned, typeOf } from './clean.ts';

const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

const factsOf = ({ id, type, bytes, width, height, sha256, recordedAt, removedAt, removedWhy }: PhotoRow): PhotoFacts => ({
  id,
  type: PHOTO_TYPES.find((each) => each === type) ?? 'image/jpeg',
  bytes,
  width,
  height,
  sha256,
  recordedAt: recordedAt.toISOString(),
  removedAt: removedAt?.toISOString() ?? null,
  removedWhy,
}); // prettier-ignore

/** How large a picture is; none where its head says nothing. */
function sizeOf(bytes: Buffer): { readonly width: number; readonly height: number } | null {
  try {
    const { width, height } = imageSize(bytes);
    return width > 0 && height > 0 ? { width, height } : null;
  } catch {
    return null;
  }
}

/** A picture that may be kept, looked at by its content, with what a camera wrote beside it taken out. */
function readPicture(sent: Buffer) {
  const type = typeOf(sent);
  const size = type && sizeOf(sent);
  const bytes = type && cleaned(type, sent);
  if (!type || !size || !bytes) throw plainProblem('unsupported-type', say('server.photo.type'));
  if (size.width * size.height > PHOTO_LIMITS.pixels) {
    const megapixels = Math.round((size.width * size.height) / 1e6);
    throw plainProblem(
      'too-large',
      say('server.photo.pixels', { megapixels, most: PHOTO_LIMITS.pixels / 1e6 }),
    );
  }
  return { type, size, bytes };
}

const ofCrew = async ({ crewId }: Actor, id: string): Promise<PhotoRow> => {
  const row = await PhotoRow.findOne({ where: { id, crewId } });
  if (!row) throw notFound(oneOf('photos'));
  return row;
};

/** Photos: each taken in once, handed over, and removed by the lead with a reason. */
export function photoService(sequelize: Sequelize, now: () => Date = () => new Date()) {
  return {
    /** Takes one in; the same one twice is harmless, another one under its id is refused. */
    add: (actor: Actor, id: string, sent: Buffer): Promise<PhotoFacts> =>
      transact(sequelize, async (transaction) => {
        const there = await PhotoRow.findOne({ where: { id }, transaction });
        const sentSha256 = hashOf(sent);
        if (there) {
          if (there.crewId !== actor.crewId || there.sentSha256 !== sentSha256)
            throw plainProblem('id-taken');
          return factsOf(there);
        }
        const { type, size, bytes } = readPicture(sent);
        const row = await PhotoRow.create(
          {
            id,
            crewId: actor.crewId,
            type,
            ...size,
            bytes: bytes.length,
            sha256: hashOf(bytes),
            sentSha256,
            picture: bytes.toString('base64'),
            recordedAt: now(),
            removedAt: null,
            removedWhy: '',
            byDevice: actor.deviceId,
          },
          { transaction },
        );
        return factsOf(row);
      }),
    facts: async (actor: Actor, id: string): Promise<PhotoFacts> => factsOf(await ofCrew(actor, id)),
    async picture(actor: Actor, id: string): Promise<{ readonly type: PhotoType; readonly bytes: Buffer }> {
      const row = await ofCrew(actor, id);
      if (row.removedAt)
        throw plainProblem('not-found', say('server.photo.removed', { why: row.removedWhy }));
      return { type: factsOf(row).type, bytes: Buffer.from(row.picture, 'base64') };
    },
    async remove(actor: Actor, id: string, why: string): Promise<PhotoFacts> {
      const row = await ofCrew(actor, id);
      if (!row.removedAt) await row.update({ picture: '', removedAt: now(), removedWhy: why });
      return factsOf(row);
    },
  };
}
export type PhotoService = ReturnType<typeof photoService>;

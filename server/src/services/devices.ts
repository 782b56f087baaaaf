import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Device } from '@steady-scatter/contract';
import { Op } from 'sequelize';
import { v7 } from 'uuid';
import type { Actor } from '../actor.ts';
import { DeviceRow } from '../models/index.ts';
import { notFound, plainProblem } from '../problems/HttpProblem.ts';

/** Devices of the local network that may read and write here. */
export interface DeviceService {
  /** Trusts a device that knows the code, and answers the token it has to carry. */
  pair(crewId: string, asked: { code: string; name: string; from: string }): Promise<string>;
  /** Who acts with a token; null: nobody that is known. The database is asked once for each device and hour. */
  actorOf(token: string): Promise<Actor | null>;
  /** Whether a token is that of a device that was forgotten. */
  isForgotten(token: string): Promise<boolean>;
  /** The device that a token was found to belong to not long ago; null where it was not looked up. */
  seen(token: string): string | null;
  list(actor: Actor): Promise<Device[]>;
  forget(actor: Actor, id: string): Promise<void>;
}

/** Wrong codes from one address, and from all together, in a while: eight digits hold for years at that. */
const MAX_WRONG = 20;
const MAX_WRONG_OF_ALL = 1000;
const WINDOW_MS = 10 * 60_000;
const DAY_MS = 86_400_000;
/** How long a device is known without asking the database again. */
const LOOK_AGAIN_MS = 3_600_000;

/** A device that was not seen for this long has to be paired again. */
export const TRUSTED_MS = 90 * DAY_MS;

const hashOf = (text: string): Buffer => createHash('sha256').update(text).digest();
const digits = (text: string): string => text.replace(/\D/g, '');

/** One network of an address: whoever has an IPv6 network has all of its addresses. */
const networkOf = (address: string): string =>
  address.includes('.') ? address : address.split(':').slice(0, 4).join(':');

/** Counts wrong codes by the address they came from, so that one that guesses does not lock out the others. */
function wrongCodes() {
  let tried: { from: string; at: number }[] = [];
  return {
    tooMany(from: string, now: number) {
      tried = tried.filter(({ at }) => now - at < WINDOW_MS);
      const own = tried.filter((each) => each.from === networkOf(from)).length;
      return own >= MAX_WRONG || tried.length >= MAX_WRONG_OF_ALL;
    },
    note: (from: string, at: number) => void tried.push({ from: networkOf(from), at }),
  };
}

/**
 * @param code what a device has to know; null: no device may be paired
 */
export function deviceService(code: string | null): DeviceService {
  const wrong = wrongCodes();
  /** Devices that were looked up, by the hash of their token. */
  const known = new Map<string, { readonly actor: Actor; readonly at: number }>();
  return {
    async pair(crewId, { code: input, name, from }) {
      if (wrong.tooMany(from, Date.now())) throw plainProblem('too-many-codes');
      if (code === null || !timingSafeEqual(hashOf(digits(input)), hashOf(digits(code)))) {
        wrong.note(from, Date.now());
        throw plainProblem('wrong-code');
      }
      const token = randomBytes(32).toString('base64url');
      await DeviceRow.create({ id: v7(), crewId, name, tokenHash: hashOf(token).toString('hex'), seenAt: new Date() }); // prettier-ignore
      return token;
    },
    async actorOf(token) {
      const tokenHash = hashOf(token).toString('hex');
      const before = known.get(tokenHash);
      if (before && Date.now() - before.at < LOOK_AGAIN_MS) return before.actor;
      known.delete(tokenHash);
      const row = await DeviceRow.findOne({ where: { tokenHash } });
      const away = row ? Date.now() - row.seenAt.getTime() : Infinity;
      if (!row || row.forgottenAt || away > TRUSTED_MS) return null;
      if (away > DAY_MS) await row.update({ seenAt: new Date() });
      const actor: Actor = { crewId: row.crewId, userId: null, deviceId: row.id, role: 'crew' };
      known.set(tokenHash, { actor, at: Date.now() });
      return actor;
    },
    isForgotten: async (token) =>
      (await DeviceRow.count({ where: { tokenHash: hashOf(token).toString('hex'), forgottenAt: { [Op.not]: null } } })) > 0, // prettier-ignore
    seen: (token) => known.get(hashOf(token).toString('hex'))?.actor.deviceId ?? null,
    async list({ crewId }) {
      const rows = await DeviceRow.findAll({
        where: { crewId, forgottenAt: null },
        order: [['createdAt', 'DESC']],
      });
      return rows.map(({ id, name, createdAt }) => ({ id, name, since: createdAt.toISOString() }));
    },
    async forget({ crewId }, id) {
      const [count] = await DeviceRow.update({ forgottenAt: new Date() }, { where: { crewId, id, forgottenAt: null } }); // prettier-ignore
      if (count === 0) throw notFound('device');
      for (const [tokenHash, { actor }] of known) if (actor.deviceId === id) known.delete(tokenHash);
    },
  };
}

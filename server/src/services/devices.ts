import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Device } from '@steady-scatter/contract';
import { v7 } from 'uuid';
import { DeviceRow } from '../models/index.ts';
import { notFound, Refusal } from '../problems/Refusal.ts';

/** Devices of the local network that may read and write here. */
export interface DeviceService {
  /** Trusts a device that knows the code, and answers the token it has to carry. */
  pair(crewId: string, code: string, name: string): Promise<string>;
  knows(crewId: string, token: string): Promise<boolean>;
  list(crewId: string): Promise<Device[]>;
  forget(crewId: string, id: string): Promise<void>;
}

const MOST_WRONG = 20;
const WINDOW_MS = 10 * 60_000;

const hashOf = (text: string): Buffer => createHash('sha256').update(text).digest();
const digits = (text: string): string => text.replace(/\D/g, '');

/** Counts wrong codes of all devices together: a code of eight digits holds for a long time at two in a minute. */
function wrongCodes() {
  let times: number[] = [];
  return {
    tooMany: (now: number) => (times = times.filter((time) => now - time < WINDOW_MS)).length >= MOST_WRONG,
    note: (now: number) => times.push(now),
  };
}

/**
 * @param code what a device has to know; null: no device may be paired
 */
export function deviceService(code: string | null): DeviceService {
  const wrong = wrongCodes();
  return {
    async pair(crewId, typed, name) {
      if (wrong.tooMany(Date.now()))
        throw new Refusal({ status: 429, title: 'Too many wrong codes', detail: 'Too many wrong codes. Wait ten minutes.' }); // prettier-ignore
      if (code === null || !timingSafeEqual(hashOf(digits(typed)), hashOf(digits(code)))) {
        wrong.note(Date.now());
        throw new Refusal({
          status: 403,
          title: 'Another code',
          detail: 'That is not the code. It has eight digits and stands where Steady Scatter was started; it is another one after each start.',
        }); // prettier-ignore
      }
      const token = randomBytes(32).toString('base64url');
      await DeviceRow.create({ id: v7(), crewId, name, tokenHash: hashOf(token).toString('hex') });
      return token;
    },
    async knows(crewId, token) {
      return (await DeviceRow.count({ where: { crewId, tokenHash: hashOf(token).toString('hex') } })) > 0;
    },
    async list(crewId) {
      const rows = await DeviceRow.findAll({ where: { crewId }, order: [['createdAt', 'DESC']] });
      return rows.map(({ id, name, createdAt }) => ({ id, name, since: createdAt.toISOString() }));
    },
    async forget(crewId, id) {
      if ((await DeviceRow.destroy({ where: { crewId, id } })) === 0) throw notFound('device');
    },
  };
}

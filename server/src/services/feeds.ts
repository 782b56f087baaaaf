import { createHash, randomBytes } from 'node:crypto';
import { CALENDAR_PATH, KINDS, type Feed } from '@steady-scatter/contract';
import { daysLater } from '@steady-scatter/core/fields';
import { planCalendar, type PlanInput } from '@steady-scatter/core/plan';
import { speak } from '@steady-scatter/words/everything';
import { v7 } from 'uuid';
import type { Actor } from '../actor.ts';
import { DocumentRow, FeedRow } from '../models/index.ts';
import { notFound } from '../problems/HttpProblem.ts';
import { storedOrNull } from './readStored.ts';

/** Most addresses of one crew. */
const MAX = 50;
/** What lies further back is in the log, not in the calendar, days. */
const BACK = 370;

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** The addresses of a crew, the latest first. */
export async function listFeeds({ crewId }: Actor): Promise<Feed[]> {
  const rows = await FeedRow.findAll({ where: { crewId }, order: [['createdAt', 'DESC']], limit: MAX });
  return rows.map(({ id, name, createdAt, readAt }) => ({ id, name, since: createdAt.toISOString(), readAt: readAt?.toISOString() ?? null })); // prettier-ignore
}

/** Makes an address; its secret is told now and never again. The oldest goes where there are too many. */
export async function addFeed({ crewId }: Actor, name: string): Promise<{ id: string; path: string }> {
  const secret = randomBytes(32).toString('base64url');
  const id = v7();
  await FeedRow.create({ id, crewId, name, secretHash: hashOf(secret) });
  const extra = await FeedRow.findAll({ where: { crewId }, order: [['createdAt', 'DESC']], offset: MAX, limit: MAX }); // prettier-ignore
  await FeedRow.destroy({ where: { id: extra.map((each) => each.id) } });
  return { id, path: `${CALENDAR_PATH}/${secret}.ics` };
}

/** Takes an address back: it leads nowhere from then on. */
export async function revokeFeed({ crewId }: Actor, id: string): Promise<void> {
  if ((await FeedRow.destroy({ where: { crewId, id } })) === 0) throw notFound('address');
}

/** The plans of the crew that a secret is of, as a calendar; null: it is of none. */
export async function calendarFor(secret: string, now: Date): Promise<string | null> {
  const row = await FeedRow.findOne({ where: { secretHash: hashOf(secret) } });
  if (!row) return null;
  await row.update({ readAt: now });
  const stored = await DocumentRow.findAll({ where: { crewId: row.crewId, kind: KINDS.plans.name, deletedAt: null } }); // prettier-ignore
  const from = daysLater(now.toISOString().slice(0, 10), -BACK);
  const plans = stored.flatMap((each): Pick<PlanInput, 'portions'>[] => {
    const plan = storedOrNull(KINDS.plans, each) as PlanInput | null;
    return plan ? [{ portions: plan.portions.filter(({ onDay }) => onDay >= from) }] : [];
  });
  return planCalendar(plans, now.toISOString(), speak);
}

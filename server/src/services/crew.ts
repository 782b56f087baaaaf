import { crewSettings, USUAL_SETTINGS, type CrewSettings } from '@steady-scatter/contract';
import type { Actor } from '../actor.ts';
import { CrewRow } from '../models/index.ts';
import { notFound } from '../problems/HttpProblem.ts';

/** What a crew has settled. What an earlier version stored of it is filled up with what is usual. */
export async function readCrew({ crewId }: Pick<Actor, 'crewId'>): Promise<CrewSettings> {
  const row = await CrewRow.findByPk(crewId);
  if (!row) throw notFound('crew');
  const stored = row.settings === null ? {} : (JSON.parse(row.settings) as object);
  return crewSettings.parse({ ...USUAL_SETTINGS, ...stored, name: row.name });
}

/** Settles it anew; the last word holds. */
export async function writeCrew(
  { crewId }: Pick<Actor, 'crewId'>,
  { name, ...settings }: CrewSettings,
): Promise<CrewSettings> {
  await CrewRow.update({ name, settings: JSON.stringify(settings) }, { where: { id: crewId } });
  return readCrew({ crewId });
}

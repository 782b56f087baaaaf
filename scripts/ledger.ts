// npm run benchmark:ledger: the ledger over ten years of 200 areas with a dozen records a year each, through the API and as bare SQL by the
// same driver, with what the database says of how it finds them. On a private database that is thrown away.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { QueryTypes } from 'sequelize';
import { LEDGER_NUTRIENTS } from '../core/src/need/index.ts';
import { seeded } from '../core/src/width/index.ts';
import { leadOf } from '../server/src/actor.ts';
import { createApp } from '../server/src/app.ts';
import { openSequelize, readConnection } from '../server/src/database.ts';
import { migrate } from '../server/src/migrations/index.ts';
import { AppliedRow, kgColumn } from '../server/src/models/applied.ts';
import { CrewRow, defineModels } from '../server/src/models/index.ts';
import { ledgerStatements } from '../server/src/services/ledger.ts';
import { projectAll } from '../server/src/services/projections.ts';
import { connectionFile, openDatabase, stopDatabase } from './lib/database.mjs';

const [YEARS, AREAS, TIMES, ASKED] = [10, 200, 12, 60];
const number = seeded(2026);
const folder = mkdtempSync(join(tmpdir(), 'steady-ledger-'));
await openDatabase(folder, { durable: false });
const sequelize = openSequelize(readConnection(connectionFile(folder)));
defineModels(sequelize);
await migrate(sequelize);
await projectAll(sequelize, 'benchmark');
const crewId = randomUUID();
await CrewRow.create({ id: crewId, name: 'Many', isDemo: false });
const areas = Array.from({ length: AREAS }, () => randomUUID());
const sites = Array.from({ length: 20 }, () => randomUUID());

/** An application somewhere in a year. */
function line(year: number, at: number, time: number) {
  const onDay = `${year}-${String(1 + Math.floor(number() * 12)).padStart(2, '0')}-${String(1 + Math.floor(number() * 28)).padStart(2, '0')}`; // prettier-ignore
  const kg = 20 * number();
  const product = Math.floor(number() * 8);
  return {
    root: randomUUID(), crewId, subject: sites[at % 20], runId: randomUUID(), onDay, startedAt: new Date(`${onDay}T08:00:00Z`), site: sites[at % 20], area: areas[at],
    areaKey: areas[at], areaName: `Area ${at}`, siteName: `Site ${at % 20}`, by: 'R. Fenn', productKey: `feed ${product}`, productName: `Feed ${product}`, lot: `L${time}`, machine: '',
    areaM2: 400, amountSi: kg * 4, meantSi: kg * 4, isWeighed: true, isRound: false, quickNKg: kg / 2, aiKg: 0, saltKg: 0, chlorideKg: 0, cents: number() > 0.1 ? kg * 100 : null,
    ...Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [kgColumn(nutrient), kg])),
  }; // prettier-ignore
}
for (let year = 0; year < YEARS; year += 1)
  await AppliedRow.bulkCreate(areas.flatMap((_, index) => Array.from({ length: TIMES }, (_each, time) => line(2017 + year, index, time)))); // prettier-ignore
await sequelize.query('ANALYZE TABLE applied', { type: QueryTypes.SELECT });

const server = createApp({ sequelize, homeCrewId: crewId, logger: pino({ level: 'silent' }), webRoot: null, requestsPerMinute: 1e6 }).listen(0, '127.0.0.1'); // prettier-ignore
await new Promise((resolve) => server.once('listening', resolve));
const { port } = server.address() as { port: number };

const quantile = (times: readonly number[], share: number) => times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))]!; // prettier-ignore
async function timed(work: (at: number) => Promise<unknown>): Promise<number[]> {
  const times: number[] = [];
  for (let index = -5; index < ASKED; index += 1) {
    const began = performance.now();
    await work(index + 5);
    if (index >= 0) times.push(performance.now() - began);
  }
  return times;
}

const CASES = {
  'one year of all areas': () => ({ from: '2024-01-01', to: '2024-12-31', by: 'span' as const }),
  'all years of one area': (at: number) => ({
    from: '2017-01-01',
    to: '2026-12-31',
    areas: [areas[at % AREAS]],
  }),
};
for (const [what, ask] of Object.entries(CASES)) {
  const whole = await timed(async (at) => {
    const { from, to, by, areas: keys } = { areas: undefined, ...ask(at) } as { from: string; to: string; by: string; areas?: string[] }; // prettier-ignore
    await (await fetch(`http://127.0.0.1:${port}/api/ledger?from=${from}&to=${to}&by=${by}${keys ? `&areas=${keys.join()}` : ''}`)).json(); // prettier-ignore
  });
  const bare = await timed(async (at) => {
    const { months, products, replacements } = ledgerStatements(leadOf(crewId), ask(at));
    const how = { replacements, type: QueryTypes.SELECT } as const;
    await Promise.all([sequelize.query(months, how), sequelize.query(products, how)]);
  });
  const told = (times: readonly number[]) => `median ${quantile(times, 0.5).toFixed(1)} ms, 95 % within ${quantile(times, 0.95).toFixed(1)} ms`; // prettier-ignore
  process.stdout.write(`\n${what}, of ${YEARS * AREAS * TIMES} rows\n  whole: ${told(whole)}\n  bare SQL: ${told(bare)}\n  whole / bare: ${(quantile(whole, 0.5) / quantile(bare, 0.5)).toFixed(2)}\n`); // prettier-ignore
  const { months, replacements } = ledgerStatements(leadOf(crewId), ask(0));
  for (const row of await sequelize.query<Record<string, unknown>>(`EXPLAIN ${months}`, { replacements, type: QueryTypes.SELECT })) // prettier-ignore
    process.stdout.write(`  EXPLAIN: ${['type', 'key', 'key_len', 'rows', 'Extra'].map((name) => `${name} ${String(row[name])}`).join(', ')}\n`); // prettier-ignore
}
server.close();
await sequelize.close();
await stopDatabase(folder);
rmSync(folder, { recursive: true, force: true });

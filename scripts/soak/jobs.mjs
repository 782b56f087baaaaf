import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../lib/places.mjs';

const demo = JSON.parse(readFileSync(join(ROOT, 'demo', 'tarn-hollow.json'), 'utf8'));

/** An id as clients make them: UUID version 7. */
export const newId = () => randomUUID().replace(/^(.{14})4/, '$17');

/** A job as the crew keeps them, with new areas. @param {string} name */
export function newJob(name) {
  const { onDay, worksheet } = demo.jobs[0];
  const areas = worksheet.areas.map((/** @type {object} */ area) => Object.assign({}, area, { id: newId() }));
  return { version: 0, name, onDay, worksheet: { ...worksheet, areas } };
}

export { demo };

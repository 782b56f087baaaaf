import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../lib/places.mjs';

const demo = JSON.parse(readFileSync(join(ROOT, 'demo', 'tarn-hollow.json'), 'utf8'));

/** An id as clients make them: UUID version 7. */
export const newId = () => randomUUID().replace(/^(.{14})4/, '$17');

/** A document as a client writes it. @param {string} kind @param {object} input @param {number} [version] */
export const written = (kind, input, version = 0) => ({
  version,
  schemaVersion: demo.schemaVersions[kind],
  input,
});

/** The lines of a list. @param {string} address @param {string} kind @returns {Promise<{ id: string }[]>} */
export const listOf = async (address, kind) =>
  (await (await fetch(`${address}/api/${kind}?limit=200`)).json()).items;

/** A job as the crew keeps them, with new areas. @param {string} name */
export function newJob(name) {
  const { input } = demo.jobs[0];
  const { worksheet } = input;
  const areas = worksheet.areas.map((/** @type {object} */ area) => Object.assign({}, area, { id: newId() }));
  return written('jobs', { ...input, name, worksheet: { ...worksheet, areas } });
}

export { demo };

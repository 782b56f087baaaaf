// Weighs what the first screen loads before anything is asked of it: gzip size of its scripts and styles.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureBuilt } from './lib/build.mjs';
import { WEB_ROOT } from './lib/places.mjs';

const MAX_BYTES = 300_000;

/** The files of the built page, and all that they import at once. */
function firstFiles() {
  const html = readFileSync(join(WEB_ROOT, 'index.html'), 'utf8');
  /** @type {Set<string>} */
  const files = new Set();
  /** @param {string} file */
  const follow = (file) => {
    if (files.has(file)) return;
    files.add(file);
    if (!file.endsWith('.js')) return;
    const source = readFileSync(join(WEB_ROOT, file), 'utf8');
    for (const [, name] of source.matchAll(
      /(?:^|[;}\s])(?:import|export)[^"'()]*?["']\.\/([\w.-]+\.js)["']/g,
    ))
      follow(`assets/${name}`);
  };
  for (const [, file] of html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)) follow(file ?? '');
  return [...files];
}

await ensureBuilt();
const bytes = firstFiles().reduce((sum, file) => sum + gzipSync(readFileSync(join(WEB_ROOT, file))).length, 0); // prettier-ignore
const kilobytes = (/** @type {number} */ size) => `${(size / 1000).toFixed(1)} kB`;
process.stdout.write(`First load ${kilobytes(bytes)} (gzip), at most ${kilobytes(MAX_BYTES)}.\n`);
process.exit(bytes <= MAX_BYTES ? 0 : 1);

// Compares what the first screen loads with an empty app that has the same UI library: gzip sizes, and their ratio.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureBuilt } from './lib/build.mjs';
import { bin, CACHE, ROOT, WEB_ROOT } from './lib/places.mjs';
import { run } from './lib/run.mjs';

const EMPTY = join(ROOT, 'web', '.empty-app');
const MOST_TIMES = 1.6;

/** An app that shows one button of the UI library and nothing else. */
const EMPTY_FILES = {
  'index.html': '<div id="root"></div><script type="module" src="/main.tsx"></script>',
  'main.tsx': `import { Button, ChakraProvider, defaultSystem } from '@chakra-ui/react';
import { createRoot } from 'react-dom/client';
createRoot(document.getElementById('root')!).render(
  <ChakraProvider value={defaultSystem}><Button>Empty</Button></ChakraProvider>,
);`,
};

/**
 * Gzip size of the scripts and styles that a built page loads before anything is asked of it.
 * @param {string} folder
 */
function firstLoad(folder) {
  const html = readFileSync(join(folder, 'index.html'), 'utf8');
  /** @type {Set<string>} */
  const files = new Set();
  /** @param {string} file */
  const follow = (file) => {
    if (files.has(file)) return;
    files.add(file);
    if (!file.endsWith('.js')) return;
    const source = readFileSync(join(folder, file), 'utf8');
    for (const [, name] of source.matchAll(
      /(?:^|[;}\s])(?:import|export)[^"'()]*?["']\.\/([\w.-]+\.js)["']/g,
    ))
      follow(`assets/${name}`);
  };
  for (const [, file] of html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)) follow(file ?? '');
  return [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file))).length, 0);
}

await ensureBuilt();
rmSync(EMPTY, { recursive: true, force: true });
mkdirSync(EMPTY, { recursive: true });
for (const [name, text] of Object.entries(EMPTY_FILES)) writeFileSync(join(EMPTY, name), text);
const out = join(CACHE, 'empty-app');
try {
  await run(bin('vite'), ['build', EMPTY, '--outDir', out, '--emptyOutDir', '--logLevel', 'warn'], {
    cwd: EMPTY,
  });
} finally {
  rmSync(EMPTY, { recursive: true, force: true });
}
const [ours, empty] = [firstLoad(WEB_ROOT), firstLoad(out)];
const kilobytes = (/** @type {number} */ bytes) => `${(bytes / 1000).toFixed(1)} kB`;
process.stdout.write(
  `First load ${kilobytes(ours)}, empty app ${kilobytes(empty)} (gzip): ${(ours / empty).toFixed(2)} times, at most ${MOST_TIMES}.\n`,
);
process.exit(ours / empty <= MOST_TIMES ? 0 : 1);

import react from '@vitejs/plugin-react';
import { build, defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { piecesOf } from './build/pieces.ts';
import { paintedFirst, PLACE } from './src/theme/paintedFirst.ts';
import { ROLES } from './src/theme/tokens.ts';

const API = process.env['STEADY_API'] ?? 'http://127.0.0.1:4310';
const NAME = 'Steady Scatter';

const pwa = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'serviceWorker',
  filename: 'serviceWorker.ts',
  injectRegister: false,
  injectManifest: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff2,ttf,webmanifest}'],
    maximumFileSizeToCacheInBytes: 4 * 2 ** 20,
  },
  manifest: {
    name: NAME,
    short_name: 'Scatter',
    description: 'From a nutrient target to a rate, a calibrated spreader, and the amount for every area.',
    start_url: '/',
    display: 'standalone',
    background_color: ROLES.ground[0],
    theme_color: ROLES.rail[0],
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
  },
});

/** Packed once here and not at each request, as small as it gets. */
const packed = compression({
  algorithms: ['gzip'],
  include: /\.(js|css|ttf|webmanifest)$/,
  logLevel: 'silent',
});

const first = {
  name: 'painted-first',
  transformIndexHtml: (html: string) => html.replace(PLACE, paintedFirst(NAME)),
};

/** Loaded as soon as the page runs, whichever page it is. */
const NEXT = ['web/src/api/call.ts'];

const shared = {
  define: { PSEUDO_LANGUAGE: JSON.stringify(process.env['PSEUDO'] === '1') },
  build: { outDir: 'dist', target: 'es2023', modulePreload: { polyfill: false } },
} as const;

/** Where each module goes: known once it was built without being told. */
async function pieces(): Promise<ReadonlyMap<string, string>> {
  const built = await build({
    ...shared,
    configFile: false,
    root: import.meta.dirname,
    logLevel: 'error',
    plugins: [react()],
    build: { ...shared.build, write: false, minify: false },
  });
  const chunks = 'output' in built ? built.output.filter((each) => each.type === 'chunk') : [];
  return piecesOf(chunks, NEXT);
}

export default defineConfig(async ({ command }) => {
  const piece = command === 'build' ? await pieces() : new Map<string, string>();
  return {
    ...shared,
    plugins: [react(), pwa, first, packed],
    build: {
      ...shared.build,
      rolldownOptions: {
        output: {
          codeSplitting: {
            groups: [
              {
                debugName: 'pieces',
                name: (id: string) => piece.get(id) ?? null,
                includeDependenciesRecursively: false,
              },
            ],
          },
        },
      },
    },
    server: { host: '127.0.0.1', proxy: { '/api': API } },
  };
});

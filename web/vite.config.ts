import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
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

const first = {
  name: 'painted-first',
  transformIndexHtml: (html: string) => html.replace(PLACE, paintedFirst(NAME)),
};

/** What many parts share and nothing heavy hangs on: a piece takes along all that its parts rest on. */
const LIGHT =
  /node_modules\/(?!clipper2-ts|konva|pdfmake|chart)|web\/src\/(?:ui|theme|units)\/|words\/src\/(?!en\/winter|winter)|core\/src\/(?:errors|quantities|fields|numeric|messages|working|need)\//;

export default defineConfig({
  plugins: [react(), pwa, first],
  define: { PSEUDO_LANGUAGE: JSON.stringify(process.env['PSEUDO'] === '1') },
  build: {
    outDir: 'dist',
    target: 'es2023',
    modulePreload: { polyfill: false },
    // What many parts share stays in one piece: cut into fifty small ones it packs 5 % worse.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [{ name: 'shared', minShareCount: 30, test: LIGHT }],
        },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': API } },
});

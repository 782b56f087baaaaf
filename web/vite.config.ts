import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const API = process.env['STEADY_API'] ?? 'http://127.0.0.1:4310';

/**
 * What the first screen needs and later ones share stays in one piece: cut into forty small ones, each for another set of pages,
 * it packs 6 % worse. Nothing belongs here that the first screen does not load.
 */
const START = [
  /core\/src\/(errors|quantities|working)\//,
  /core\/src\/need\/(?!soilTest)/,
  /core\/src\/worksheet\/(?!orderTable|merge)/,
  /core\/src\/shelf\/(product|wanted|evaluateProduct|rateUnit)\./,
  /core\/src\/loads\/(packages|order|scoop)\./,
  /core\/src\/ground\/size\./,
  /web\/src\/ui\/(PanelButton|origin|ResultTerm|WorkingLine|termShown|TermInput|FieldErrors|UnitPicker|SampleBadge|browserStores|fieldBox)\./,
  /web\/src\/(acts\/(CommandsProvider|acts)|settings\/(preferences|PreferencesProvider)|api\/(errors|explain|connection))\./,
  /web\/src\/(jobs\/sheet|shell\/Tape|load\/Bags)\./,
  /node_modules\/(react-router|react-hook-form)\//,
];

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: 'dist',
    target: 'es2023',
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        codeSplitting: { groups: [{ name: 'start', test: (id) => START.some((part) => part.test(id)) }] },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': API } },
});

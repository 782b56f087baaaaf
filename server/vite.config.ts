import { createRequire } from 'node:module';
import { defineConfig } from 'vite';

const { resolve } = createRequire(import.meta.url);

// One file with all it needs, so that it runs from wherever the user that serves can read it.
export default defineConfig({
  resolve: {
    // Their other form, for browsers, lacks what the database layer asks of them.
    alias: [
      { find: /^moment$/, replacement: resolve('moment') },
      { find: /^moment-timezone$/, replacement: resolve('moment-timezone') },
    ],
  },
  build: {
    outDir: 'dist',
    target: 'node20',
    ssr: true,
    rolldownOptions: {
      input: { server: 'src/index.ts', checker: 'src/checking/worker.ts' },
      // Asked for by a database that is not used here.
      external: ['pg-hstore'],
      output: {
        entryFileNames: '[name].js',
        banner:
          "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
      },
    },
  },
  ssr: { noExternal: true },
});

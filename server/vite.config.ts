import { defineConfig } from 'vite';

export default defineConfig({
  build: {
    ssr: 'src/index.ts',
    outDir: 'dist',
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'server.js' } },
  },
  ssr: { noExternal: [/^@steady-scatter\//] },
});

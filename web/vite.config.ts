import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const API = process.env['STEADY_API'] ?? 'http://127.0.0.1:4310';

export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', target: 'es2023', modulePreload: { polyfill: false } },
  server: { host: '127.0.0.1', proxy: { '/api': API } },
});

import { startServer } from './index.ts';

// Run by the development script alone: serves the API, while Vite serves the page.
const { port } = await startServer({
  connectionFile: process.env['STEADY_CONNECTION'] ?? '',
  webRoot: null,
  port: Number(process.env['PORT']),
});
process.stdout.write(`The API listens on ${port}.\n`);

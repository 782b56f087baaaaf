import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { expect, test } from '@playwright/test';

const TYPES: Readonly<Record<string, string>> = { '.js': 'text/javascript', '.css': 'text/css', '.html': 'text/html', '.svg': 'image/svg+xml', '.png': 'image/png', '.woff2': 'font/woff2', '.webmanifest': 'application/manifest+json' }; // prettier-ignore

/** The built app in a folder of its own, so that another version of it can be put there; its server's API is away. */
async function serveCopy(): Promise<{ folder: string; address: string; server: Server }> {
  const folder = mkdtempSync(join(tmpdir(), 'steady-update-'));
  cpSync(join(import.meta.dirname, '..', 'web', 'dist'), folder, { recursive: true });
  const server = createServer(({ url = '/' }, response) => {
    if (url.startsWith('/api')) {
      response.writeHead(502).end();
      return;
    }
    const file = join(folder, extname(url) === '' ? 'index.html' : url);
    try {
      const body = readFileSync(file);
      response.writeHead(200, { 'Content-Type': TYPES[extname(file)] ?? 'application/octet-stream', 'Cache-Control': 'no-cache' }).end(body); // prettier-ignore
    } catch {
      response.writeHead(404).end();
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { folder, server, address: `http://localhost:${(server.address() as AddressInfo).port}` };
}

/** Another version: one part has another name, the page and the list of files go with it. */
function renew(folder: string): string {
  const assets = join(folder, 'assets');
  const part = readdirSync(assets).find((name) => /^SitesPage-.*\.js$/.test(name))!;
  const renamed = part.replace('SitesPage-', 'SitesPage-renewed-');
  writeFileSync(join(assets, renamed), readFileSync(join(assets, part)));
  rmSync(join(assets, part));
  for (const file of [...readdirSync(assets).filter((name) => name.endsWith('.js')).map((name) => join(assets, name)), join(folder, 'serviceWorker.js'), join(folder, 'index.html')]) // prettier-ignore
    writeFileSync(file, readFileSync(file, 'utf8').replaceAll(part, renamed));
  const page = join(folder, 'index.html');
  writeFileSync(
    page,
    readFileSync(page, 'utf8').replace('<title>', '<meta name="version" content="2"><title>'),
  );
  const worker = join(folder, 'serviceWorker.js');
  const list = readFileSync(worker, 'utf8');
  const [, revision = ''] = /"revision":"(\w+)","url":"index\.html"/.exec(list) ?? [];
  writeFileSync(worker, list.replace(revision, 'f'.repeat(32)));
  return part;
}

test.use({ serviceWorkers: 'allow' });

test('a newer version is told and taken while a form is dirty; another page goes on with the parts that it began with', async ({
  context,
}) => {
  const { folder, address, server } = await serveCopy();
  try {
    const page = await context.newPage();
    await page.goto(address);
    await page.evaluate(() => navigator.serviceWorker.ready);
    const other = await context.newPage();
    await other.goto(address);
    await other.getByLabel('Name of the job').fill('In another tab');
    const part = renew(folder);

    await page.reload();
    await page.getByLabel('Name of the job').fill('Typed before the update');
    await expect(page.getByText('New version available.')).toBeVisible();
    await page.getByRole('button', { name: 'Load new version' }).click();
    await expect(page.locator('meta[name=version]')).toHaveCount(1);
    await expect(page.getByLabel('Name of the job')).toHaveValue('Typed before the update');

    // The other one was not loaded anew, and the part of the version that it is of is still there.
    await expect(other.getByLabel('Name of the job')).toHaveValue('In another tab');
    const status = await other.evaluate(async (name) => (await fetch(`/assets/${name}`)).status, part);
    expect(status).toBe(200);
  } finally {
    await new Promise((resolve) => server.close(resolve).closeAllConnections());
    rmSync(folder, { recursive: true, force: true });
  }
});

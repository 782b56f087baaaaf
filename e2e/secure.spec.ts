import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { keep, settled, typeSheet } from './support.ts';

const port = Number(process.env['STEADY_E2E_PORT'] ?? '4390');
const secure = `https://127.0.0.1:${port + 1}`;

/** The key of the installation's own authority, as a browser is told to trust it. */
function trusted(): string {
  const pem = readFileSync(join(tmpdir(), `steady-e2e-${port}`, 'tls', 'authority.crt'));
  const key = new X509Certificate(pem).publicKey.export({ type: 'spki', format: 'der' });
  return createHash('sha256').update(key).digest('base64');
}

test('over HTTPS, with the authority trusted, the page opens and saves without a network', async () => {
  const args = [`--ignore-certificate-errors-spki-list=${trusted()}`];
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args });
  const context = await browser.newContext({ baseURL: secure, serviceWorkers: 'allow' });
  const page = await context.newPage();
  await settled(page);
  await context.setOffline(true);
  await page.goto(secure);
  await typeSheet(page, 'By HTTPS');
  await keep(page, 'Save job');
  await expect(page.getByText('saved on this device', { exact: true })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible();
  await expect(page.getByText('saved on this device', { exact: true })).toBeHidden();
  const address = page.url().replace(secure, '').replace('/jobs/', '/api/jobs/');
  const asked = await page.evaluate(async (path) => (await fetch(path)).json(), address);
  expect(asked).toMatchObject({ version: 1, input: { name: 'By HTTPS' } });
  await browser.close();
});

test('a browser that does not trust the authority is not let in unasked', async () => {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
  const page = await browser.newPage();
  await expect(page.goto(secure)).rejects.toThrow('ERR_CERT_AUTHORITY_INVALID');
  await browser.close();
});

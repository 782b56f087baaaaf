import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { certificatesFor, namesOfMachine } from './lib/certificates.mjs';

const folder = mkdtempSync(join(tmpdir(), 'steady-tls-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** @type {import('./lib/certificates.mjs').Certificates} */
let made;
beforeAll(async () => {
  made = await certificatesFor(folder, null);
}, 30_000);
const read = (/** @type {string | null} */ pem) => new X509Certificate(pem ?? '');

it('the certificate is of this machine, by its own authority, for its names and addresses and no longer than phones take', () => {
  const [cert, authority] = [read(made.cert), read(made.authority)];
  expect(cert.verify(authority.publicKey)).toBe(true);
  expect([cert.ca, authority.ca]).toEqual([false, true]);
  for (const name of ['localhost', 'IP Address:127.0.0.1']) expect(cert.subjectAltName).toContain(name);
  expect(namesOfMachine()).toContain('IP:127.0.0.1');
  const days = (Date.parse(cert.validTo) - Date.parse(cert.validFrom)) / 86_400_000;
  expect(days).toBeGreaterThan(390);
  expect(days).toBeLessThanOrEqual(398);
});

it('keys are read by their owner alone', () => {
  for (const name of ['authority.key', 'server.key'])
    expect(statSync(join(folder, 'tls', name)).mode & 0o077).toBe(0);
});

it('the next start goes on with them', async () => {
  expect(await certificatesFor(folder, null)).toEqual(made);
});

it('where the addresses are others the certificate is made anew, and the authority that phones trust stays', async () => {
  writeFileSync(join(folder, 'tls', 'names.txt'), 'DNS:another');
  const anew = await certificatesFor(folder, null);
  expect(anew.cert).not.toBe(made.cert);
  expect(anew.authority).toBe(made.authority);
  expect(read(anew.cert).verify(read(made.authority).publicKey)).toBe(true);
});

it('given ones are served as they are; one without the other is refused', async () => {
  const [cert, key] = [join(folder, 'own.crt'), join(folder, 'own.key')];
  writeFileSync(cert, 'C');
  writeFileSync(key, 'K');
  expect(await certificatesFor(folder, null, { cert, key })).toEqual({
    cert: 'C',
    key: 'K',
    authority: null,
  });
  await expect(certificatesFor(folder, null, { cert })).rejects.toThrow('belong together');
  expect(readFileSync(cert, 'utf8')).toBe('C');
});

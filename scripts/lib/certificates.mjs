// Certificates for the local network: an authority of this installation's own, made once, and a certificate by it for the addresses
// that this machine has now. Phones that trust the authority reach the server by HTTPS, which browsers want for work without a network.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { ensureDebian } from './packages.mjs';
import { writePrivately } from './privateFile.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';
import { giveTo } from './systemUser.mjs';

/** @typedef {import('./systemUser.mjs').SystemUser} SystemUser */
/** @typedef {{ key: string, cert: string, authority: string | null }} Certificates PEM; the authority that a phone has to trust, null: it trusts it already */

const AUTHORITY_DAYS = 3650;
/** Phones take no certificate of a server that is valid for longer. */
const SERVER_DAYS = 397;
const RENEW_MS = 30 * 86_400_000;

const placesIn = (/** @type {string} */ folder) => ({
  folder: join(folder, 'tls'),
  authorityKey: join(folder, 'tls', 'authority.key'),
  authority: join(folder, 'tls', 'authority.crt'),
  key: join(folder, 'tls', 'server.key'),
  cert: join(folder, 'tls', 'server.crt'),
  names: join(folder, 'tls', 'names.txt'),
});

/** The names and addresses that this machine is reached by, as a certificate lists them. */
export function namesOfMachine() {
  const addresses = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .map(({ address }) => address.replace(/%.*$/, ''));
  const own = hostname().toLowerCase();
  const names = ['localhost', own, `${own}.local`].filter((name) => /^[a-z0-9.-]+$/.test(name));
  return [
    ...names.map((name) => `DNS:${name}`),
    ...new Set(['127.0.0.1', '::1', ...addresses].map((it) => `IP:${it}`)),
  ];
}

/** A key and what is signed for it; openssl writes both as files that only their owner reads. @param {readonly string[]} args */
const openssl = (...args) => run('openssl', args);
const NEW_KEY = ['-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes'];

/** @param {string} folder */
async function makeAuthority(folder) {
  const { authority, authorityKey } = placesIn(folder);
  if (existsSync(authority) && existsSync(authorityKey)) return;
  say('Making an authority for certificates of this installation …');
  await openssl(
    'req',
    '-x509',
    ...NEW_KEY,
    '-days',
    String(AUTHORITY_DAYS),
    '-subj',
    `/CN=Steady Scatter on ${hostname()}`,
    '-addext',
    'basicConstraints=critical,CA:TRUE,pathlen:0',
    '-addext',
    'keyUsage=critical,keyCertSign,cRLSign',
    '-keyout',
    authorityKey,
    '-out',
    authority,
  );
}

/** Whether the certificate is by the authority, for these names, and valid for a while. @param {string} folder @param {string} names */
function isFit(folder, names) {
  const places = placesIn(folder);
  if (![places.key, places.cert, places.names].every(existsSync)) return false;
  if (readFileSync(places.names, 'utf8') !== names) return false;
  try {
    const cert = new X509Certificate(readFileSync(places.cert));
    const authority = new X509Certificate(readFileSync(places.authority));
    return cert.verify(authority.publicKey) && Date.parse(cert.validTo) - Date.now() > RENEW_MS;
  } catch {
    return false;
  }
}

/** @param {string} folder @param {string} names */
async function makeCertificate(folder, names) {
  const places = placesIn(folder);
  const [request, extensions] = [join(places.folder, 'server.csr'), join(places.folder, 'server.ext')];
  writeFileSync(
    extensions,
    `subjectAltName=${names}\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\nkeyUsage=digitalSignature\n`,
  );
  await openssl('req', ...NEW_KEY, '-subj', '/CN=Steady Scatter', '-keyout', places.key, '-out', request);
  await openssl(
    'x509',
    '-req',
    '-in',
    request,
    '-CA',
    places.authority,
    '-CAkey',
    places.authorityKey,
    '-CAcreateserial',
    '-days',
    String(SERVER_DAYS),
    '-extfile',
    extensions,
    '-out',
    places.cert,
  );
  writeFileSync(places.names, names);
  for (const done of [request, extensions]) rmSync(done);
}

/**
 * The certificates to serve with: given ones, or ones of this installation, made where there are none that fit.
 * @param {string} folder
 * @param {SystemUser | null} user
 * @param {{ cert?: string | undefined, key?: string | undefined }} given files, from TLS_CERT and TLS_KEY
 * @returns {Promise<Certificates>}
 */
export async function certificatesFor(folder, user, { cert, key } = {}) {
  if (cert && key)
    return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8'), authority: null };
  if (cert || key)
    throw new Error(
      'TLS_CERT and TLS_KEY belong together: give the file of the certificate and that of its key, or neither.',
    );
  await ensureDebian('openssl');
  const places = placesIn(folder);
  mkdirSync(places.folder, { recursive: true, mode: 0o700 });
  await makeAuthority(folder);
  const names = namesOfMachine().join(',');
  if (!isFit(folder, names)) await makeCertificate(folder, names);
  giveTo(user, places.folder);
  // The authority's key signs for everybody who trusts it: its owner alone reads it.
  for (const own of [places.authorityKey, places.key]) writePrivately(own, readFileSync(own, 'utf8'), user);
  return {
    key: readFileSync(places.key, 'utf8'),
    // With the authority behind it, so that a browser sees whom it would have to trust.
    cert: `${readFileSync(places.cert, 'utf8')}${readFileSync(places.authority, 'utf8')}`,
    authority: readFileSync(places.authority, 'utf8'),
  };
}

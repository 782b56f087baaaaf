import type { Server } from 'node:http';
import { networkInterfaces } from 'node:os';

export const LOOPBACK = '127.0.0.1';
const EVERYWHERE = new Set(['0.0.0.0', '::']);
const PORTS_TO_TRY = 50;
const LAST_PORT = 65_535;

/** True for an address, or the name in a Host header, that leads to this machine itself and cannot be made to lead elsewhere. */
export const isLoopback = (host: string): boolean =>
  /^(localhost|\[?::1\]?|(::ffff:)?127(\.\d{1,3}){3})$/i.test(host);

const inAddress = (host: string): string => (host.includes(':') ? `[${host}]` : host);

/** Where a person on this machine finds the page. */
export const addressOf = (host: string, port: number): string =>
  `http://${host === LOOPBACK || EVERYWHERE.has(host) ? 'localhost' : inAddress(host)}:${port}`;

/** Addresses that others on the network find it at; none where it listens to this machine alone. */
export function networkAddresses(host: string, port: number, scheme: 'http' | 'https' = 'http'): string[] {
  if (isLoopback(host)) return [];
  if (!EVERYWHERE.has(host)) return [`${scheme}://${inAddress(host)}:${port}`];
  return Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `${scheme}://${address}:${port}`);
}

const isTaken = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';

/** What a person can do about an address that cannot be listened on. */
function refused(error: unknown, host: string, port: number): Error {
  const code = error instanceof Error && 'code' in error ? error.code : '';
  if (code === 'EADDRINUSE') return new Error(`Port ${port} and those after it are taken. Choose another one, for example PORT=4310.`); // prettier-ignore
  if (code === 'EACCES') return new Error(`Port ${port} is for the system's own services. Choose one from 1024 on, for example PORT=4310.`); // prettier-ignore
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND') return new Error(`HOST is ${host}, and this machine has no such address. HOST=0.0.0.0 takes all it has.`); // prettier-ignore
  return error instanceof Error ? error : new Error(String(error));
}

/** Listens on the first port that is free, of fifty. */
export async function listen(server: Server, host: string, first: number): Promise<number> {
  const last = Math.min(first + PORTS_TO_TRY, LAST_PORT);
  for (let port = first; ; port += 1) {
    try {
      // oxlint-disable-next-line no-await-in-loop -- one port after the other
      await new Promise<void>((resolve, reject) => {
        server.once('error', reject).listen(port, host, () => {
          server.off('error', reject);
          resolve();
        });
      });
      const address = server.address();
      return typeof address === 'object' && address ? address.port : port;
    } catch (error) {
      if (!isTaken(error) || port >= last) throw refused(error, host, first);
    }
  }
}

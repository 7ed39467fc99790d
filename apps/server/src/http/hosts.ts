import { isIP } from 'node:net';

/** Names that always mean this machine. */
const LOOPBACK_NAMES = ['localhost'];

/**
 * Names under which the server may be asked.
 * @param host the address it listens on, where one was set
 * @param listed further names, with commas between
 */
export const allowedHosts = (host = '', listed = ''): ReadonlySet<string> =>
  new Set(
    [...LOOPBACK_NAMES, host, ...listed.split(',')]
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  );

/** Whether a path is asked of a process whose database may be away. */
export const isProbe = (path: string): boolean => path === '/api/live';

/** Whether a request of a method changes nothing. */
export const isReading = (method: string): boolean => ['GET', 'HEAD', 'OPTIONS'].includes(method);

/**
 * Whether a write comes from a page of another site: its browser names that site as the origin. A client that is
 * no browser names none.
 */
export function isForeignWrite(method: string, headers: Headers): boolean {
  const origin = headers.get('origin');
  if (isReading(method) || origin === null) return false;
  try {
    return new URL(origin).host !== headers.get('host');
  } catch {
    return true;
  }
}

/**
 * Whether a request was meant for this server. A page of another site can point a name of its own at this
 * machine and have the browser ask it (DNS rebinding): the name it asks for then is not one of ours. An address in
 * figures cannot be pointed elsewhere.
 * @param header the Host header, with or without a port
 */
export function isForUs(header: string | null, allowed: ReadonlySet<string>): boolean {
  if (header === null) return false;
  const name = header.toLowerCase().replace(/:\d+$/, '');
  return isIP(name.replace(/^\[|\]$/g, '')) !== 0 || allowed.has(name);
}

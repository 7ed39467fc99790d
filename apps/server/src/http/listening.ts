import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { startProblems as say } from '@cordel/text/server/start';

/** Why a server cannot start as it was asked to. */
export class CannotStart extends Error {
  override name = 'CannotStart';
}

/** Where a server listens, and under which address people reach it. */
export interface Listening {
  hostname: string;
  port: number;
  /** As people type it; null where nobody signs in. */
  origin: string | null;
  tls: Certificate | null;
}

export interface Certificate {
  cert: string;
  key: string;
  /** Until when it holds, in ms. */
  until: number;
}

type Environment = Readonly<Record<string, string | undefined>>;

const LOOPBACK = '127.0.0.1';
const ALL_ADDRESSES = '0.0.0.0';

export const isOnLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));

/**
 * Reads how a server is to listen. Without accounts everybody may do all: it listens to this machine alone.
 * @param hasAccounts whether people sign in
 * @throws CannotStart with what to change
 */
export function readListening(env: Environment, hasAccounts: boolean, now: number): Listening {
  const port = Number(env.PORT ?? 8044);
  if (!hasAccounts) {
    if (env.HOST && !isOnLoopback(env.HOST)) throw new CannotStart(say('openToOthers').text);
    return { hostname: env.HOST ?? LOOPBACK, port, origin: null, tls: null };
  }
  const tls = readCertificate(env, now);
  const origin = env.CORDEL_ORIGIN
    ? readOrigin(env.CORDEL_ORIGIN)
    : `${tls ? 'https' : 'http'}://localhost:${port}`;
  return { hostname: env.HOST ?? (tls ? ALL_ADDRESSES : LOOPBACK), port, origin, tls };
}

/** An address as a browser names it: without a path. */
function readOrigin(text: string): string {
  try {
    const { origin, protocol, pathname } = new URL(text);
    if (/^https?:$/.test(protocol) && pathname === '/') return origin;
  } catch {
    // Said below.
  }
  throw new CannotStart(say('originWrong', { origin: text }).text);
}

/** @throws CannotStart where one of the two is missing, cannot be read, or is not for now */
export function readCertificate(env: Environment, now: number): Certificate | null {
  const { CORDEL_TLS_CERT: certPath, CORDEL_TLS_KEY: keyPath } = env;
  if (!certPath && !keyPath) return null;
  if (!certPath || !keyPath) throw new CannotStart(say('tlsHalf').text);
  const cert = readText(certPath);
  const key = readText(keyPath);
  let read: X509Certificate;
  try {
    read = new X509Certificate(cert);
  } catch {
    throw new CannotStart(say('certificateWrong', { path: certPath }).text);
  }
  const until = Date.parse(read.validTo);
  if (until < now)
    throw new CannotStart(
      say('certificateExpired', { path: certPath, day: new Date(until).toISOString().slice(0, 10) })
        .text,
    );
  return { cert, key, until };
}

function readText(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw new CannotStart(say('fileUnreadable', { path }).text);
  }
}

import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';
import { isIPv6 } from 'node:net';

const LOOPBACK = ['127.0.0.1', '::1', '::ffff:127.0.0.1'];

/** The network of an address: whoever has one of IPv6 has 64 bits of them (RFC 6177). */
const networkOf = (address: string): string =>
  isIPv6(address) && !address.startsWith('::ffff:')
    ? address.split('::')[0]!.split(':').slice(0, 4).join(':')
    : address;

/**
 * The network that a request comes from. A proxy on this machine says from where it had it (the last one that it names:
 * those before it are the client's own words). Empty where nothing is known.
 */
export function addressOf(c: Context): string {
  let remote: string | undefined;
  try {
    remote = getConnInfo(c).remote.address;
  } catch {
    // It came over no socket.
  }
  if (remote === undefined) return '';
  const forwarded = c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim();
  return networkOf(LOOPBACK.includes(remote) && forwarded ? forwarded : remote);
}

import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import type { Hono } from 'hono';

/** Scripts that stand in the page itself, each by its hash (W3C, Content Security Policy Level 3). */
const hashesOf = (page: string): string[] =>
  [...page.matchAll(/<script>([\s\S]*?)<\/script>/g)].map(
    ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
  );

/** What the page may load, run and be shown in: nothing of anybody else. */
const policyOf = (page: string): string =>
  [
    "default-src 'none'",
    `script-src ${["'self'", ...hashesOf(page)].join(' ')}`,
    // React Native Web writes its styles into the page.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    // A PDF is shown in a frame of the browser's own.
    "frame-src 'self' blob:",
    "frame-ancestors 'none'",
    "base-uri 'none'",
    "form-action 'none'",
  ].join('; ');

/** What the page may use of the device: camera and place, and nothing else. */
const PERMISSIONS =
  'camera=(self), clipboard-write=(self), geolocation=(), microphone=(), payment=(), usb=()';

const YEAR_S = 365 * 24 * 3600;

/**
 * Serves the built web app; every path without a file ending is the app's own.
 * @param isSecure whether people reach it over TLS alone
 * @returns what tells this build from others; null where there is no build
 */
export function serveWeb(
  app: Pick<Hono, 'use' | 'get'>,
  folder: string,
  isSecure = false,
): string | null {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) return null;
  const text = readFileSync(index, 'utf8');
  const policy = policyOf(text);
  app.use('*', async (c, next) => {
    await next();
    c.header('content-security-policy', policy);
    c.header('x-content-type-options', 'nosniff');
    c.header('referrer-policy', 'no-referrer');
    c.header('permissions-policy', PERMISSIONS);
    c.header('cross-origin-opener-policy', 'same-origin');
    if (isSecure) c.header('strict-transport-security', `max-age=${YEAR_S}`);
  });
  app.use(
    '*',
    serveStatic({
      root: folder,
      precompressed: true,
      onFound: (path, c) => {
        const hashed = /\/_expo\/static\/|\/assets\//.test(path);
        c.header('cache-control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  const page = serveStatic({
    path: 'index.html',
    root: folder,
    precompressed: true,
    onFound: (_path, c) => c.header('cache-control', 'no-cache'),
  });
  app.get('*', (c, next) => (/\.\w+$/.test(c.req.path) ? next() : page(c, next)));
  return /<meta name="cordel-build" content="(\w+)">/.exec(text)?.[1] ?? null;
}

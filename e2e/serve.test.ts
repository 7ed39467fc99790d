import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import { MAIN, type Server, freePort, startServer } from './app.ts';

jest.setTimeout(120_000);

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-serve-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** A certificate of our own, from one day to another. */
async function makeCertificate(name: string, days: [from: string, to: string]): Promise<void> {
  const path = (ending: string) => join(folder, `${name}.${ending}`);
  const run = (...args: string[]) => execFileSync('openssl', args, { stdio: 'ignore' });
  run(
    'req',
    '-newkey',
    'rsa:2048',
    '-nodes',
    '-keyout',
    path('key'),
    '-out',
    path('csr'),
    '-subj',
    '/CN=localhost',
  );
  await writeFile(path('cnf'), 'subjectAltName=DNS:localhost\n');
  const [from, to] = days;
  // A folder of an authority's own: x509 takes no first day.
  await writeFile(path('index'), '');
  await writeFile(path('serial'), '01\n');
  await writeFile(
    path('ca'),
    [
      '[ca]',
      'default_ca=own',
      '[own]',
      `database=${path('index')}`,
      `serial=${path('serial')}`,
      `new_certs_dir=${folder}`,
      'default_md=sha256',
      'policy=any',
      '[any]',
      'commonName=supplied',
      '',
    ].join('\n'),
  );
  run(
    'ca',
    '-batch',
    '-selfsign',
    '-config',
    path('ca'),
    '-in',
    path('csr'),
    '-keyfile',
    path('key'),
    '-out',
    path('crt'),
    '-startdate',
    from,
    '-enddate',
    to,
    '-extfile',
    path('cnf'),
    '-notext',
  );
}

const yearOf = (offset: number): string => `${new Date().getUTCFullYear() + offset}0101000000Z`;

/** Asks a server over TLS whose certificate nobody vouches for. */
const askTls = (url: string, path: string, headers: Record<string, string> = {}) =>
  new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
    (resolve, reject) => {
      const asked = request(`${url}${path}`, { rejectUnauthorized: false, headers }, (answer) => {
        let text = '';
        answer.setEncoding('utf8');
        answer.on('data', (part) => (text += part));
        answer.on('end', () =>
          resolve({ status: answer.statusCode!, headers: answer.headers, text }),
        );
      });
      asked.on('error', reject);
      asked.end();
    },
  );

describe('a server for a small firm', () => {
  let server: Server;
  let metrics: number;
  afterEach(() => server?.stop('SIGKILL'));

  it('speaks TLS with its own certificate, marks its cookies, and counts on a port of its own', async () => {
    await makeCertificate('good', [yearOf(-1), yearOf(2)]);
    const port = await freePort();
    metrics = await freePort();
    const origin = `https://localhost:${port}`;
    server = await startServer({
      serve: true,
      port,
      says: origin,
      env: {
        CORDEL_TLS_CERT: join(folder, 'good.crt'),
        CORDEL_TLS_KEY: join(folder, 'good.key'),
        CORDEL_METRICS_PORT: String(metrics),
        HOST: '127.0.0.1',
        LOG_LEVEL: 'info',
      },
    });
    expect((await askTls(origin, '/api/live')).status).toBe(200);
    const page = await askTls(origin, '/');
    expect(page.headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
    expect(page.headers['referrer-policy']).toBe('no-referrer');
    expect(page.headers['permissions-policy']).toContain('camera=(self)');
    const secret = /join#(\S+)/.exec(server.output())![1]!;
    const joined = await new Promise<{ status: number; cookies: string[] }>((resolve, reject) => {
      const body = JSON.stringify({
        secret,
        person: { name: 'Olga Host', email: 'olga@firm.example', password: 'bread sled lamp' },
      });
      const asked = request(
        `${origin}/api/invitations/accept`,
        {
          method: 'POST',
          rejectUnauthorized: false,
          headers: {
            origin,
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(body),
          },
        },
        (answer) => {
          answer.resume();
          resolve({ status: answer.statusCode!, cookies: answer.headers['set-cookie'] ?? [] });
        },
      );
      asked.on('error', reject);
      asked.end(body);
    });
    expect(joined.status).toBe(200);
    expect(joined.cookies.length).toBeGreaterThanOrEqual(2);
    for (const cookie of joined.cookies) expect(cookie).toMatch(/^__(Secure|Host)-.*HttpOnly/i);
    for (const cookie of joined.cookies) expect(cookie).toMatch(/; Secure/i);
    const figures = await (await fetch(`http://127.0.0.1:${metrics}/metrics`)).text();
    expect(figures).toMatch(
      /cordel_http_request_duration_seconds_count\{method="POST",route="\/api\/invitations\/accept",status="200"\} 1/,
    );
    // Neither figures nor log hold what opens a door, or what people wrote.
    for (const text of [figures, server.output().replace(/http\S+join#\S+/, '')])
      for (const word of [secret, 'bread sled lamp', 'olga@firm.example', 'Olga Host'])
        expect(text).not.toContain(word);
    expect(server.output()).toContain('"route":"/api/invitations/accept"');
    // What opens backups is for whoever runs the server alone.
    expect((await stat(join(server.folder, 'backup.key'))).mode & 0o777).toBe(0o600);
    expect((await askTls(origin, '/api/backup')).status).toBe(401);
    const key = await readFile(join(server.folder, 'backup.key'), 'utf8');
    expect((await askTls(origin, '/api/backup', { authorization: `Bearer ${key}` })).status).toBe(
      200,
    );
    expect((await askTls(origin, '/api/backup', { authorization: 'Bearer guess' })).status).toBe(
      401,
    );
    expect(await server.stop('SIGTERM')).toBe(0);
  });

  it('does not start with a certificate that has run out, or open to others without accounts', async () => {
    await makeCertificate('old', [yearOf(-3), yearOf(-1)]);
    const start = (args: string[], env: Record<string, string>) => {
      const { status, stderr } = spawnSync(process.execPath, [MAIN, ...args], {
        encoding: 'utf8',
        timeout: 20_000,
        env: { ...process.env, NODE_OPTIONS: '', CORDEL_DATA: join(folder, 'data'), ...env },
      });
      return { status, stderr };
    };
    const old = start(['--serve'], {
      CORDEL_TLS_CERT: join(folder, 'old.crt'),
      CORDEL_TLS_KEY: join(folder, 'old.key'),
    });
    expect(old.stderr).toMatch(/ran out on \d{4}-01-01: browsers would refuse it\. Renew it/);
    expect(old.status).toBe(1);
    const open = start(['--demo'], { HOST: '0.0.0.0' });
    expect(open.stderr).toContain('listens to this machine alone');
    expect(open.status).toBe(1);
  });
});

import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { once } from 'node:events';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The root of the repository. */
export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a command and stops with its exit code where it fails. */
export function run(command, args, { env = {}, cwd = ROOT, stdio = 'inherit' } = {}) {
  const result = spawnSync(command, args, {
    cwd,
    stdio,
    env: { ...process.env, ...env },
  });
  if (result.error) throw result.error;
  if (result.status !== 0) process.exit(result.status ?? 1);
}

/**
 * Starts a command that runs beside others.
 * @returns its process, and its exit code and output once it has ended
 */
export function start(command, args, { env = {}, cwd = ROOT } = {}) {
  const child = spawn(command, args, { cwd, env: { ...process.env, ...env } });
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (output += text));
  return { child, ended: once(child, 'close').then(([code]) => ({ code, output })) };
}

/** Runs a command beside others; shows its output and stops with its exit code where it fails. */
async function runBeside(command, args, options) {
  const { code, output } = await start(command, args, options).ended;
  if (code === 0) return;
  console.error(output);
  process.exit(code ?? 1);
}

export const npx = (args, options) =>
  run(process.platform === 'win32' ? 'npx.cmd' : 'npx', ['--no-install', ...args], options);

const sha = (text) => createHash('sha256').update(text).digest('hex');

/** Installs the packages of the lockfile unless they are there. */
export function installPackages() {
  const mark = join(ROOT, 'node_modules/.cordel-installed');
  const wanted = sha(readFileSync(join(ROOT, 'package-lock.json')));
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.error('Installing packages (usually 100 s) …');
  // Standard output is for the answer of a command.
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', process.stderr, process.stderr],
  });
  writeFileSync(mark, wanted);
}

/**
 * The browser's path; installs Debian's Chromium where there is none: its headless shell, which takes a fifth less of the
 * machine than the whole browser.
 */
export function installChromium() {
  const found = () =>
    [process.env.CHROMIUM, '/usr/bin/chromium-headless-shell'].find(
      (path) => path && existsSync(path),
    );
  if (!found()) {
    console.log('Installing Chromium …');
    installDebian('chromium-headless-shell');
  }
  return found();
}

/** The folder of PostgreSQL's programs; installs Debian's where there is none. */
export function installPostgres() {
  const versions = '/usr/lib/postgresql';
  const found = () =>
    [
      process.env.POSTGRES_BIN,
      ...(existsSync(versions)
        ? readdirSync(versions).map((name) => join(versions, name, 'bin'))
        : []),
    ].find((path) => path && existsSync(join(path, 'initdb')));
  if (!found()) {
    console.log('Installing PostgreSQL …');
    installDebian('postgresql');
  }
  return found();
}

/** Installs what makes certificates, where there is none. */
export function installOpenssl() {
  if (spawnSync('openssl', ['version']).status === 0) return;
  console.log('Installing OpenSSL …');
  installDebian('openssl');
}

/** Installs a package of Debian's. */
export function installDebian(name) {
  const root = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [['update'], ['install', '-y', '--no-install-recommends', name]]) {
    const [command, ...rest] = [...root, 'apt-get', ...args];
    run(command, rest, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  }
}

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (/^(node_modules|dist|\.expo)$/.test(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else if (!/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

/**
 * Builds a part of the house unless its sources are what they were at the last build.
 * @param usual how long it usually takes, in seconds
 */
async function buildOnce(name, usual, sources, output, build) {
  const mark = join(ROOT, 'node_modules/.cache/cordel', name);
  const files = sources.flatMap((source) => {
    const path = join(ROOT, source);
    return statSync(path).isDirectory() ? [...filesBelow(path)] : [path];
  });
  const wanted = sha(
    files
      .sort()
      .map((path) => `${path} ${sha(readFileSync(path))}`)
      .join('\n'),
  );
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted && existsSync(join(ROOT, output)))
    return;
  // Not where a command prints its answer.
  console.error(`Building ${name} (usually ${usual} s) …`);
  rmSync(mark, { force: true });
  const begun = Date.now();
  await build();
  console.error(`Built ${name}: ${Math.round((Date.now() - begun) / 1000)} s.`);
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, wanted);
}

/** Builds the web app and the server, beside each other. */
export async function build() {
  await Promise.all([buildWeb(), buildServer(), buildCommands()]);
}

const buildWeb = () =>
  buildOnce(
    'the web app',
    45,
    [
      'apps/web',
      'packages/client',
      'packages/text',
      'packages/core',
      'packages/standin',
      'package-lock.json',
      'scripts/finishWeb.mjs',
    ],
    'apps/web/dist/index.html',
    async () => {
      await runBeside(join(ROOT, 'node_modules/.bin/expo'), ['export', '--platform', 'web'], {
        cwd: join(ROOT, 'apps/web'),
        env: { EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1' },
      });
      await runBeside(process.execPath, [
        join(ROOT, 'scripts/finishWeb.mjs'),
        join(ROOT, 'apps/web/dist'),
      ]);
    },
  );

const SERVER_SOURCES = ['apps/server', 'packages', 'package-lock.json'];

const buildServer = () =>
  buildOnce('the server', 15, SERVER_SOURCES, 'apps/server/dist/main.js', () =>
    runBeside(process.execPath, ['build.mjs', 'server'], { cwd: join(ROOT, 'apps/server') }),
  );

/** Builds the command line. */
export const buildCommands = () =>
  buildOnce('the commands', 2, SERVER_SOURCES, 'apps/server/dist/commands/otdr.js', () =>
    runBeside(process.execPath, ['build.mjs', 'commands'], { cwd: join(ROOT, 'apps/server') }),
  );

/**
 * Runs a command of ours in this process.
 * @param name of its bundle
 */
export async function runCommand(name) {
  installPackages();
  await buildCommands();
  // npm runs scripts in the root: files are meant from where the command was typed, the data folder is the root's.
  process.env.CORDEL_DATA = resolve(ROOT, process.env.CORDEL_DATA ?? '.cordel');
  process.chdir(process.env.INIT_CWD ?? process.cwd());
  await import(`../apps/server/dist/commands/${name}.js`);
}

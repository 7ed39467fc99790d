import { type ChildProcess, spawn } from 'node:child_process';
import { appendFile, mkdir, mkdtemp, rename, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { benchHead } from '@cordel/text/pages/bench/BenchHead';
import { traceAlerts } from '@cordel/text/pages/traces/TraceAlerts';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
} from './app.ts';
import { type QuayLine, makeQuayLine } from './quayLine.ts';

jest.setTimeout(180_000);

const ROOT = fileURLToPath(new URL('..', import.meta.url));

let server: Server;
let browser: Browser;
let person: Person;
let line: QuayLine;
let closure: string;
let above: string;
let folder: string;
let watcher: Watcher | null = null;

interface Watcher {
  process: ChildProcess;
  events(): { code: string; file?: string }[];
}

/** The command as one types it, its events as it prints them. */
function watchFolder(): Watcher {
  const args = ['run', '--silent', 'otdr', '--', 'watch', folder, '--server', server.url];
  const child = spawn('npm', [...args, '--project', 'Quay line'], { cwd: ROOT, detached: true });
  let out = '';
  child.stdout.on('data', (piece: Buffer) => (out += piece.toString()));
  const events = () =>
    out
      .split('\n')
      .filter((row) => row.startsWith('{'))
      .map((row) => JSON.parse(row) as { code: string; file?: string });
  return { process: child, events };
}

async function stopWatching(): Promise<void> {
  if (!watcher) return;
  const child = watcher.process;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  process.kill(-child.pid!, 'SIGTERM');
  await ended;
  watcher = null;
}

const told = (code: string, file?: string) =>
  until(
    () =>
      Promise.resolve(
        watcher!.events().some((event) => event.code === code && (!file || event.file === file)),
      ),
    `${code} ${file ?? ''}`,
  );
const traces = () => readApi<{ name: string }[]>(server, `/projects/${line.project}/traces`);

beforeAll(async () => {
  server = await startServer({ demo: true });
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
  line = await makeQuayLine(server, { 'Lock gate 3': 500 });
  closure = await line.closureId('Lock gate');
  above = await mkdtemp(join(tmpdir(), 'cordel-watch-'));
  folder = join(above, 'traces');
  await mkdir(folder);
});
afterAll(async () => {
  await stopWatching();
  await browser?.close();
  if (server) await removeServer(server);
  if (above) await rm(above, { recursive: true, force: true });
});

describe('traces that come in while a crew is at the closure', () => {
  const step = storyteller();

  step('say within seconds which splice to resplice', async () => {
    watcher = watchFolder();
    await told('watching');
    await visit(person.page, `${server.url}/p/${line.project}/bench/${closure}`);
    await seesNot(person.page, 'Traces:');
    const shootAll = async (direction: string) => {
      for (const fiber of [1, 2, 3, 4, 5]) {
        const { name, bytes } = await line.shoot(fiber, direction, 1550);
        await writeFile(join(folder, name), bytes);
      }
    };
    // One direction says where to look, both of them what to do.
    await shootAll('AB');
    await sees(person.page, /Traces: look at this. A 3 to B 3 reads high one way/);
    await shootAll('BA');
    await sees(person.page, /Traces: resplice before the tray is closed. A 3 to B 3/);
    await told('finding');
    await until(async () => (await traces()).length === 10, 'all ten traces are sent');
  });

  step('the splice is taken in hand from there', async () => {
    await press(person.page, benchHead('alerts', { alerts: 1 }));
    await press(person.page, traceAlerts('takeInHand'));
    await sees(person.page, /tray 1 slot 3/i);
  });

  step('a file is sent once it is whole', async () => {
    const { bytes } = await line.shoot(6, 'AB', 1550);
    const path = join(folder, 'A-006_AB_1550.sor');
    await writeFile(path, bytes.subarray(0, 9000));
    await told('notWhole', 'A-006_AB_1550.sor');
    await until(async () => (await traces()).length === 10, 'all ten traces are sent');
    await appendFile(path, bytes.subarray(9000));
    await told('sent', 'A-006_AB_1550.sor');
    expect(await traces()).toHaveLength(11);
  });

  step('a folder that is taken out and put back is gone on with', async () => {
    await rename(folder, `${folder}-out`);
    await told('folderGone');
    const { name, bytes } = await line.shoot(7, 'AB', 1550);
    await writeFile(join(`${folder}-out`, name), bytes);
    await rename(`${folder}-out`, folder);
    await told('folderBack');
    await told('sent', name);
    expect(await traces()).toHaveLength(12);
  });

  step('a server that is away is waited for, and has every file once it is back', async () => {
    const { name, bytes } = await line.shoot(9, 'AB', 1550);
    await server.stop();
    await writeFile(join(folder, name), bytes);
    await told('serverAway');
    const port = Number(new URL(server.url).port);
    server = await startServer({ demo: true, folder: server.folder, port });
    await told('serverBack');
    await told('sent', name);
    expect(await traces()).toHaveLength(13);
  });

  step('a watch that was broken off goes on where it was', async () => {
    await stopWatching();
    const { name, bytes } = await line.shoot(8, 'AB', 1550);
    await writeFile(join(folder, name), bytes);
    watcher = watchFolder();
    await told('sent', name);
    expect(watcher.events().filter(({ code }) => code === 'sent')).toHaveLength(1);
    expect(await traces()).toHaveLength(14);
  });
});

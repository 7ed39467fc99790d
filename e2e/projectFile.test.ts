import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { common } from '@cordel/text/pages/common';
import { projectList } from '@cordel/text/pages/projects/ProjectList';
import { shell } from '@cordel/text/pages/ui/Shell';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
  newPerson,
  pressText,
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
import { openSplices } from './evidence.ts';

jest.setTimeout(120_000);

let browser: Browser;
let from: Server;
let to: Server;
let person: Person;
let folder: string;
let project: string;
const step = storyteller();

beforeAll(async () => {
  browser = await startBrowser();
  folder = await mkdtemp(join(tmpdir(), 'cordel-e2e-'));
  [from, to] = await Promise.all([startServer({ demo: true }), startServer()]);
  ({ project } = await openSplices(from, 1));
  const zip = await (await fetch(`${from.url}/api/projects/${project}/project.zip`)).arrayBuffer();
  await writeFile(join(folder, 'project.zip'), Buffer.from(zip));
  person = await newPerson(browser, to, 'Lead');
  await visit(person.page, `${to.url}/projects`);
});
afterAll(async () => {
  await browser.close();
  await Promise.all([removeServer(from), removeServer(to)]);
  await rm(folder, { recursive: true, force: true });
});

const projects = () => readApi<{ id: string }[]>(to, '/projects');
const imports = () => readApi<{ done: number }[]>(to, '/imports');

describe('a whole project by its file', () => {
  step('comes in with its progress told, and may be stopped: nothing of it is kept', async () => {
    const { page } = person;
    await chooseFile(page, 'Import a project', join(folder, 'project.zip'));
    await until(async () => (await imports())[0]?.done, 'the first rows');
    await sees(page, /[\d,]+ of [\d,]+ rows/);
    await pressText(page, common('stop'));
    await until(async () => (await imports()).length === 0, 'the end of it');
    await seesNot(page, 'Importing');
    await sees(page, projectList('noProjectYet'));
    expect(await projects()).toEqual([]);
  });

  step('comes in whole, and nobody sees half of it meanwhile', async () => {
    const { page } = person;
    await chooseFile(page, 'Import a project', join(folder, 'project.zip'));
    await until(async () => (await imports())[0]?.done, 'the first rows');
    expect(await projects()).toEqual([]);
    await until(async () => (await projects()).length > 0, 'the project', 90_000);
    await sees(page, shell('route'));
    await seesNot(page, 'Importing');
    const path = `/projects/${project}/document.json`;
    const [here, there] = await Promise.all(
      [to, from].map(async ({ url }) => (await fetch(`${url}/api${path}`)).text()),
    );
    expect(here).toBe(there);
    expect(person.trouble).toEqual([]);
  });
});

describe('an import that is cut off', () => {
  const send = (server: Server, body: BodyInit, signal?: AbortSignal) =>
    fetch(`${server.url}/api/documents`, {
      method: 'POST',
      body,
      signal,
      duplex: 'half',
    } as RequestInit).catch(() => null);
  const listed = (server: Server) => readApi<unknown[]>(server, '/imports');
  const leftIn = async (server: Server) =>
    (await readdir(join(server.folder, 'packages'))).filter((name) => name.endsWith('.making'));

  it('by the death of the server leaves nothing once it has started again', async () => {
    const server = await startServer();
    const zip = await readFile(join(folder, 'project.zip'));
    const sent = send(server, zip);
    await until(
      async () => (await readApi<{ done: number }[]>(server, '/imports'))[0]?.done,
      'the first rows',
    );
    await server.stop('SIGKILL');
    await sent;
    const again = await startServer({ folder: server.folder });
    await until(async () => (await listed(again)).length === 0, 'the end of it');
    expect(await readApi(again, '/projects')).toEqual([]);
    expect(await leftIn(again)).toEqual([]);
    // Nothing of it stands in the way.
    expect((await send(again, zip))?.status).toBe(200);
    await removeServer(again);
  });

  it('by the line on its way leaves nothing', async () => {
    const server = await startServer();
    const zip = await readFile(join(folder, 'project.zip'));
    const stop = new AbortController();
    const half = new ReadableStream({
      start: (controller) => controller.enqueue(zip.subarray(0, zip.length / 2)),
    });
    const sent = send(server, half, stop.signal);
    await until(async () => (await leftIn(server)).length > 0, 'its first half');
    stop.abort();
    expect(await sent).toBeNull();
    await until(async () => (await leftIn(server)).length === 0, 'the end of it');
    expect(await listed(server)).toEqual([]);
    await removeServer(server);
  });
});

import { enteringCable, newRuling } from '@cordel/core';
import { accounts } from '@cordel/text/pages/accounts/accounts';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { projectList } from '@cordel/text/pages/projects/ProjectList';
import type { Browser } from 'puppeteer-core';
import {
  type PHONE,
  type Person,
  type Server,
  appIsKept,
  fill,
  makeProject,
  newId,
  newPerson,
  press,
  pressKeys,
  readApi,
  revisit,
  sees,
  signOf,
  startServer,
  until,
  visit,
  writeApi,
} from './app.ts';
import { settle } from './walk.ts';

/** A state of the app in which every page is walked. */
export interface Scene {
  /** Values of what the routes leave open. */
  values: { projectId: string; closureId: string; code: string };
  /** Who walks, on a page of that size. */
  person(size: typeof PHONE): Promise<Person>;
}

export const ROLES = ['reader', 'technician', 'inspector', 'lead'] as const;
type Role = (typeof ROLES)[number];

const NAMES = [
  'demo',
  'own network',
  'empty project',
  'practice',
  'nothing planned',
  'all skipped',
  'closed and signed',
  'refused write',
  'offline',
  ...ROLES,
] as const;
export type SceneName = (typeof NAMES)[number];
export const SCENES: readonly SceneName[] = NAMES;

const CODE = 'AAAAAA';
const PASSWORD = 'bread sled lamp';

interface ClosureRow {
  closureId: string;
  closing: string;
}

/** Puts each scene together when it is asked for, on one server for all who do not sign in and one for those who do. */
export class Stage {
  private readonly browser: Browser;
  private readonly open: Server;
  private signedIn: Promise<{ server: Server; owner: Person; values: Scene['values'] }> | null =
    null;

  constructor(browser: Browser, open: Server) {
    this.browser = browser;
    this.open = open;
  }

  /** Servers that were started for scenes, to be removed after them. */
  readonly servers: Server[] = [];

  async scene(name: SceneName): Promise<Scene> {
    const role = ROLES.find((one) => one === name);
    if (role) return this.asRole(role);
    const projectId = await this.project(name as Exclude<SceneName, Role>);
    const values = await this.valuesOf(projectId, name);
    const path = `/p/${projectId}/bench/${values.closureId}`;
    const someone = (size: typeof PHONE) => newPerson(this.browser, this.open, 'W. Walker', size);
    if (name === 'offline')
      return { values, person: async (size) => this.offline(await someone(size), path) };
    if (name === 'refused write')
      return { values, person: async (size) => this.refused(await someone(size), path) };
    return { values, person: someone };
  }

  private async project(name: Exclude<SceneName, Role>): Promise<string> {
    switch (name) {
      case 'demo':
      case 'closed and signed':
      case 'offline': {
        const list = await readApi<{ id: string; name: string }[]>(this.open, '/projects');
        return list.find(({ id }) => id.endsWith('000000000000'))!.id;
      }
      case 'empty project':
        return makeProject(this.open, 'Empty line', {}, []);
      case 'own network':
      case 'refused write':
        return ownNetwork(this.open, name);
      case 'practice':
        return ownNetwork(this.open, name, { practiceOnly: true });
      case 'nothing planned': {
        const projectId = await makeProject(this.open, name, { F: TUBES, R: RIBBONS }, []);
        for (const [ordinal, closure] of ['North box', 'South box'].entries()) {
          const id = newId();
          const record = { id, projectId, name: closure, ordinal, distance: null, branchOf: null };
          await writeApi(this.open, 'PUT', `/closures/${id}`, {
            ...record,
            position: null,
            trays: [],
          });
        }
        return projectId;
      }
      case 'all skipped':
        return this.skipped(await ownNetwork(this.open, name));
    }
  }

  private async valuesOf(projectId: string, name: SceneName): Promise<Scene['values']> {
    const { closures } = await readApi<{ closures: ClosureRow[] }>(
      this.open,
      `/projects/${projectId}/ledger/closures`,
    );
    const signed = closures.find(({ closing }) => closing === 'done');
    const one = (name === 'closed and signed' ? signed : null) ?? closures[0];
    return { projectId, closureId: one?.closureId ?? newId(), code: CODE };
  }

  private async skipped(projectId: string): Promise<string> {
    const { rows } = await readApi<{ rows: { id: string }[] }>(
      this.open,
      `/projects/${projectId}/ledger/splices?limit=1000`,
    );
    const entries = rows.map(({ id }) =>
      newRuling(
        { id: newId(), by: 'M. Quill', at: new Date().toISOString() },
        id,
        null,
        'skip',
        'The far side is not there yet.',
      ),
    );
    await writeApi(this.open, 'POST', '/evidence', { entries });
    return projectId;
  }

  /** Everything was looked at once, and then there is no signal. */
  private async offline(person: Person, path: string): Promise<Person> {
    const { page } = person;
    await visit(page, this.open.url + path);
    await appIsKept(page);
    await revisit(page);
    await page.setOfflineMode(true);
    return person;
  }

  /** A splice that the server did not accept stands in the list of what waits. */
  private async refused(person: Person, path: string): Promise<Person> {
    const { page } = person;
    await visit(page, this.open.url + path);
    const headers = await signOf(this.open);
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      if (request.method() !== 'POST' || !request.url().endsWith('/api/evidence'))
        return void request.continue();
      const body = JSON.stringify({ title: 'The splice is not there.', status: 422 });
      return void request.respond({
        status: 422,
        headers,
        contentType: 'application/problem+json',
        body,
      });
    });
    await pressKeys(page, '2');
    await press(page, benchPage('saveNext'));
    await sees(page, /not accepted/);
    return person;
  }

  /** A server whose people sign in, with a project of its own. */
  private signIn() {
    this.signedIn ??= (async () => {
      const server = await startServer({ serve: true });
      this.servers.push(server);
      const owner = await newPerson(this.browser, server, null);
      const link = /http:\S+\/join#\S+/.exec(server.output())![0];
      await visit(owner.page, link);
      await makeAccount(owner, 'Olga Host');
      await sees(owner.page, projectList('noProjectYet'));
      const projectId = await ownNetwork(this.open, 'of a crew');
      const { closureId } = await this.valuesOf(projectId, 'own network');
      const document = await readApi(this.open, `/projects/${projectId}/document.json`);
      await ask(owner, '/documents', document);
      return { server, owner, values: { projectId, closureId, code: CODE } };
    })();
    return this.signedIn;
  }

  private async asRole(role: Role): Promise<Scene> {
    const { server, owner, values } = await this.signIn();
    return {
      values,
      person: async (size) => {
        const { secret } = await ask<{ secret: string }>(
          owner,
          `/projects/${values.projectId}/invitations`,
          { id: newId(), role, note: '' },
        );
        const person = await newPerson(this.browser, server, null, size);
        await visit(person.page, `${server.url}/join#${secret}`);
        await makeAccount(person, `${role} ${size.width}`);
        await until(
          () => person.page.evaluate(() => location.pathname === '/projects' || null),
          'the projects of who joined',
        );
        await settle(person.page);
        return person;
      },
    };
  }
}

async function makeAccount({ page }: Person, name: string): Promise<void> {
  await fill(page, accounts('name'), name);
  await fill(page, accounts('email'), `${name.toLowerCase().replace(/ /g, '.')}@firm.example`);
  await fill(page, accounts('password'), PASSWORD);
  await press(page, accounts('makeAccount'));
}

/** Sends something to the API as whoever is signed in on a page. */
const ask = <Answer>({ page }: Person, path: string, body: unknown): Promise<Answer> =>
  page.evaluate(
    async (url, text) => {
      const headers = { 'content-type': 'application/json' };
      const response = await fetch(url, { method: 'POST', body: text, headers });
      if (!response.ok) throw new Error(`${url}: ${response.status} ${await response.text()}`);
      return (await response.json()) as never;
    },
    `/api${path}`,
    JSON.stringify(body),
  );

const TUBES = { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 };
const RIBBONS = { kind: 'ribbon', ribbons: 2 };

/** A network unlike the demo: ports, a splitter, ribbons, groups, an express cable; nothing placed, in US units. */
async function ownNetwork(
  server: Server,
  name: string,
  more: { practiceOnly?: boolean } = {},
): Promise<string> {
  const projectId = await makeProject(
    server,
    name,
    {
      F: TUBES,
      G: { kind: 'grouped-tube', tubes: 1, groupsPerTube: 2 },
      R: RIBBONS,
      T: RIBBONS,
    },
    [
      ...Array.from(
        { length: 6 },
        (_, at) => `North box,1,${at + 1},F,${at + 1},G,${at + 1},single`,
      ),
      ...Array.from({ length: 12 }, (_, at) => `South box,1,1,R,${at + 1},T,${at + 1},ribbon`),
    ],
  );
  const { project, closures, cables } = await readApi<{
    project: { units: object };
    closures: { id: string; name: string }[];
    cables: { id: string; name: string }[];
  }>(server, `/projects/${projectId}`);
  const us = { length: 'in', distance: 'ft', pressure: 'psi', temperature: 'F', altitude: 'ft' };
  await writeApi(server, 'PUT', `/projects/${projectId}`, {
    ...project,
    practiceOnly: false,
    ...more,
    units: { ...project.units, ...us, paper: 'Letter' },
  });
  const at = closures.find(({ name: closure }) => closure === 'North box')!.id;
  const device = (own: string, makeUp: object) => ({
    id: newId(),
    projectId,
    name: own,
    makeUp,
    schemeId: 'tia-598',
    closureId: at,
  });
  for (const one of [
    device('P1', { kind: 'ports', place: 'panel', ports: 12, connector: 'SC', polish: 'APC' }),
    device('S1', { kind: 'splitter', outputs: 4 }),
  ])
    await writeApi(server, 'PUT', `/cables/${one.id}`, one);
  const express = cables.find(({ name: cable }) => cable === 'F')!.id;
  await writeApi(server, 'POST', `/assemblies/${at}/changes`, {
    kind: 'add',
    entry: enteringCable(newId(), express, 'express'),
  });
  return projectId;
}

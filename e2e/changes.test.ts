import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import type { Cable, Closure, Project } from '@cordel/core';
import {
  type Server,
  lineTo,
  newPerson,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
  visit,
} from './app.ts';

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let project: string;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
});
afterAll(async () => {
  await browser.close();
  await removeServer(server);
});

interface Setting {
  project: Project;
  cables: Cable[];
  closures: Closure[];
}
const setting = () => readApi<Setting>(server, `/projects/${project}`);

async function put(path: string, body: unknown): Promise<void> {
  const answer = await fetch(`${server.url}/api${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(await answer.text());
}

describe('what somebody writes', () => {
  it('comes to the screens of others by itself, settings too', async () => {
    const { page, trouble } = await newPerson(browser, server, 'One');
    const { cables, closures, project: own } = await setting();
    const base = `${server.url}/p/${project}`;
    const changes: [where: string, write: () => Promise<void>, text: string][] = [
      [
        'kit/cables',
        () => put(`/cables/${cables[0]!.id}`, { ...cables[0]!, name: 'Feeder nine' }),
        'Feeder nine',
      ],
      [
        'route',
        () => put(`/closures/${closures[0]!.id}`, { ...closures[0]!, name: 'Tannery' }),
        'Tannery',
      ],
      ['kit/cables', () => put(`/projects/${project}`, { ...own, name: 'Hill line' }), 'Hill line'],
    ];
    for (const [where, write, text] of changes) {
      await visit(page, `${base}/${where}`);
      await write();
      await sees(page, text);
    }
    expect(trouble).toEqual([]);
  });

  it('comes on one line for all pages of a browser, which another takes over', async () => {
    const { page: first, context } = await newPerson(browser, server, 'One');
    const second = await context.newPage();
    second.setDefaultTimeout(20_000);
    const streams: string[] = [];
    for (const [name, page] of [
      ['first', first],
      ['second', second],
    ] as const)
      page.on('request', (request) => {
        if (/\/changes\/stream/.test(request.url())) streams.push(name);
      });
    const { closures } = await setting();
    const route = `${server.url}/p/${project}/route`;
    await visit(first, route);
    await visit(second, route);
    expect(streams).toEqual(['first']);
    const rename = (name: string) => put(`/closures/${closures[1]!.id}`, { ...closures[1]!, name });
    await rename('Quarry');
    await Promise.all([sees(first, 'Quarry'), sees(second, 'Quarry')]);
    await first.close();
    await rename('Old quarry');
    await sees(second, 'Old quarry');
    expect(streams).toEqual(['first', 'second']);
  });

  it('is there when a line that was cut stands again', async () => {
    const line = await lineTo(server);
    try {
      const { page } = await newPerson(browser, { ...server, url: line.url }, 'One');
      const { closures } = await setting();
      await visit(page, `${line.url}/p/${project}/route`);
      const isCut = new Promise<void>((resolve) =>
        page.on('requestfailed', (request) => {
          if (/\/changes\/stream/.test(request.url())) resolve();
        }),
      );
      line.cut();
      await put(`/closures/${closures[2]!.id}`, { ...closures[2]!, name: 'Behind the cut' });
      await isCut;
      line.restore();
      await sees(page, 'Behind the cut');
    } finally {
      line.close();
    }
  });

  it('is not asked for while nobody writes', async () => {
    const { page } = await newPerson(browser, server, 'One');
    await visit(page, `${server.url}/p/${project}/route`);
    // The stream stays open. A page that asks again and again never is quiet for so long.
    const stillness = page.waitForNetworkIdle({ idleTime: 5000, concurrency: 1 });
    expect(
      await stillness.then(
        () => 'quiet',
        () => 'asked again',
      ),
    ).toBe('quiet');
  });
});

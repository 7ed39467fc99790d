import { record } from '@cordel/text/handover/record';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { outboxItem } from '@cordel/text/pages/ui/OutboxItem';
import { outboxStrip } from '@cordel/text/pages/ui/OutboxStrip';
import { jest } from '@jest/globals';
import type { Browser, HTTPRequest } from 'puppeteer-core';
import {
  type Server,
  closureFinder,
  newPerson,
  press,
  pressKeys,
  readApi,
  removeServer,
  sees,
  signOf,
  seesNot,
  startBrowser,
  startServer,
  visit,
} from './app.ts';

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let bench: string;
let project: string;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
  const id = await closureFinder(server, project);
  bench = `${server.url}/p/${project}/bench/${id('Weir gauge')}`;
});
afterAll(async () => {
  await browser.close();
  await removeServer(server);
});

const splices = (query: string) =>
  readApi<{ rows: { id: string; tries: number; lossHalfMdb: number | null; verdict: string }[] }>(
    server,
    `/projects/${project}/ledger/splices?${query}`,
  );

describe('two technicians at the same closure', () => {
  it('see each other’s work, and nothing of either is lost', async () => {
    const one = await newPerson(browser, server, 'One');
    const two = await newPerson(browser, server, 'Two');
    for (const { page } of [one, two]) await visit(page, bench);
    // Both have the first splice in hand and keep it at once.
    await pressKeys(one.page, '2');
    await pressKeys(two.page, '3');
    await Promise.all([
      press(one.page, benchPage('saveNext')),
      press(two.page, benchPage('saveNext')),
    ]);
    await sees(one.page, record('traySlot', { tray: 1, slot: 2 }));
    await sees(two.page, record('traySlot', { tray: 1, slot: 2 }));
    // One goes on; the other sees it come in.
    await pressKeys(one.page, '1');
    await press(one.page, benchPage('saveNext'));
    await sees(one.page, '2 of 108');
    await sees(two.page, '2 of 108');
    const { rows } = await splices('q=weir&limit=3');
    expect(rows[0]).toMatchObject({ tries: 2 });
    expect(rows[1]).toMatchObject({ tries: 1, lossHalfMdb: 20 });
    const { evidence } = await readApi<{ evidence: { by: string }[] }>(
      server,
      `/splices/${rows[0]!.id}`,
    );
    expect(evidence.map((entry) => entry.by).sort()).toEqual(['One', 'Two']);
    expect([...one.trouble, ...two.trouble]).toEqual([]);
  });
});

describe('without a connection', () => {
  it('keeps what is recorded through a reload, shows that it waits, and sends it in order', async () => {
    const { page, trouble } = await newPerson(browser, server, 'Three');
    let cut = true;
    const gate = (request: HTTPRequest) => {
      if (cut && request.method() === 'POST') void request.abort('connectionrefused');
      else void request.continue();
    };
    await page.setRequestInterception(true);
    page.on('request', gate);
    await visit(page, bench);
    await sees(page, '2 of 108');
    for (const key of ['4', '5']) {
      await pressKeys(page, key);
      await press(page, benchPage('saveNext'));
    }
    await sees(page, '4 of 108');
    await sees(page, 'No connection, 2 kept here to send');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await sees(page, '4 of 108');
    await sees(page, 'No connection, 2 kept here to send');
    expect(
      (await splices('q=weir+tray+1&limit=12')).rows.filter((row) => row.tries > 0),
    ).toHaveLength(2);
    cut = false;
    await seesNot(page, 'No connection');
    await sees(page, '4 of 108');
    const { rows } = await splices('q=weir+tray+1&limit=12');
    expect(rows.slice(2, 4).map((row) => row.lossHalfMdb)).toEqual([80, 100]);
    expect(trouble.filter((entry) => !entry.includes('ERR_'))).toEqual([]);
  });

  it('keeps a refused write in sight, says why, and lets it go', async () => {
    const { page } = await newPerson(browser, server, 'Four');
    const headers = await signOf(server);
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      const refused = {
        status: 409,
        headers,
        contentType: 'application/problem+json',
        body: JSON.stringify({ detail: 'Entry is recorded already.' }),
      };
      if (request.method() === 'POST') void request.respond(refused);
      else void request.continue();
    });
    await visit(page, bench);
    await pressKeys(page, '2');
    await press(page, benchPage('saveNext'));
    await sees(page, outboxStrip('refusedNotAccepted', { refused: 1 }));
    await press(page, `Outbox: ${outboxStrip('refusedNotAccepted', { refused: 1 })}`);
    await sees(page, 'Not accepted: Entry is recorded already.');
    await press(page, outboxItem('dropIt'));
    await press(page, outboxItem('dropItForGood'));
    await sees(page, outboxStrip('allIsSent'));
  });
});

import { jest } from '@jest/globals';
import type { Browser, CDPSession, HTTPRequest } from 'puppeteer-core';
import {
  closureFinder,
  type Person,
  type Server,
  newPerson,
  press,
  pressKeys,
  pressText,
  readApi,
  removeServer,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
} from './app.ts';

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let project: string;
let closureId: string;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
  closureId = (await closureFinder(server, project))('Dairy lane');
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

const done = async () =>
  (
    await readApi<{ closures: { closureId: string; done: number }[] }>(
      server,
      `/projects/${project}/ledger/closures`,
    )
  ).closures.find((row) => row.closureId === closureId)!.done;

/** Waits until so many are spliced, as the server has it. */
const spliced = (count: number) =>
  until(async () => (await done()) === count, `${count} that are spliced`);

/** Keeps the next splice with 0.02 dB. */
async function keepOne({ page }: Person): Promise<void> {
  await pressKeys(page, '2');
  await press(page, 'Save, next');
}

const bench = async (person: Person) => {
  await person.page.goto(`${server.url}/p/${project}/bench/${closureId}`, {
    waitUntil: 'networkidle2',
  });
  await sees(person.page, 'spliced · tray');
};

describe('a device without room', () => {
  const step = storyteller();
  let person: Person;
  let session: CDPSession;

  step('sends what it cannot store', async () => {
    person = await newPerson(browser, server, 'R. Aldous');
    session = await person.page.createCDPSession();
    await bench(person);
    const before = await done();
    await session.send('Storage.overrideQuotaForOrigin', { origin: server.url, quotaSize: 1 });
    for (let count = 0; count < 3; count++) await keepOne(person);
    await spliced(before + 3);
    await seesNot(person.page, 'not safe');
  });

  step(
    'says without a connection that it is not safe, and sends it when there is one',
    async () => {
      const before = await done();
      await person.page.setOfflineMode(true);
      await keepOne(person);
      await sees(person.page, '1 not safe: no room on this device');
      expect(await done()).toBe(before);
      await person.page.setOfflineMode(false);
      await spliced(before + 1);
      await seesNot(person.page, 'not safe');
      expect(person.trouble).toEqual([]);
    },
  );
});

describe('a server that fails over one write', () => {
  const step = storyteller();
  let person: Person;
  let failing = true;

  step('gets the others: the one is set aside, and can be looked at', async () => {
    person = await newPerson(browser, server, 'M. Quill');
    await bench(person);
    const before = await done();
    await person.page.setRequestInterception(true);
    let first: string | null = null;
    person.page.on('request', (request: HTTPRequest) => {
      const evidence = request.method() === 'POST' && request.url().endsWith('/api/evidence');
      if (evidence) first ??= request.postData() ?? '';
      if (failing && evidence && request.postData() === first)
        void request.respond({ status: 500, contentType: 'application/json', body: '{}' });
      else void request.continue();
    });
    await keepOne(person);
    await sees(person.page, 'The server has trouble, 1 kept here to send');
    await keepOne(person);
    await sees(person.page, '1 set aside');
    await spliced(before + 1);
    await press(person.page, 'Outbox: 1 set aside');
    await sees(person.page, /Set aside after 4 attempts: The server failed over it \(500\)/);
    await press(person.page, 'What it holds');
    await sees(person.page, '"estimateMdb": 20');
  });

  step('takes it once it is sent again', async () => {
    const before = await done();
    failing = false;
    await press(person.page, 'Send again');
    await spliced(before + 1);
    await sees(person.page, 'All is sent.');
    expect(person.trouble).toEqual([]);
  });
});

describe('a page that does not come', () => {
  const step = storyteller();

  step('leaves the app as it is, and is there when it is asked for again', async () => {
    const person = await newPerson(browser, server, 'L. Ortiz');
    const { page } = person;
    await page.goto(`${server.url}/p/${project}/kit`, { waitUntil: 'networkidle2' });
    await page.setRequestInterception(true);
    let blocked = true;
    page.on('request', (request: HTTPRequest) => {
      const chunk = request.resourceType() === 'script';
      void (blocked && chunk ? request.abort() : request.continue());
    });
    await pressText(page, 'Colour schemes');
    await sees(page, 'This page is not here yet');
    await press(page, 'Kit');
    await sees(page, 'Project and limits');
    await pressText(page, 'Colour schemes');
    await sees(page, 'This page is not here yet');
    blocked = false;
    await press(page, 'Load it again');
    // Its address is that of the page before, from which it was asked for.
    await pressText(page, 'Colour schemes');
    await sees(page, 'Make my own from TIA-598 order');
  });
});

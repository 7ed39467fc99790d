import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { kitPage } from '@cordel/text/pages/kit/KitPage';
import { schemesPage } from '@cordel/text/pages/kit/SchemesPage';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { outboxItem } from '@cordel/text/pages/ui/OutboxItem';
import { outboxStrip } from '@cordel/text/pages/ui/OutboxStrip';
import { pageBoundary } from '@cordel/text/pages/ui/PageBoundary';
import { jest } from '@jest/globals';
import type { Browser, CDPSession, HTTPRequest } from 'puppeteer-core';
import {
  type Person,
  type Server,
  closureFinder,
  newId,
  newPerson,
  press,
  pressKeys,
  pressText,
  readApi,
  removeServer,
  revisit,
  sees,
  signOf,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
  writeApi,
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
  await press(page, benchPage('saveNext'));
}

const bench = async (person: Person) => {
  await visit(person.page, `${server.url}/p/${project}/bench/${closureId}`);
  await sees(person.page, 'spliced · tray');
};

describe('a device without room', () => {
  const step = storyteller();
  let person: Person;
  let session: CDPSession;

  step('sends what it cannot store', async () => {
    person = await newPerson(browser, server, 'R. Aldous');
    session = await person.page.createCDPSession();
    // Before anything is stored: the browser remembers for a while how much room there was.
    await session.send('Storage.overrideQuotaForOrigin', { origin: server.url, quotaSize: 1 });
    await bench(person);
    const before = await done();
    for (let count = 1; count <= 3; count++) {
      await keepOne(person);
      await spliced(before + count);
    }
    await seesNot(person.page, 'not safe');
  });

  step(
    'says without a connection that it is not safe, and sends it when there is one',
    async () => {
      const before = await done();
      await person.page.setOfflineMode(true);
      await keepOne(person);
      await sees(person.page, outboxStrip('notSafeNoRoomOnThis', { unsafe: 1 }));
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
    const headers = await signOf(server);
    await person.page.setRequestInterception(true);
    let first: string | null = null;
    person.page.on('request', (request: HTTPRequest) => {
      const evidence = request.method() === 'POST' && request.url().endsWith('/api/evidence');
      const body = request.postData() ?? '';
      if (evidence) first ??= /"id":"([^"]+)"/.exec(body)![1]!;
      if (failing && evidence && body.includes(first!))
        void request.respond({ status: 500, headers, contentType: 'application/json', body: '{}' });
      else void request.continue();
    });
    await keepOne(person);
    await sees(person.page, 'The server has trouble, 1 kept here to send');
    await keepOne(person);
    await sees(person.page, outboxStrip('asideSetAside', { aside: 1 }));
    await spliced(before + 1);
    await press(person.page, `Outbox: ${outboxStrip('asideSetAside', { aside: 1 })}`);
    await sees(person.page, /Set aside after 4 attempts: The server failed over it \(500\)/);
    await press(person.page, outboxItem('whatItHolds'));
    await sees(person.page, '"estimateMdb": 20');
  });

  step('takes it once it is sent again', async () => {
    const before = await done();
    failing = false;
    await press(person.page, outboxItem('sendAgain'));
    await spliced(before + 1);
    await sees(person.page, outboxStrip('allIsSent'));
    expect(person.trouble).toEqual([]);
  });
});

describe('a page that does not come', () => {
  const step = storyteller();

  step('leaves the app as it is, and is there when it is asked for again', async () => {
    const person = await newPerson(browser, server, 'L. Ortiz');
    const { page } = person;
    await visit(page, `${server.url}/p/${project}/kit`);
    await page.setRequestInterception(true);
    let blocked = true;
    page.on('request', (request: HTTPRequest) => {
      const chunk = request.resourceType() === 'script';
      void (blocked && chunk ? request.abort() : request.continue());
    });
    await pressText(page, kitShared('colourSchemes'));
    await sees(page, pageBoundary('thisPageIsNotHereYet'));
    await press(page, kitPage('kit'));
    await sees(page, kitShared('projectAndLimits'));
    await pressText(page, kitShared('colourSchemes'));
    await sees(page, pageBoundary('thisPageIsNotHereYet'));
    blocked = false;
    await press(page, pageBoundary('reload'));
    // Its address is that of the page before, from which it was asked for.
    await pressText(page, kitShared('colourSchemes'));
    await sees(page, schemesPage('makeMyOwnFrom', { name: 'TIA-598 order' }));
  });
});

describe('what the server answered last', () => {
  const step = storyteller();
  let person: Person;
  let isCut = false;

  step('is shown after a reload while the server does not answer, and work goes on', async () => {
    person = await newPerson(browser, server, 'J. Brook');
    const { page } = person;
    await bench(person);
    const before = await done();
    await page.setRequestInterception(true);
    page.on('request', (request: HTTPRequest) => {
      const isApi = new URL(request.url()).pathname.startsWith('/api/');
      void (isCut && isApi ? request.abort() : request.continue());
    });
    isCut = true;
    await page.reload({ waitUntil: 'domcontentloaded' });
    await sees(page, 'spliced · tray');
    await keepOne(person);
    await sees(page, 'No connection, 1 kept here to send');
    isCut = false;
    await spliced(before + 1);
  });

  step('is asked for again where it is damaged, or of another version', async () => {
    const { page } = person;
    await page.evaluate(async () => {
      const opened = await new Promise<IDBDatabase>((resolve) => {
        const request = indexedDB.open('cordel-answers', 1);
        request.onsuccess = () => resolve(request.result);
      });
      const store = opened.transaction('answers', 'readwrite').objectStore('answers');
      const keys = await new Promise<IDBValidKey[]>((resolve) => {
        const request = store.getAllKeys();
        request.onsuccess = () => resolve(request.result);
      });
      const broken = [
        'cut off',
        { buster: 'another', state: { data: {}, dataUpdatedAt: Date.now() } },
      ];
      keys.forEach((key, index) => store.put(broken[index % 2], key));
      await new Promise((resolve) => (store.transaction.oncomplete = resolve));
      opened.close();
    });
    await revisit(page);
    await sees(page, 'spliced · tray');
  });

  step('is not shown any more once it is gone', async () => {
    const { page } = person;
    const gone = newId();
    const { project: demo } = await readApi<{ project: object }>(server, `/projects/${project}`);
    await writeApi(server, 'PUT', `/projects/${gone}`, { ...demo, id: gone, name: 'Fen branch' });
    await visit(page, `${server.url}/p/${gone}/kit`);
    await sees(page, 'Fen branch');
    await visit(page, `${server.url}/projects`);
    await writeApi(server, 'DELETE', `/records/project/${gone}`);
    await visit(page, `${server.url}/p/${gone}/kit`);
    await sees(page, 'There is no such project');
    await seesNot(page, 'Fen branch');
  });
});

import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { conflictsPage } from '@cordel/text/pages/conflicts/ConflictsPage';
import { kitPage } from '@cordel/text/pages/kit/KitPage';
import { transferPage } from '@cordel/text/pages/transfer/TransferPage';
import { outboxStrip } from '@cordel/text/pages/ui/OutboxStrip';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { v7 as uuid } from 'uuid';
import {
  type Person,
  type Server,
  appIsKept,
  chooseFile,
  press,
  pressKeys,
  removeServer,
  revisit,
  sees,
  seesNot,
  startBrowser,
  storyteller,
  until,
  visit,
} from './app.ts';
import { attemptOn } from './evidence.ts';
import { type SignedIn, askAs, memberOf, pageOf, servedDemo } from './people.ts';

jest.setTimeout(180_000);

/** By how much the clock of one phone is slow, ms. */
const SLOW_MS = 40 * 60_000;

let server: Server;
let browser: Browser;
let folder: string;
let owner: SignedIn;
let project: string;
let closure: string;
let ana: Person;
let ben: Person;
let anas: SignedIn;

beforeAll(async () => {
  [{ server, owner, project }, browser] = await Promise.all([servedDemo(), startBrowser()]);
  const { closures } = await askAs<{ closures: { closureId: string; name: string }[] }>(
    server,
    owner,
    `/projects/${project}/ledger/closures`,
  );
  closure = closures.find(({ name }) => name === 'Weir gauge')!.closureId;
  anas = await memberOf(server, owner, project, 'technician');
  ana = await pageOf(browser, server, anas);
  await ana.page.evaluateOnNewDocument(() => {
    const Real = Date;
    // The test's own copy of the constant: this runs in the page.
    const slow = 40 * 60_000;
    globalThis.Date = class extends Real {
      constructor(...given: [never]) {
        super(...(given.length > 0 ? given : ([Real.now() - slow] as never)));
      }
      static override now = () => Real.now() - slow;
    } as DateConstructor;
  });
  ben = await pageOf(browser, server, await memberOf(server, owner, project, 'lead'));
  folder = await mkdtemp(join(tmpdir(), 'cordel-apart-'));
  const client = await browser.target().createCDPSession();
  await client.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: ana.context.id!,
  });
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
  if (folder) await rm(folder, { recursive: true, force: true });
});

interface Work {
  splices: { id: string; fiberA: number; fiberB: number }[];
  evidence: { id: string; type: string; by: string; at: string; spliceId: string }[];
}
const work = () => askAs<Work>(server, owner, `/closures/${closure}/work`);
const anasAttempts = async () =>
  (await work()).evidence.filter(({ type, by }) => type === 'attempt' && by.includes('technician'));
const at = (path: string) => `${server.url}/p/${project}/${path}`;
const splice = async (person: Person) => {
  await visit(person.page, at(`bench/${closure}`));
  await sees(person.page, 'spliced · tray');
};

describe('a phone whose clock is wrong', () => {
  const step = storyteller();

  step('says so, and what it records has the server’s time', async () => {
    await splice(ana);
    await sees(ana.page, 'The clock of this device is 40 min slow');
    await pressKeys(ana.page, '2');
    await press(ana.page, benchPage('saveNext'));
    const [entry] = await until(async () => {
      const list = await anasAttempts();
      return list.length === 1 && list;
    }, 'the attempt');
    expect(Math.abs(Date.parse(entry!.at) - Date.now())).toBeLessThan(SLOW_MS / 4);
  });

  step('is told to who looks through what was done apart', async () => {
    await visit(ben.page, at('kit/conflicts'));
    await sees(ben.page, conflictsPage('clocks'));
    await sees(ben.page, /A technician of .*: 1 entry, clock 40 min slow/);
  });
});

describe('phones without a server between them', () => {
  const step = storyteller();
  let file: string;

  step('give work as a file', async () => {
    await splice(ana);
    await visit(ana.page, at('kit/transfer'));
    await sees(ana.page, 'Nothing waits on this phone');
    await splice(ana);
    // Without the app on the phone, no page that was not opened before comes up without a line.
    await appIsKept(ana.page);
    await ana.page.setOfflineMode(true);
    await pressKeys(ana.page, '4');
    await press(ana.page, benchPage('saveNext'));
    await sees(ana.page, '1 kept here to send');
    // Within the app, for the line is cut.
    await press(ana.page, kitPage('kit'));
    await press(ana.page, 'Phone to phone waiting work to another phone');
    await sees(ana.page, '1 write waits here, made by A technician');
    await press(ana.page, transferPage('save'));
    file = await until(async () => {
      const [name] = (await readdir(folder)).filter((one) => one.endsWith('.json'));
      return name && join(folder, name);
    }, 'the file');
  });

  step('take it in, and let it go once it has been sent', async () => {
    await visit(ben.page, at('kit/transfer'));
    await chooseFile(ben.page, 'Choose the file', file);
    await sees(ben.page, '1 write is here now, from A technician');
    await sees(ben.page, 'goes to the server under their own account');
    await sees(ben.page, 'Kept here until they sign in: A technician');
    expect(await anasAttempts()).toHaveLength(1);
    await ana.page.setOfflineMode(false);
    await until(async () => (await anasAttempts()).length === 2, 'what Ana made');
    await revisit(ben.page);
    await seesNot(ben.page, 'Kept here until they sign in');
    await chooseFile(ben.page, 'Choose the file', file);
    await seesNot(ben.page, 'Kept here until they sign in');
    expect(await anasAttempts()).toHaveLength(2);
  });
});

describe('a plan that was changed while somebody worked by the old one', () => {
  const step = storyteller();

  step('has a lead decide, who puts the splice back', async () => {
    const { splices, evidence } = await work();
    const { text, pins, spare } = await askAs<{ text: string; pins: unknown[]; spare: number }>(
      server,
      owner,
      `/closures/${closure}/plan`,
    );
    const dropped = splices.at(-1)!;
    expect(evidence.map(({ spliceId }) => spliceId)).not.toContain(dropped.id);
    const plan = (lines: string) =>
      fetch(`${server.url}/api/closures/${closure}/plan`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json', ...owner },
        body: JSON.stringify({
          closureId: closure,
          text: lines,
          pins,
          spare,
          anew: false,
          retire: null,
          changeId: uuid(),
        }),
      });
    const without = text.replace('H tubes 4-11 to J tubes 4-11', 'H tubes 4-10 to J tubes 4-10');
    expect(without).not.toBe(text);
    expect((await plan(without)).status).toBe(200);
    expect((await work()).splices.map(({ id }) => id)).not.toContain(dropped.id);
    await askAs(server, anas, '/evidence', { entries: [attemptOn(dropped.id)] });
    await visit(ben.page, at('kit/conflicts'));
    await sees(ben.page, 'somebody who did not know of it made this splice');
    await press(ben.page, conflictsPage('keepSplice'));
    await seesNot(ben.page, 'somebody who did not know of it made this splice');
    const after = await work();
    expect(after.splices.map(({ id }) => id)).toContain(dropped.id);
    expect(after.evidence.map(({ spliceId }) => spliceId)).toContain(dropped.id);
  });
});

describe('a server that came back from a backup', () => {
  const step = storyteller();

  step('is told of, and what was recorded here is sent again', async () => {
    await splice(ana);
    const before = (await anasAttempts()).length;
    // As if another database had answered last.
    await ana.page.evaluate(() => localStorage.setItem('cordel.database', 'before'));
    await splice(ana);
    await sees(ana.page, 'The server came back from a backup');
    await press(
      ana.page,
      'Outbox: the server came back from a backup · the clock of this device is 40 min slow',
    );
    await sees(ana.page, 'writes of the last 14 days are sent again from here');
    await press(ana.page, outboxStrip('read'));
    await seesNot(ana.page, 'came back from a backup');
    await until(async () => (await anasAttempts()).length === before, 'nothing twice');
  });
});

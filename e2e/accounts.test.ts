import { record } from '@cordel/text/handover/record';
import { accounts } from '@cordel/text/pages/accounts/accounts';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { projectList } from '@cordel/text/pages/projects/ProjectList';
import { outboxItem } from '@cordel/text/pages/ui/OutboxItem';
import { outboxStrip } from '@cordel/text/pages/ui/OutboxStrip';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  appIsKept,
  WIDE,
  type Person,
  type Server,
  fill,
  newPerson,
  press,
  pressKeys,
  pressText,
  readApi,
  removeServer,
  revisit,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
} from './app.ts';

jest.setTimeout(180_000);

const PASSWORD = 'bread sled lamp';

let server: Server;
let browser: Browser;
let owner: Person;
let phone: Person;
let project: string;
let closure: string;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ serve: true }), startBrowser()]);
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

/** Asks the API as whoever is signed in on a page. */
const ask = <Answer>(page: Page, path: string, method = 'GET', body?: unknown): Promise<Answer> =>
  page.evaluate(
    async (url, how, text) => {
      const response = await fetch(url, {
        method: how,
        ...(text === null ? {} : { body: text, headers: { 'content-type': 'application/json' } }),
      });
      if (!response.ok) throw new Error(`${url}: ${response.status} ${await response.text()}`);
      return (await response.json()) as never;
    },
    `/api${path}`,
    method,
    body === undefined ? null : JSON.stringify(body),
  );

/** The demo's document: somebody's work, to be imported. */
async function demoDocument(): Promise<unknown> {
  const demo = await startServer({ demo: true });
  try {
    const [one] = await readApi<{ id: string }[]>(demo, '/projects');
    return await readApi(demo, `/projects/${one!.id}/document.json`);
  } finally {
    await removeServer(demo);
  }
}

async function makeAccount(page: Page, name: string): Promise<void> {
  await fill(page, accounts('name'), name);
  await fill(page, accounts('email'), `${name.toLowerCase().replace(' ', '.')}@firm.example`);
  await fill(page, accounts('password'), PASSWORD);
  await press(page, accounts('makeAccount'));
}

/** The link that the owner's page shows last. */
const linkOn = (page: Page): Promise<string> =>
  until(
    () => page.evaluate(() => /http:\S+\/join#\S{20,}/.exec(document.body.innerText)?.[0] ?? null),
    'a link',
  );

const bench = () => `${server.url}/p/${project}/bench/${closure}`;

const attempts = async () => {
  const { evidence } = await ask<{ evidence: { type: string; by: string }[] }>(
    owner.page,
    `/closures/${closure}/work`,
  );
  return evidence.filter(({ type }) => type === 'attempt').map(({ by }) => by);
};

describe('a server for real work', () => {
  const step = storyteller();

  step('is opened once by the link that it prints, and by nobody before', async () => {
    const stranger = await newPerson(browser, server, null);
    await visit(stranger.page, `${server.url}/projects`);
    await sees(stranger.page, accounts('signIn'));
    await sees(stranger.page, 'Ask the owner of your project for an invitation');
    const link = /http:\S+\/join#\S+/.exec(server.output())![0];
    owner = await newPerson(browser, server, null, WIDE);
    await visit(owner.page, link);
    await sees(owner.page, accounts('firstOwner'));
    await makeAccount(owner.page, 'Olga Host');
    await sees(owner.page, projectList('noProjectYet'));
    await visit(stranger.page, link);
    await sees(stranger.page, 'This link was used already');
    await stranger.context.close();
    await ask(owner.page, '/documents', 'POST', await demoDocument());
    project = (await ask<{ id: string }[]>(owner.page, '/projects'))[0]!.id;
    const { closures } = await ask<{ closures: { closureId: string; name: string }[] }>(
      owner.page,
      `/projects/${project}/ledger/closures`,
    );
    closure = closures.find(({ name }) => name === 'Weir gauge')!.closureId;
  });

  step(
    'lets a technician in by a link, who signs by account and not by what is typed',
    async () => {
      await visit(owner.page, `${server.url}/p/${project}/kit/people`);
      await fill(owner.page, accounts('inviteNote'), 'Ana');
      await press(owner.page, accounts('makeLink'));
      const link = await linkOn(owner.page);
      await owner.page.waitForSelector('[aria-label="QR code of the invitation"]');
      phone = await newPerson(browser, server, 'Somebody Else');
      await visit(phone.page, link);
      await sees(phone.page, accounts('invitedAs', { by: 'Olga Host', role: 'technician' }));
      await makeAccount(phone.page, 'Ana Arc');
      await sees(phone.page, projectList('projects'));
      await visit(phone.page, bench());
      await pressKeys(phone.page, '2');
      await press(phone.page, benchPage('saveNext'));
      await sees(phone.page, record('traySlot', { tray: 1, slot: 2 }));
      await until(
        async () => (await attempts()).join() === 'Ana Arc',
        'the first splice by account',
      );
    },
  );

  step('keeps each one’s work theirs on a phone that two share, without signal too', async () => {
    await visit(phone.page, `${server.url}/you`);
    await fill(phone.page, accounts('pin'), '2580');
    await press(phone.page, accounts('setPin'));
    await sees(phone.page, accounts('pinSet'));
    await revisit(owner.page);
    await press(owner.page, accounts('makeLink'));
    await visit(phone.page, await linkOn(owner.page));
    await press(phone.page, accounts('joinAsOther'));
    await makeAccount(phone.page, 'Ben Blade');
    await sees(phone.page, projectList('projects'));
    // Ana's turn once with a connection: from then on the phone knows her PIN.
    await visit(phone.page, `${server.url}/you`);
    await sees(phone.page, 'Ben Blade');
    await fill(phone.page, accounts('pinOf', { name: 'Ana Arc' }), '0000');
    await press(phone.page, accounts('takeTurn', { name: 'Ana Arc' }));
    await sees(phone.page, accounts('wrongPinHere'));
    await fill(phone.page, accounts('pinOf', { name: 'Ana Arc' }), '2580');
    await press(phone.page, accounts('takeTurn', { name: 'Ana Arc' }));
    await sees(phone.page, 'Ben Blade has set no PIN');
    await visit(phone.page, bench());
    await phone.page.setOfflineMode(true);
    await pressKeys(phone.page, '3');
    await press(phone.page, benchPage('saveNext'));
    await sees(phone.page, record('traySlot', { tray: 1, slot: 3 }));
    await sees(phone.page, 'No connection, 1 kept here to send');
    expect(await attempts()).toEqual(['Ana Arc']);
    await phone.page.setOfflineMode(false);
    await until(async () => (await attempts()).length === 2, 'what was done without signal');
    expect(await attempts()).toEqual(['Ana Arc', 'Ana Arc']);
  });

  step('sees a PIN that was typed without signal as soon as there is one', async () => {
    const { page } = phone;
    const takeTurn = async (name: string, pin: string) => {
      await visit(page, `${server.url}/you`);
      await fill(page, accounts('pinOf', { name }), pin);
      await press(page, accounts('takeTurn', { name }));
      await sees(page, `${name.toLowerCase().replace(' ', '.')}@firm.example`);
    };
    await visit(page, `${server.url}/you`);
    await press(page, accounts('signInAnother'));
    await fill(page, accounts('email'), 'ben.blade@firm.example');
    await fill(page, accounts('password'), PASSWORD);
    await press(page, accounts('signIn'));
    await sees(page, 'ben.blade@firm.example');
    await fill(page, accounts('pin'), '1470');
    await press(page, accounts('setPin'));
    await sees(page, accounts('pinSet'));
    await takeTurn('Ana Arc', '2580');
    await page.setOfflineMode(true);
    await fill(page, accounts('pinOf', { name: 'Ben Blade' }), '1470');
    await press(page, accounts('takeTurn', { name: 'Ben Blade' }));
    await sees(page, 'ben.blade@firm.example');
    await page.setOfflineMode(false);
    await until(
      async () =>
        (await ask<{ person: { name: string } | null }>(page, '/session')).person?.name ===
        'Ben Blade',
      'the server has seen the PIN of Ben',
    );
    await takeTurn('Ana Arc', '2580');
    await visit(page, bench());
  });

  step('tells who lost their role what to do, and loses nothing of their work', async () => {
    const ana = await ask<{ person: { id: string } }>(phone.page, '/session');
    await phone.page.setOfflineMode(true);
    await pressKeys(phone.page, '2');
    await press(phone.page, benchPage('saveNext'));
    await sees(phone.page, 'kept here to send');
    const role = (next: string) =>
      ask(owner.page, `/projects/${project}/members/${ana.person.id}`, 'PUT', { role: next });
    await role('reader');
    await phone.page.setOfflineMode(false);
    await sees(phone.page, outboxStrip('refusedNotAccepted', { refused: 1 }));
    await pressText(phone.page, outboxStrip('show'));
    await sees(phone.page, 'As a reader of this project you may not do this.');
    expect(await attempts()).toHaveLength(2);
    await role('technician');
    await press(phone.page, outboxItem('sendAgain'));
    await until(async () => (await attempts()).length === 3, 'the entry, once the role is back');
  });

  step(
    'locks a lost phone out, and takes what it held once its person signs in again',
    async () => {
      await visit(phone.page, bench());
      await phone.page.setOfflineMode(true);
      await pressKeys(phone.page, '2');
      await press(phone.page, benchPage('saveNext'));
      await sees(phone.page, 'kept here to send');
      await visit(owner.page, `${server.url}/server`);
      await sees(owner.page, 'Ana Arc');
      // Ana's phone is the first that is listed.
      await press(owner.page, accounts('lockOut'));
      await sees(owner.page, 'It is locked out: everybody is signed out of it.');
      await phone.page.setOfflineMode(false);
      await sees(phone.page, 'This device was locked out.');
      await sees(phone.page, accounts('waitingHere', { count: 1, people: 'Ana Arc' }));
      await seesNot(phone.page, 'Weir gauge');
      await fill(phone.page, accounts('email'), 'ana.arc@firm.example');
      await fill(phone.page, accounts('password'), PASSWORD);
      // Its page has the same name.
      await press(phone.page, '[name="Sign in"][role="button"]');
      await until(async () => (await attempts()).length === 4, 'what the phone held');
      await revisit(owner.page);
      await sees(owner.page, 'Olga Host locked out a');
    },
  );

  step('takes a passkey in place of the password', async () => {
    const { page } = phone;
    // A device of its own that answers for the person, as a finger on it would (W3C Web Authentication).
    const devtools = await page.createCDPSession();
    await devtools.send('WebAuthn.enable');
    await devtools.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        protocol: 'ctap2',
        transport: 'internal',
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    await visit(page, `${server.url}/you`);
    await fill(page, accounts('passkeyName'), 'Crew phone');
    await press(page, accounts('addPasskey'));
    await sees(page, /Crew phone, since \d{4}/);
    await press(page, accounts('signOut'));
    await sees(page, 'Ask the owner of your project');
    await press(page, accounts('signInByPasskey'));
    await seesNot(page, 'Ask the owner of your project');
    const { person } = await ask<{ person: { name: string } }>(page, '/session');
    expect(person.name).toBe('Ana Arc');
  });

  step(
    'shows nobody what another was shown, and forgets it with their role or sign-in',
    async () => {
      const { page } = phone;
      const kept = () =>
        page.evaluate(
          (words) =>
            new Promise<string[]>((resolve, reject) => {
              const opening = indexedDB.open('cordel-answers', 1);
              opening.onerror = () => reject(opening.error!);
              opening.onsuccess = () => {
                const answers = opening.result.transaction('answers').objectStore('answers');
                const [keys, values] = [answers.getAllKeys(), answers.getAll()];
                values.onsuccess = () => {
                  opening.result.close();
                  resolve(
                    (keys.result as string[]).filter((_key, at) =>
                      JSON.stringify(values.result[at]).includes(words),
                    ),
                  );
                };
              };
            }),
          'Weir gauge',
        );
      await visit(page, bench());
      await sees(page, 'Weir gauge');
      await until(async () => (await kept()).length > 0, 'what Ana was shown, on the device');
      const anas = await kept();
      await visit(page, `${server.url}/you`);
      await press(page, accounts('signInAnother'));
      await fill(page, accounts('email'), 'ben.blade@firm.example');
      await fill(page, accounts('password'), PASSWORD);
      await press(page, accounts('signIn'));
      await sees(page, 'ben.blade@firm.example');
      await visit(page, bench());
      await until(async () => (await kept()).length > anas.length, 'what Ben was shown');
      const { person: ben } = await ask<{ person: { id: string } }>(page, '/session');
      await ask(owner.page, `/projects/${project}/members/${ben.id}`, 'PUT', { role: null });
      await visit(page, bench());
      await seesNot(page, 'Weir gauge');
      await until(
        async () => (await kept()).sort().join() === [...anas].sort().join(),
        'nothing of what Ben was shown, all of what Ana was',
      );
      await appIsKept(page);
      await page.setOfflineMode(true);
      await page.reload();
      await sees(page, /\S/);
      await seesNot(page, 'Weir gauge');
      await page.setOfflineMode(false);
      await visit(page, `${server.url}/you`);
      await press(page, accounts('signOut'));
      await sees(page, 'Ask the owner of your project');
      await until(async () => (await kept()).length === 0, 'nothing once all are signed out');
    },
  );

  step('shows a page without trouble to all of them', async () => {
    const known = /status of 40[13]/;
    for (const person of [owner, phone])
      expect(person.trouble.filter((text) => !known.test(text))).toEqual([]);
  });
});

import { fileURLToPath } from 'node:url';
import { chartsPage } from '@cordel/text/pages/bench/ChartsPage';
import { setupPage } from '@cordel/text/pages/bench/SetupPage';
import { shiftPage } from '@cordel/text/pages/bench/ShiftPage';
import { standinPart } from '@cordel/text/pages/bench/StandinPart';
import { stepLine } from '@cordel/text/pages/bench/StepLine';
import { listPart } from '@cordel/text/pages/closing/ListPart';
import { handoverPage } from '@cordel/text/pages/handover/HandoverPage';
import { hardwarePage } from '@cordel/text/pages/kit/HardwarePage';
import type { Page } from 'puppeteer-core';
import {
  PHONE,
  WIDE,
  closureFinder,
  newPerson,
  press,
  readApi,
  removeServer,
  scrollsTo,
  sees,
  startBrowser,
  startServer,
} from './app.ts';
import { attemptOn } from './evidence.ts';
import { askAs, memberOf, pageOf, servedDemo } from './people.ts';

/** Takes the pictures of docs/screenshots from the demo. */
const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
const project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
const id = await closureFinder(server, project);
const cables = (
  await readApi<{ cables: { id: string; name: string }[] }>(server, `/projects/${project}`)
).cables;
const cableL = cables.find(({ name }) => name === 'L')!.id;
const { rows } = await readApi<{ rows: { id: string }[] }>(
  server,
  `/projects/${project}/ledger/redo`,
);
const { page } = await newPerson(browser, server, 'Crew 1');

interface Shot {
  name: string;
  path: string;
  wide?: boolean;
  /** With the demo's splicer chosen and played by the stand-in. */
  splicer?: boolean;
  before?: (page: Page) => Promise<void>;
}

/** Brings what shows a text to the top of the page. */
const atTop = async (on: Page, text: string) =>
  (await on.waitForSelector(`::-p-text(${text})`))!.evaluate((node) =>
    node.scrollIntoView({ block: 'start' }),
  );

/** The trace view has read its files and drawn them. */
const drawn = async (on: Page) => {
  await sees(on, 'mean');
  await new Promise((resolve) => setTimeout(resolve, 1500));
};

/** Both traces are drawn. */
const pictured = async (on: Page) => {
  await sees(on, 'From Mill loft');
  await new Promise((resolve) => setTimeout(resolve, 1500));
};

const SHOTS: Shot[] = [
  { name: 'route-phone', path: 'route' },
  { name: 'closure-phone', path: `route/${id('Sluice bridge')}` },
  {
    name: 'plan-phone',
    path: `route/${id('Dairy lane')}/plan`,
    before: async (on) => {
      const editor = await on.waitForSelector('[aria-label="Lines of the plan"]');
      await editor!.click();
      await on.keyboard.down('Control');
      await on.keyboard.press('End');
      await on.keyboard.up('Control');
      await on.keyboard.type('\ndead C tube 13');
      await sees(on, 'is outside');
    },
  },
  {
    name: 'circuit-phone',
    path: `route/circuits?cable=${cables.find((cable) => cable.name === 'K')!.id}&fiber=5`,
    before: async (on) =>
      (await on.waitForSelector('::-p-text(Clinic corner)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      ),
  },
  {
    name: 'open-phone',
    path: `route/${id('School')}/open`,
    before: async (on) =>
      (await on.waitForSelector('::-p-text(Exit side: )'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      ),
  },
  {
    name: 'procedure-phone',
    path: 'kit/hardware',
    before: async (on) => {
      await press(on, hardwarePage('newProfile'));
      await press(on, 'Gland joint');
      await press(on, hardwarePage('makeItYourOwnProcedure'));
      await atTop(on, 'Procedure');
    },
  },
  {
    name: 'bench-phone',
    path: `bench/${id('Dairy lane')}`,
    splicer: true,
    before: async (on) => {
      await press(on, stepLine('nextStep'));
      await press(on, standinPart('faultOfTheSimulatedSplicer'));
      await press(on, 'offset');
      await press(on, standinPart('startTheSplice'));
      await sees(on, /Keep\.|Redo/);
      await top(on);
    },
  },
  {
    name: 'charts-phone',
    path: `bench/${id('Dairy lane')}/charts`,
    splicer: true,
    before: (on) => sees(on, chartsPage('blade')),
  },
  {
    name: 'shift-phone',
    path: `bench/shift?closure=${id('Dairy lane')}`,
    before: async (on) => {
      await press(on, shiftPage('planIt'));
      await sees(on, 'Calendar');
      await (await on.waitForSelector('::-p-text(Likely finish)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      );
    },
  },
  {
    name: 'ledger-wide',
    path: `ledger?view=splices&q=brown&sort=worst&open=splice.${rows[0]!.id}`,
    wide: true,
  },
  { name: 'findings-phone', path: 'ledger/findings', before: (on) => sees(on, 'is broken') },
  { name: 'traces-phone', path: `ledger/circuit?cable=${cableL}&fiber=5`, before: drawn },
  {
    name: 'close-phone',
    path: `route/${id('Kiln yard')}/close`,
    before: async (on) => {
      await sees(on, listPart('boltsInThisOrder'));
      for (const bolt of [1, 4, 2]) {
        const box = await on.waitForSelector(`[aria-label^="Bolt ${bolt} tight"]`);
        await box!.evaluate((node) => (node as HTMLElement).click());
        await on.waitForSelector(`[aria-label^="Bolt ${bolt} tight"][aria-checked=true]`);
      }
      await atTop(on, 'Bolts, in this order');
    },
  },
  {
    name: 'links-phone',
    path: `ledger/links?cable=${cableL}`,
    before: async (on) => {
      await scrollsTo(on, /Fiber 6: Upper hut to Mill loft/);
      await atTop(on, 'Fiber 4: Upper hut');
    },
  },
  { name: 'proof-phone', path: `ledger/fiber-proof?cable=${cableL}&fiber=2`, before: pictured },
  {
    name: 'handover-phone',
    path: `kit/handover?closure=${id('Ferry steps')}`,
    before: async (on) => {
      await press(on, handoverPage('makeThePackage'));
      await on.waitForSelector('[aria-label^="Save the zip"]', { timeout: 60_000 });
    },
  },
  { name: 'budget-phone', path: 'ledger/budget', before: (on) => sees(on, /ha(s|ve) no light/) },
];

const top = (on: Page) =>
  on.$eval('[role=main]', (main) => {
    main.scrollTop = 0;
    (document.activeElement as HTMLElement | null)?.blur();
  });

/** Sets the splicer up as the set-up page does. */
const chooseSplicer = async () => {
  await page.goto(`${server.url}/p/${project}/bench/${id('Dairy lane')}/setup`, {
    waitUntil: 'networkidle2',
  });
  await press(page, 'Single-fiber splicer');
  await press(page, setupPage('theSimulatedSplicer'));
  await press(page, setupPage('cleaver'));
};

for (const { name, path, wide, splicer, before } of SHOTS) {
  await page.setViewport(wide ? WIDE : PHONE);
  await page.evaluate(() =>
    Object.keys(localStorage)
      .filter((key) => /^cordel\.(bench|plan|setup|steps|standin|timers)/.test(key))
      .forEach((key) => localStorage.removeItem(key)),
  );
  if (splicer) await chooseSplicer();
  await page.goto(`${server.url}/p/${project}/${path}`, { waitUntil: 'networkidle2' });
  await before?.(page);
  await new Promise((resolve) => setTimeout(resolve, 600));
  await page.screenshot({ path: `${FOLDER}${name}.png` as `${string}.png` });
}

/** What is only where people sign in: who they are, and what two of them did apart. */
async function picturesOfPeople(): Promise<void> {
  const { server: own, owner, project: at } = await servedDemo();
  const ana = await memberOf(own, owner, at, 'technician', 'Ana Arc');
  const ben = await memberOf(own, owner, at, 'technician', 'Ben Blade');
  await memberOf(own, owner, at, 'inspector', 'Ida Level');
  const { closures } = await askAs<{ closures: { closureId: string; name: string }[] }>(
    own,
    owner,
    `/projects/${at}/ledger/closures`,
  );
  const closureId = closures.find(({ name }) => name === 'Weir gauge')!.closureId;
  const { splices } = await askAs<{ splices: { id: string }[] }>(
    own,
    owner,
    `/closures/${closureId}/work`,
  );
  // Both at the same splice without signal, and one more whose phone is an hour slow.
  const hoursAgo = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
  const made = (splice: number, at: string) => ({ ...attemptOn(splices[splice]!.id), at });
  await askAs(own, ana, '/evidence', { entries: [made(0, hoursAgo(5))] });
  await askAs(own, ben, '/evidence', {
    entries: [{ ...made(0, hoursAgo(4)), estimateMdb: 50 }],
  });
  await askAs(own, { ...ben, 'x-cordel-clock': hoursAgo(1) }, '/evidence', {
    entries: [made(1, hoursAgo(3))],
  });
  const { page: shown } = await pageOf(browser, own, owner);
  const shoot = async (name: string, path: string, size: typeof PHONE, words: string) => {
    await shown.setViewport(size);
    await shown.goto(`${own.url}/p/${at}/${path}`, { waitUntil: 'networkidle2' });
    await sees(shown, words);
    await new Promise((resolve) => setTimeout(resolve, 600));
    await shown.screenshot({ path: `${FOLDER}${name}.png` as `${string}.png` });
  };
  await shoot('people-wide', 'kit/people', WIDE, 'Ida Level');
  await shoot('apart-phone', 'kit/conflicts', PHONE, 'Clocks that were wrong');
  await removeServer(own);
}

await picturesOfPeople();
await browser.close();
await removeServer(server);

import { fileURLToPath } from 'node:url';
import type { Page } from 'puppeteer-core';
import {
  PHONE,
  WIDE,
  newPerson,
  press,
  pressKeys,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
} from './app.ts';

/** Takes the pictures of docs/screenshots from the demo. */
const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
const project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
const { closures } = await readApi<{ closures: { closureId: string; name: string }[] }>(
  server,
  `/projects/${project}/ledger/closures`,
);
const id = (name: string) => closures.find((closure) => closure.name === name)!.closureId;
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

const typeRibbon = async (on: Page) => {
  for (const keys of ['2', '1', '3', '12', '1']) {
    await pressKeys(on, keys);
    await press(on, 'Next fiber');
  }
  await pressKeys(on, '2');
};

/** The trace view has read its files and drawn them. */
const drawn = async (on: Page) => {
  await sees(on, 'mean');
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
    name: 'trays-phone',
    path: `route/${id('Quarry gate')}/plan`,
    before: async (on) => {
      await press(on, 'laid out anew');
      await (await on.waitForSelector('::-p-text(Spare places to keep)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      );
    },
  },
  {
    name: 'circuit-phone',
    path: `route/circuits?cable=${cables.find((cable) => cable.name === 'D')!.id}&fiber=43`,
  },
  {
    name: 'open-phone',
    path: `route/${id('School')}/open`,
    before: async (on) =>
      (await on.waitForSelector('::-p-text(Cable F)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      ),
  },
  {
    name: 'pack-phone',
    path: 'kit/pack',
    before: async (on) => {
      await press(on, 'School rise');
      await (await on.waitForSelector('::-p-text(redos expected)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      );
    },
  },
  {
    name: 'setup-phone',
    path: `bench/${id('Dairy lane')}/setup`,
    before: async (on) => {
      await press(on, 'Single-fiber splicer');
      await press(on, 'the stand-in, to try it out');
      await press(on, '40 mm');
      await top(on);
    },
  },
  {
    name: 'bench-phone',
    path: `bench/${id('Dairy lane')}`,
    splicer: true,
    before: async (on) => {
      await press(on, 'On it, next step');
      await press(on, 'Fold the steps away');
      await press(on, 'offset');
      await press(on, 'Press its arc');
      await sees(on, 'Advice:');
      await top(on);
    },
  },
  { name: 'bench-ribbon-phone', path: `bench/${id('Quarry gate')}`, before: typeRibbon },
  {
    name: 'charts-phone',
    path: `bench/${id('Dairy lane')}/charts`,
    splicer: true,
    before: (on) => sees(on, 'Blade.'),
  },
  {
    name: 'shift-phone',
    path: `bench/shift?closure=${id('Dairy lane')}`,
    before: async (on) => {
      await press(on, 'Plan it');
      await sees(on, 'Calendar');
      await (await on.waitForSelector('::-p-text(Likely finish)'))!.evaluate((node) =>
        node.scrollIntoView({ block: 'start' }),
      );
    },
  },
  { name: 'practice-phone', path: 'bench/practice' },
  {
    name: 'ledger-wide',
    path: `ledger?view=splices&q=brown&sort=worst&open=splice.${rows[0]!.id}`,
    wide: true,
  },
  { name: 'findings-phone', path: 'ledger/findings', before: (on) => sees(on, 'is broken') },
  { name: 'traces-phone', path: `ledger/circuit?cable=${cableL}&fiber=5`, before: drawn },
  {
    name: 'stack-wide',
    path: `ledger/circuit?cable=${cableL}&fiber=5`,
    wide: true,
    before: async (on) => {
      await press(on, 'tube from A');
      await sees(on, 'strays');
      await drawn(on);
    },
  },
  { name: 'budget-phone', path: 'ledger/budget', before: (on) => sees(on, 'will not light up') },
  { name: 'settings-phone', path: 'kit/settings' },
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
  await press(page, 'the stand-in, to try it out');
  await press(page, 'Cleaver');
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
await browser.close();
await removeServer(server);

import { benchHead } from '@cordel/text/pages/bench/BenchHead';
import { common } from '@cordel/text/pages/common';
import { networkPage } from '@cordel/text/pages/kit/NetworkPage';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { trayPart } from '@cordel/text/pages/plan/TrayPart';
import { projectList } from '@cordel/text/pages/projects/ProjectList';
import { waysToBegin } from '@cordel/text/pages/projects/WaysToBegin';
import { removalShared } from '@cordel/text/pages/removal/shared';
import { routePage } from '@cordel/text/pages/route/RoutePage';
import { uiShared } from '@cordel/text/pages/ui/shared';
import { shell } from '@cordel/text/pages/ui/Shell';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  type Person,
  type Server,
  fill,
  makeProject,
  newPerson,
  press,
  pressText,
  readApi,
  removeServer,
  revisit,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  visit,
} from './app.ts';

jest.setTimeout(90_000);

let server: Server;
let browser: Browser;
let person: Person;
const page = (): Page => person.page;

beforeAll(async () => {
  server = await startServer();
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
});

afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

/** Taps that a project of four cables, two closures and two plans may take besides typing. */
const MOST_TAPS = 30;

let taps = 0;
const tap = async (name: string): Promise<void> => {
  taps++;
  await press(page(), name);
};

const tapText = async (text: string): Promise<void> => {
  taps++;
  await pressText(page(), text);
};

/** Taps into a field, or into the lines of a plan, and types; Enter goes on. */
async function type(field: string, ...lines: string[]): Promise<void> {
  taps++;
  const found = await page().waitForSelector(`[aria-label="${field}"]`, { visible: true });
  await found!.click();
  for (const line of lines) {
    await page().keyboard.type(line);
    await page().keyboard.press('Enter');
  }
}

/** Writes a closure's plan and applies it; the trays it has no room for are added by a key. */
async function plan(closure: string, text: string): Promise<void> {
  await tapText(`Plan ${closure}`);
  await type('Lines of the plan', text);
  await sees(page(), /splices planned/);
  const room = await page().waitForSelector('[aria-label^="Add "][aria-label$="single fibers"]', {
    visible: true,
  });
  taps++;
  await room!.click();
  await seesNot(page(), trayPart('noRoom'));
  const apply = await page().waitForSelector(
    'button[aria-label^="Apply:"]:not([disabled]), [role="button"][aria-label^="Apply:"]:not([aria-disabled="true"])',
    { visible: true },
  );
  taps++;
  await apply!.click();
  await sees(page(), /Applied\. \d+ added/);
  await tap('Back');
}

interface Setting {
  cables: { name: string; makeUp: object }[];
  closures: { id: string; name: string; distance: number | null; trays: object[] }[];
}

describe('a project that is typed in', () => {
  const step = storyteller();
  let projectId = '';

  step('begins with a name and the units of the place', async () => {
    await visit(page(), server.url);
    await tap('New project');
    // Everything else has a usual value in these units: Enter in the name creates it.
    await tap('US');
    await type('Project name', 'Mill valley');
    await sees(page(), waysToBegin('howDoYouBegin'));
    for (const way of [
      'Import a splice list',
      'Type cables and closures',
      'Import a route',
      'Import cables',
    ])
      await sees(page(), way);
    projectId = /\/p\/([^/]+)/.exec(page().url())![1]!;
  });

  step('takes cables and closures one after the other on one page', async () => {
    await tapText('Type cables and closures');
    await type('Cable 1', 'A', '144', 'B', '144', 'Drop', 'drop 12', 'R', '24 ribbons');
    await sees(page(), '144 fibers: 12 tubes of 12');
    await type('Closure 1', 'Mill', '1,200', 'Ford', '2.5 mi');
    await sees(page(), '13,200 ft');
    await tap('Save 6 rows');
    await sees(page(), 'Saved. 6 rows');
    const setting = await readApi<Setting>(server, `/projects/${projectId}`);
    expect(setting.cables.map(({ name }) => name)).toEqual(['A', 'B', 'Drop', 'R']);
    // 1 200 ft are 365.76 m, 2.5 mi are 4 023.36 m.
    expect(setting.closures).toMatchObject([
      { name: 'Mill', distance: 3_657_600 },
      { name: 'Ford', distance: 40_233_600 },
    ]);
  });

  step('is planned closure by closure', async () => {
    await plan('Mill', 'splice A tubes 1-12 to B tubes 1-12');
    await plan('Ford', 'splice B tube 1 to Drop 1-12');
  });

  step(`took at most ${MOST_TAPS} taps besides typing`, async () => {
    const setting = await readApi<Setting>(server, `/projects/${projectId}`);
    expect(setting.closures.map(({ trays }) => trays.length)).toEqual([12, 1]);
    expect(taps).toBeLessThanOrEqual(MOST_TAPS);
    // The count is of a whole project, not of a part of one.
    expect(taps).toBeGreaterThan(10);
  });

  step('says in its row what would be right, and keeps what is typed over a reload', async () => {
    await type('Cable 1', 'a', 'thick');
    await tap('Save 1 row');
    await sees(page(), kitShared('isHereAlreadyChooseAnotherName', { data: 'a' }));
    await sees(page(), networkPage('rowsToFixFirst', { rows: 1 }));
    await revisit(page());
    await sees(page(), networkPage('saveRows', { rows: 1 }));
    await fill(page(), kitShared('cableName', { name: 1 }), 'S');
    await press(page(), networkPage('saveRows', { rows: 1 }));
    await sees(page(), '“thick” is not a make-up');
    await fill(page(), 'Fibers 1', '48');
    await press(page(), networkPage('saveRows', { rows: 1 }));
    await sees(page(), 'Saved. 1 row');
  });
});

describe('what is there goes again', () => {
  const step = storyteller();
  let projectId = '';

  step('of a project with two cables that are spliced and one that is not', async () => {
    projectId = await makeProject(
      server,
      'Upper weir',
      {
        A: { kind: 'drop', fibers: 12 },
        B: { kind: 'drop', fibers: 6 },
        S: { kind: 'loose-tube', tubes: 4, fibersPerTube: 12 },
      },
      ['Mill,1,1,A,1,B,1,single', 'Mill,1,2,A,2,B,2,single', 'Ford,1,1,A,3,B,3,single'],
    );
    await visit(page(), `${server.url}/p/${projectId}/kit`);
  });

  step('a cable that nothing uses is deleted, and comes back by undo', async () => {
    await pressText(page(), kitShared('cables', { cables: 3 }));
    await pressText(page(), '4 tubes of 12');
    await press(page(), removalShared('deleteName', { name: 'S' }));
    await sees(page(), 'S: Deleted.');
    await seesNot(page(), '4 tubes of 12');
    await press(page(), 'Undo: S');
    await sees(page(), '4 tubes of 12');
  });

  step('one in use stays, with what uses it and the other way', async () => {
    await pressText(page(), '6 fibers: drop');
    await press(page(), removalShared('deleteName', { name: 'B' }));
    await sees(page(), /B stays\. It is in use and cannot be deleted: 3 splices\. Archive it/);
    await press(page(), removalShared('archiveName', { name: 'B' }));
    await sees(page(), 'B: Archived.');
    await press(page(), removalShared('archiveItems', { items: 1 }));
    await press(page(), removalShared('takeOutOfTheArchive', { name: 'B' }));
    await sees(page(), 'B: Taken out of the archive.');
  });

  step('a closure is archived: off the cord, and still counted', async () => {
    await press(page(), uiShared('back'));
    await pressText(page(), kitShared('closures2', { closures: 2 }));
    await pressText(page(), 'Mill');
    await press(page(), removalShared('archiveName', { name: 'Mill' }));
    await sees(page(), 'Mill: Archived.');
    await press(page(), shell('route'));
    await sees(page(), routePage('archivedTheTotalsCountThem', { closures: 1 }));
    await sees(page(), benchHead('doneOfTotal', { done: 0, total: 3 }));
  });

  step(
    'a project in which nothing is recorded is deleted with its plan, and comes back whole',
    async () => {
      const [before] = await readApi<{ id: string }[]>(server, '/projects');
      const path = `/projects/${before!.id}/document.json`;
      const document = await readApi(server, path);
      await press(page(), common('allProjects'));
      await press(page(), projectList('deleteOrArchive'));
      await press(page(), removalShared('deleteName', { name: 'Upper weir' }));
      await sees(page(), 'Upper weir: Deleted.');
      await seesNot(page(), removalShared('deleteName', { name: 'Upper weir' }));
      await press(page(), 'Undo: Upper weir');
      await sees(page(), removalShared('deleteName', { name: 'Upper weir' }));
      await seesNot(page(), 'Undo: Upper weir');
      expect(await readApi(server, path)).toEqual(document);
      expect(person.trouble).toEqual([]);
    },
  );
});

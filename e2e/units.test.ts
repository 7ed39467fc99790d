import { visitForm } from '@cordel/text/pages/closing/VisitForm';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { unitFields } from '@cordel/text/pages/projects/UnitFields';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  closureFinder,
  fill,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
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
let person: Person;
let project: string;
let views: string[] = [];
const page = () => person.page;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
  person = await newPerson(browser, server, 'M. Reyes');
  const id = await closureFinder(server, project);
  views = [
    'route',
    'route/circuits',
    `route/${id('Sluice bridge')}`,
    `route/${id('School')}/open`,
    `route/${id('School rise')}/plan`,
    `route/${id('Kiln yard')}/close`,
    `route/${id('Ferry steps')}/close?part=test`,
    `route/${id('Ferry steps')}/close?part=visits`,
    `bench/${id('Dairy lane')}`,
    `bench/${id('Dairy lane')}/setup`,
    `bench/${id('Dairy lane')}/arc`,
    'ledger',
    'ledger/findings',
    'ledger/circuit',
    'ledger/budget',
    'kit/closures',
    'kit/network',
    'kit/pack',
    'kit/labels',
  ];
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

interface Settings {
  project: { units: Record<string, string> };
}

/** Shows the project in other units. */
async function showIn(units: Record<string, string>): Promise<void> {
  const { project: settings } = await readApi<Settings>(server, `/projects/${project}`);
  await writeApi(server, 'PUT', `/projects/${project}`, {
    ...settings,
    units: { ...settings.units, ...units },
  });
}

const METRIC = { length: 'mm', distance: 'km', pressure: 'kPa', temperature: 'C', altitude: 'm' };
const US = { length: 'in', distance: 'mi', pressure: 'psi', temperature: 'F', altitude: 'ft' };

/** Figures with a unit of the other system; `allowed` are those that have no other in the trade. */
async function foreign(path: string, units: string, allowed: RegExp): Promise<string[]> {
  await visit(page(), `${server.url}/p/${project}/${path}`);
  const shown = await page().evaluate(() => document.body.innerText);
  const found =
    shown.match(new RegExp(`[^\\n]*\\d[ \u00a0]?(?:${units})(?![\\w/])[^\\n]*`, 'gm')) ?? [];
  return found.filter((line) => !allowed.test(line)).map((line) => `${path}: ${line}`);
}

describe('a project in its units', () => {
  const step = storyteller();

  step('of the US shows no metric figure on any main view', async () => {
    await showIn({ ...US, timeZone: 'America/Denver' });
    const found: string[] = [];
    // Cleave lengths and sleeves are sold and set in mm everywhere, as sheets of A4 labels are (common practice,
    // no source); what a person wrote stays as it is.
    const allowed = /cleave|sleeve|working length|^A4,|Repaired at/i;
    for (const path of views)
      found.push(...(await foreign(path, 'mm|cm|m|km|kPa|hPa|C(?= *(?:$|[.,;·)]))', allowed)));
    expect(found).toEqual([]);
  });

  step('of the metric system shows no inch, foot, mile, psi or degree F', async () => {
    await showIn({ ...METRIC, timeZone: 'Europe/Lisbon' });
    const found: string[] = [];
    for (const path of views)
      found.push(
        ...(await foreign(path, '(?:in|F)(?= *(?:$|[.,;·)]))|ft|mi|psi|inHg', /^Letter,/)),
      );
    expect(found).toEqual([]);
  });

  step('takes any unit and shows the project’s, as typed where it is the project’s', async () => {
    await showIn(US);
    await visit(page(), `${server.url}/p/${project}/kit/network`);
    // 2.0116 km are 1.25 mi: 1.25 x 1 609.344 m is 2 011.68 m.
    for (const [typed, shown] of [
      ['1.25 mi', '1.25 mi'],
      ['6600 ft', '1.25 mi'],
      ['2011.68 m', '1.25 mi'],
      ['1 1/4 mi', '1.25 mi'],
    ] as const) {
      await fill(page(), 'Distance 1', typed);
      await sees(page(), shown);
    }
    await fill(page(), 'Distance 1', '');
  });

  step('tells the time by the clock of the work', async () => {
    const clockIn = async (timeZone: string) => {
      await showIn({ timeZone });
      const visits = views.find((path) => path.endsWith('part=visits'))!;
      await visit(page(), `${server.url}/p/${project}/${visits}`);
      await sees(page(), visitForm('firstClosing'));
      const text = await page().evaluate(() => document.body.innerText);
      return /(\d\d):(\d\d): first closing/.exec(text)!.slice(1).map(Number);
    };
    const [hour, minute] = await clockIn('UTC');
    // Kathmandu is 5 h 45 min ahead of UTC, the year round (IANA time zone database).
    const [there, past] = await clockIn('Asia/Kathmandu');
    expect((there! * 60 + past! - hour! * 60 - minute! + 1440) % 1440).toBe(345);
  });

  step('is set by two presets or one by one', async () => {
    await visit(page(), `${server.url}/p/${project}/kit/settings`);
    await press(page(), 'US');
    await sees(page(), 'in, ft, psi, F, ft, Letter');
    await press(page(), unitFields('metric'));
    await sees(page(), 'mm, km, kPa, C, m, A4');
    await press(page(), 'inH2O');
    await press(page(), kitShared('save'));
    await sees(page(), 'Two-way 0.10');
    const unitsOf = async () =>
      (await readApi<Settings>(server, `/projects/${project}`)).project.units;
    await until(async () => (await unitsOf()).pressure === 'inH2O', 'the unit');
    expect(await unitsOf()).toMatchObject({ ...METRIC, pressure: 'inH2O', paper: 'A4' });
    expect(person.trouble).toEqual([]);
  });
});

import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { common } from '@cordel/text/pages/common';
import { cableListPage } from '@cordel/text/pages/kit/CableListPage';
import { routeImportPage } from '@cordel/text/pages/routeImport/RouteImportPage';
import { importPage } from '@cordel/text/pages/splices/ImportPage';
import { previewPart } from '@cordel/text/pages/splices/PreviewPart';
import { sameNamesPart } from '@cordel/text/pages/splices/SameNamesPart';
import { jest } from '@jest/globals';
import ExcelJS from 'exceljs';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
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
} from './app.ts';

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let person: Person;
let project: string;
let folder: string;
const page = () => person.page;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
  person = await newPerson(browser, server, 'M. Reyes');
  folder = await mkdtemp(join(tmpdir(), 'cordel-files-'));
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
  await rm(folder, { recursive: true, force: true });
});

describe('what comes in from files', () => {
  const step = storyteller();
  step('a splice list from a workbook, with what is odd in it at its cell', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('List');
    sheet.addRow(['closure', 'tray', 'slot', 'cable A', 'fiber A', 'cable B', 'fiber B', 'method']);
    sheet.addRow(['Ford hut', 1, 1, 'X1', new Date(Date.UTC(2026, 8, 4)), 'X2', 1, 'single']);
    sheet.addRow(['Ford hut', 1, { formula: 'C2+1', result: 2 }, 'X1', 2, 'X2', 2, 'single']);
    await book.xlsx.writeFile(join(folder, 'odd.xlsx'));
    await page().goto(`${server.url}/p/${project}/kit/import`);
    await chooseFile(page(), 'Choose a file', join(folder, 'odd.xlsx'));
    await sees(page(), 'A cell is a formula (C3): the last value is taken.');
    await sees(page(), 'E2 is a date, 2026-09-04');
    sheet.getCell('E2').value = 1;
    sheet.getCell('E2').numFmt = '0';
    await book.xlsx.writeFile(join(folder, 'fixed.xlsx'));
    await chooseFile(page(), 'Choose a file', join(folder, 'fixed.xlsx'));
    await press(page(), previewPart('importSplices', { splices: 2 }));
    await sees(
      page(),
      importPage('splicesNewClosuresNewCables', { splices: 2, newClosures: 1, newCables: 2 }),
    );
  });

  step(
    'a list as people write it is read as it is meant, and fixed where it is wrong',
    async () => {
      const lines = [
        'Job 12',
        'Closure;Tray;Slot;Cable;Tube;Fiber;Cable;Tube;Fiber',
        'Ford hut;2;1;Z1;1;5;Z2;1;5',
        ';;2;;;6;;;6',
        ';;third;;;7;;;7',
        'Total;;3',
      ];
      await writeFile(join(folder, 'people.csv'), lines.join('\r\n'));
      await page().goto(`${server.url}/p/${project}/kit/import`);
      await chooseFile(page(), 'Choose a file', join(folder, 'people.csv'));
      await sees(page(), '“third” is not a slot number');
      await fill(page(), previewPart('valueAt', { place: 'Row 5, Slot' }), '3');
      await press(page(), 'Fix Row 5, Slot');
      await press(page(), previewPart('rowsPassedOver', { rows: 1 }));
      await sees(page(), /Row 6: total/);
      await sees(page(), /Row 5 · Ford hut, tray 2, slot 3 Z1 7/);
      await press(page(), previewPart('importSplices', { splices: 3 }));
      await sees(
        page(),
        importPage('splicesNewClosuresNewCables', { splices: 3, newClosures: 0, newCables: 2 }),
      );
    },
  );

  step('names written in two ways are asked about, and an older encoding is named', async () => {
    // Latin letters as Windows-1252 has them: é is E9.
    const text = [
      'closure,tray,slot,cable A,fiber A,cable B,fiber B,method,note',
      'ford hut,1,3,x1,3,X2,3,single,caf\u00e9',
    ].join('\r\n');
    await writeFile(join(folder, 'older.csv'), Buffer.from(text, 'latin1'));
    await page().goto(`${server.url}/p/${project}/kit/import`);
    await chooseFile(page(), 'Choose a file', join(folder, 'older.csv'));
    await sees(page(), 'it was read as Windows-1252');
    await sees(page(), sameNamesPart('namesToAnswerBeforeAnythingIs', { names: 2 }));
    const ready = '[aria-label="Import 1 splice"]:not([aria-disabled="true"]):not([disabled])';
    await sees(page(), previewPart('importSplices', { splices: 1 }));
    expect(await page().$(ready)).toBeNull();
    await press(page(), sameNamesPart('allAreTheSame', { questions: 2 }));
    await page().waitForSelector(ready);
    await press(page(), previewPart('importSplices', { splices: 1 }));
    await sees(
      page(),
      importPage('splicesNewClosuresNewCables', { splices: 1, newClosures: 0, newCables: 0 }),
    );
  });

  step('cables from a workbook', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('Cables');
    sheet.addRow(['cable', 'kind', 'fibers']);
    sheet.addRow(['Y1', 'ribbon', 288]);
    sheet.addRow(['Y2', '', 96]);
    await book.xlsx.writeFile(join(folder, 'cables.xlsx'));
    await page().goto(`${server.url}/p/${project}/kit/cable-list`);
    await chooseFile(page(), 'Choose a file', join(folder, 'cables.xlsx'));
    await sees(page(), 'Y1');
    await press(page(), cableListPage('importCables', { cables: 2 }));
    await sees(page(), '2 cables.');
    const names = async () =>
      (await readApi<{ cables: { name: string }[] }>(server, `/projects/${project}`)).cables.map(
        ({ name }) => name,
      );
    await until(async () => (await names()).includes('Y2'), 'the new cable');
    expect(await names()).toContain('Y1');
  });

  step('a route as GeoJSON, crossed axes found and swapped', async () => {
    const feature = (geometry: object, name: string) => ({
      type: 'Feature',
      geometry,
      properties: { name },
    });
    const crossed = {
      type: 'FeatureCollection',
      features: [
        feature(
          {
            type: 'LineString',
            coordinates: [
              [-43.2, -121.4],
              [-43.2, -121.3],
            ],
          },
          'Road',
        ),
        feature({ type: 'Point', coordinates: [-43.2, -121.35] }, 'Gauge hut'),
      ],
    };
    await writeFile(join(folder, 'route.geojson'), JSON.stringify(crossed));
    await page().goto(`${server.url}/p/${project}/kit/route-import`);
    await sees(page(), common('chooseAFile'));
    const places = await page().$$eval('[aria-current=page]', (keys) =>
      keys.map((key) => key.getAttribute('aria-label')),
    );
    expect(places).toEqual(['Kit']);
    await chooseFile(page(), 'Choose a file', join(folder, 'route.geojson'));
    await sees(page(), 'The axes are crossed');
    await press(page(), routeImportPage('latitudeComesFirstInThisFile'));
    await sees(page(), /Gauge hut: 4\.\d km; \d m off the line · new, is added/);
    await press(page(), routeImportPage('importClosures', { closures: 1 }));
    await sees(page(), routeImportPage('closuresPlacedNew', { closures: 0, added: 1 }));
  });

  step('a route shows what it replaces, what it lacks, and asks about a name', async () => {
    const file = {
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          geometry: {
            type: 'LineString',
            coordinates: [
              [-121.4, -43.2],
              [-121.3, -43.2],
            ],
          },
          properties: { name: 'Road' },
        },
        {
          type: 'Feature',
          geometry: { type: 'Point', coordinates: [-121.32, -43.2] },
          properties: { name: 'gauge  Hut' },
        },
      ],
    };
    await writeFile(join(folder, 'again.geojson'), JSON.stringify(file));
    await page().goto(`${server.url}/p/${project}/kit/route-import`);
    await chooseFile(page(), 'Choose a file', join(folder, 'again.geojson'));
    await sees(page(), sameNamesPart('namesToAnswerBeforeAnythingIs', { names: 1 }));
    await press(page(), 'It is Gauge hut');
    await sees(page(), /Gauge hut: 6\.\d km, replaces 4\.\d km; \d m off the line · here already/);
    await sees(page(), /Not in the file, 17 closures: .*Toll cottage \(stays at 3\.1 km\)/);
    await press(page(), routeImportPage('importClosures', { closures: 1 }));
    await sees(page(), routeImportPage('closuresPlacedNew', { closures: 1, added: 0 }));
  });

  step('a route in another projection is refused in words', async () => {
    const projected = {
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          geometry: { type: 'Point', coordinates: [512_345.2, 4_123_456.7] },
          properties: { name: 'Hut' },
        },
      ],
    };
    await writeFile(join(folder, 'meters.geojson'), JSON.stringify(projected));
    await page().goto(`${server.url}/p/${project}/kit/route-import`);
    await chooseFile(page(), 'Choose a file', join(folder, 'meters.geojson'));
    await sees(page(), 'they look like meters of a projection');
  });

  step('a project of a newer version is refused, and nothing of it is here', async () => {
    const count = async () => (await readApi<unknown[]>(server, '/projects')).length;
    const before = await count();
    const answer = await fetch(`${server.url}/api/projects/${project}/document.json`);
    const document = (await answer.json()) as { version: number; project: { id: string } };
    await writeFile(
      join(folder, 'newer.json'),
      JSON.stringify({ ...document, version: document.version + 1 }),
    );
    await visit(page(), `${server.url}/projects`);
    await chooseFile(page(), 'Import a project', join(folder, 'newer.json'));
    await sees(page(), 'newer than this Cordel, which reads up to version 5');
    expect(await count()).toBe(before);
  });

  step('and nothing went wrong on the page', () => {
    expect(person.trouble).toEqual([]);
    return Promise.resolve();
  });
});

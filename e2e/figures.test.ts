import { jest } from '@jest/globals';
import type { Splice } from '@cordel/core';
import ExcelJS from 'exceljs';
import JSZip from 'jszip';
import type { Browser, Page } from 'puppeteer-core';
import {
  type DrawnNetwork,
  drawnNetwork,
  drawnSeeds,
} from '../apps/server/src/testing/drawnNetwork.ts';
import { chains, plainTally, speaking } from '../apps/server/src/testing/plainFigures.ts';
import {
  WIDE,
  type Person,
  type Server,
  newId,
  newPerson,
  press,
  readApi,
  removeServer,
  startBrowser,
  startServer,
  until,
  writeApi,
} from './app.ts';
import { settle } from './walk.ts';

jest.setTimeout(180_000);

let server: Server;
let browser: Browser;
let person: Person;
beforeAll(async () => {
  [server, browser] = await Promise.all([startServer(), startBrowser()]);
  person = await newPerson(browser, server, 'W. Walker', WIDE);
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

/** Meters in a unit of distance; a foot is 0.3048 m (international yard and pound agreement, 1959). */
const METERS: Record<string, number> = { ft: 0.3048, m: 1, km: 1000, mi: 5280 * 0.3048 };

/** Whether the redo line or the limit of both ways is passed; one way alone decides nothing. */
function isToRedo({ document: { project }, done }: DrawnNetwork, { id, method }: Splice): boolean {
  const drawn = done.get(id)!;
  const { estimate, 'two-way': twoWay } = project.limits.splice;
  if (drawn.state === 'estimate') return drawn.loss > estimate[method]!;
  if (drawn.state !== 'two-way') return false;
  return Object.values(drawn.losses).some(([one, back]) => one! + back! > 2 * twoWay[method]!);
}

/** What a row says of splices: `10 of 22`, and its losses where there are any. */
function saidOf(network: DrawnNetwork, splices: readonly Splice[]) {
  const { total, dead, figures, sumHalfMdb, maxHalfMdb } = plainTally(network, splices);
  const due = total - dead;
  const redo = splices.filter((one) => isToRedo(network, one)).length;
  const done = splices.filter(
    (one) =>
      ['estimate', 'one-way', 'two-way'].includes(network.done.get(one.id)!.state) &&
      !isToRedo(network, one),
  ).length;
  return {
    share: `${done} of ${due}`,
    redo: redo > 0 ? `${redo} to redo` : '',
    losses:
      maxHalfMdb === null
        ? 'no loss yet'
        : `worst ${rounded(maxHalfMdb / 2)} · mean ${rounded(sumHalfMdb / figures / 2)} dB`,
  };
}

/** Thousandths of a dB as dB with three decimals, rounded up, as docs and pages say. */
function rounded(mdb: number): string {
  const whole = Math.ceil(mdb - 1e-9);
  return spelled(whole / 1000);
}

/** Two decimals, and as many more as the figure has. */
const spelled = (db: number): string =>
  `${db < 0 ? '−' : ''}${Math.abs(db)
    .toFixed(4)
    .replace(/0{1,2}$/, '')}`;

/** A loss as it was measured: the half of a thousandth is shown. */
const exact = (halfMdb: number): string => `${spelled(halfMdb / 2000)} dB`;

async function linesOf(page: Page, path: string): Promise<string[]> {
  await page.goto(server.url + path, { waitUntil: 'domcontentloaded' });
  await settle(page);
  return shown(page);
}

const shown = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    document
      .querySelector<HTMLElement>('[role=main]')!
      .innerText.split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
  );

/** The lines of a row: from its title to before the next. */
function rowOf(lines: readonly string[], title: string, most = 5): string {
  const at = lines.indexOf(title);
  return at < 0 ? '' : lines.slice(at, at + most).join('\n');
}

// What pages show of networks unlike the demo, compared with a plain recalculation.
describe.each(drawnSeeds())('the pages of a network drawn by seed %i', (seed) => {
  const network = drawnNetwork(seed);
  const { project, closures, splices, cables } = network.document;
  const lines = (path: string) => linesOf(person.page, `/p/${project.id}${path}`);
  const nameOf = (cable: string, fiber: number) =>
    `${cables.find(({ id }) => id === cable)!.name} ${fiber}`;

  beforeAll(() => writeApi(server, 'POST', '/documents', network.document));
  afterEach(() => expect(person.trouble.splice(0)).toEqual([]));

  test('Route and Ledger count closures and their losses', async () => {
    const [route, ledger] = [await lines('/route'), await lines('/ledger?view=closures')];
    for (const { id, name } of closures) {
      const own = splices.filter(({ closureId }) => closureId === id);
      const { share, redo, losses } = saidOf(network, own);
      expect([name, rowOf(route, name)]).toEqual([name, expect.stringContaining(share)]);
      const row = rowOf(ledger, name);
      expect([name, row]).toEqual([name, expect.stringContaining(share)]);
      expect(row).toContain(losses);
      expect(row).toContain(redo);
    }
    const all = saidOf(network, splices);
    expect(ledger).toContainEqual(expect.stringContaining(`${all.share} spliced`));
    if (all.losses !== 'no loss yet')
      expect(ledger).toContainEqual(expect.stringContaining(all.losses));
  });

  test('the Ledger counts trays, fibers and splices', async () => {
    let seen = 0;
    const trays = await lines('/ledger?view=trays');
    for (const { id, name, trays: own } of closures)
      for (const { number } of own) {
        const row = rowOf(trays, `${name} · tray ${number}`);
        if (row === '') continue;
        const { share, losses } = saidOf(
          network,
          splices.filter(({ closureId, tray }) => closureId === id && tray === number),
        );
        expect(row).toContain(share);
        expect(row).toContain(losses);
        seen++;
      }
    const fibers = await lines('/ledger?view=fibers');
    const said = chains(network).map((own) => ({ own, ...saidOf(network, own) }));
    for (const [at, line] of fibers.entries()) {
      const title = /^(?<cable>\S+(?: end| head)?) (?<fiber>\d+) \S+$/.exec(line)?.groups;
      if (!title || !/^\d+ of \d+$/.test(fibers[at + 2] ?? '')) continue;
      const named = `${title['cable']} ${title['fiber']}`;
      const alike = said.filter(({ own }) =>
        own.some(
          ({ cableA, fiberA, cableB, fiberB }) =>
            nameOf(cableA, fiberA) === named || nameOf(cableB, fiberB) === named,
        ),
      );
      const row = fibers.slice(at, at + 3).join('\n');
      expect([
        row,
        alike.some(({ share, losses }) => row.includes(share) && row.includes(losses)),
      ]).toEqual([row, true]);
      seen++;
    }
    const listed = await lines('/ledger?view=splices');
    for (const splice of splices) {
      const title = `${nameOf(splice.cableA, splice.fiberA)} to ${nameOf(splice.cableB, splice.fiberB)}`;
      const row = rowOf(listed, title, 4);
      if (row === '' || splice.end !== null || splice.legA || splice.legB) continue;
      const half = speaking(network, splice.id);
      const { state } = network.done.get(splice.id)!;
      expect(row).toContain(half === null ? (state === 'open' ? 'open' : state) : exact(half));
      if (isToRedo(network, splice)) expect(row).toContain('to redo');
      seen++;
    }
    expect(seen).toBeGreaterThan(10);
  });

  test('the van takes a sleeve for every slot that is still to be spliced, and spares', async () => {
    await lines('/kit/pack');
    for (const { name } of closures) await press(person.page, name);
    await settle(person.page);
    const packed = await shown(person.page);
    const due = splices.filter(
      (one) =>
        ['open', 'skipped'].includes(network.done.get(one.id)!.state) || isToRedo(network, one),
    );
    const spared = (own: readonly Splice[]) => {
      const slots = new Set(own.map(({ closureId, tray, slot }) => `${closureId} ${tray} ${slot}`));
      return Math.ceil((slots.size * (100 + project.practice.redoPercent)) / 100);
    };
    const sleeves = {
      'Single-fiber sleeves, 60 mm': due.filter(
        ({ method, end }) => method === 'single' && (end === null || end === 'pigtail'),
      ),
      'Ribbon sleeves': due.filter(({ method }) => method === 'mass'),
    };
    for (const [name, own] of Object.entries(sleeves)) {
      const row = rowOf(packed, packed.find((line) => line.startsWith(name)) ?? '', 4);
      if (own.length === 0) expect(row).toBe('');
      else expect(row).toContain(`${spared(own)} pieces`);
    }
  });

  test('a package has the same splices and losses in its table', async () => {
    const id = newId();
    const at = new Date().toISOString();
    const path = `/projects/${project.id}/packages`;
    const asked = { id, closureId: null, paper: 'A4', by: 'W. Walker', at };
    await writeApi(server, 'POST', path, asked);
    await until(async () => {
      const all = await readApi<{ id: string; state: string }[]>(server, path);
      return all.find((one) => one.id === id)?.state === 'done' || null;
    }, 'the package');
    const answer = await fetch(`${server.url}/api/packages/${id}/file.zip`);
    const zip = await JSZip.loadAsync(await answer.arrayBuffer());
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await zip.file('as-built.xlsx')!.async('nodebuffer')) as never);
    const sheet = book.worksheets.find(({ name }) => /^splices$/i.test(name))!;
    const rows: (string | number | null)[][] = [];
    sheet.eachRow((row) => rows.push((row.values as (string | number | null)[]).slice(1)));
    const titles = rows.findIndex((row) => row.includes('loss dB'));
    const column = rows[titles]!.indexOf('loss dB');
    const listed = rows.slice(titles + 1);
    expect(listed).toHaveLength(splices.length);
    const sumDb = listed.reduce((sum, row) => sum + Number(row[column] ?? 0), 0);
    const { sumHalfMdb } = plainTally(network, splices);
    // A half of a thousandth is rounded up.
    expect(Math.abs(sumDb - sumHalfMdb / 2000)).toBeLessThanOrEqual(0.0005 * listed.length + 1e-9);
  });

  test('the budget adds up what fiber, splices and connectors lose', async () => {
    const { glass, splice, connector, connectors } = project.budget;
    const page = await lines('/ledger/budget');
    let seen = 0;
    for (const [at, line] of page.entries()) {
      const told =
        /(?<length>[\d.,]+) (?<unit>ft|km|m|mi) of fiber, (?<splices>\d+) splices?(?:, (?<ends>\d+) ends? at ports)?\.$/.exec(
          line,
        )?.groups;
      if (!told) continue;
      const through = /^Through .* at most (\S+) dB\.$/.exec(page[at + 1] ?? '')?.[1];
      const figure = Number(told['length']!.replace(/,/g, ''));
      const meter = METERS[told['unit']!]!;
      for (const { wavelengthNm, most, usual } of glass) {
        const own = page
          .slice(at + 1, at + 5)
          .find((one) => one.startsWith(`${wavelengthNm} nm: calculated`));
        if (!own) continue;
        const [, limit, expected] = /of (\S+) dB, expected (\S+) ±/.exec(own)!.map(Number);
        const sumDb = (part: 'most' | 'usual') =>
          (((figure * meter) / 1000) * { most, usual }[part] +
            Number(told['splices']) * splice[part] +
            connectors * connector[part]) /
          1000;
        expect(Math.abs(limit! - sumDb('most') - Number(through ?? 0))).toBeLessThan(0.011);
        // What a splitter loses as a rule is not said on its own.
        if (!through) expect(Math.abs(expected! - sumDb('usual'))).toBeLessThan(0.011);
        seen++;
      }
    }
    expect([seen > 0, page.some((line) => line.includes('of fiber,'))]).toEqual(
      seen > 0 ? [true, true] : [false, false],
    );
  });
});

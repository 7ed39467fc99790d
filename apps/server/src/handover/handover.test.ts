import { createHash } from 'node:crypto';
import { mkdir, readdir, rm, symlink } from 'node:fs/promises';
import { join } from 'node:path';
import { check } from '@placemarkio/check-geojson';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import ExcelJS from 'exceljs';
import JSZip from 'jszip';
import Papa from 'papaparse';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { ClosureRecord } from '@cordel/core/close';
import { digestOf, sealRecord } from '@cordel/core/close';
import type { ProjectDocument } from '@cordel/core/document';
import { readSor } from '@cordel/core/otdr';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { startApi } from '../testing/api.ts';
import {
  AWKWARD,
  type Handover,
  ONE_PIXEL,
  jsonOf,
  pagesOf,
  startHandover,
  textOf,
} from '../testing/handover.ts';

let handover: Handover;
let document: ProjectDocument;
const call: Handover['call'] = (...asked) => handover.call(...asked);
const ask: Handover['ask'] = (...asked) => handover.ask(...asked);
const unzipped: Handover['unzipped'] = (id) => handover.unzipped(id);
const made: Handover['made'] = (id) => handover.made(id);
const shown: Handover['shown'] = (id) => handover.shown(id);

beforeAll(async () => {
  handover = await startHandover();
  document = handover.document;
});
afterAll(() => handover.close());

describe('the package of a project', () => {
  let zip: JSZip;
  beforeAll(async () => {
    zip = await unzipped(await ask());
  });

  it('can be checked by who has nothing but the zip', async () => {
    const sums = (await textOf(zip, 'SHA256SUMS')).trim().split('\n');
    const named = sums.map((line) => line.split('  ') as [string, string]);
    const paths = Object.values(zip.files)
      .filter((file) => !file.dir)
      .map((file) => file.name);
    expect(named.map(([, path]) => path).sort()).toEqual(
      paths.filter((path) => path !== 'SHA256SUMS').sort(),
    );
    for (const [sum, path] of named) {
      const bytes = await zip.file(path)!.async('nodebuffer');
      expect([path, createHash('sha256').update(bytes).digest('hex')]).toEqual([path, sum]);
    }
    const manifest = await jsonOf<{ files: { path: string; bytes: number; sha256: string }[] }>(
      zip,
      'manifest.json',
    );
    for (const { path, bytes, sha256 } of manifest.files) {
      const content = await zip.file(path)!.async('nodebuffer');
      expect([path, content.length]).toEqual([path, bytes]);
      expect(named).toContainEqual([sha256, path]);
    }
    expect(await textOf(zip, 'README.txt')).toMatch(/sha256sum -c SHA256SUMS/);
  });

  it('has what was signed in files whose own digest the signatures name', async () => {
    const { signed } = await jsonOf<{
      signed: { closure: string; digest: string; file: string }[];
    }>(zip, 'manifest.json');
    expect(signed.map(({ closure }) => closure)).toEqual(['Toll cottage', 'Ferry steps']);
    for (const { digest, file } of signed) {
      const bytes = await zip.file(file)!.async('nodebuffer');
      expect(createHash('sha256').update(bytes).digest('hex')).toBe(digest);
    }
  });

  it('has the project as its schema says, and Cordel reads it back', async () => {
    const ajv = addFormats.default(new Ajv2020({ strict: false, formats: { base64: true } }));
    const validate = ajv.compile(await jsonOf<object>(zip, 'project.schema.json'));
    const own = await jsonOf<ProjectDocument>(zip, 'project.json');
    expect(validate(own)).toBe(true);
    const other = await startApi();
    expect((await other.post('/documents', own)).text).toBe(`{"id":"${document.project.id}"}`);
    const there = await other.get(`/projects/${document.project.id}/document.json`);
    const here = await handover.api.get(`/projects/${document.project.id}/document.json`);
    expect(there.text).toBe(here.text);
    await other.close();
  });

  it('has a workbook with typed columns, a sheet a matter', async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await zip.file('as-built.xlsx')!.async('nodebuffer')) as never);
    expect(book.worksheets.map(({ name }) => name)).toEqual([
      'splices',
      'evidence',
      'closures',
      'trays',
      'fibers',
      'prep',
      'closing',
      'links',
      'removed',
    ]);
    const sheet = book.getWorksheet('splices')!;
    expect(sheet.rowCount).toBe(document.splices.length + 1);
    const titles = (sheet.getRow(1).values as string[]).slice(1);
    const column = (title: string) => titles.indexOf(title) + 1;
    const first = sheet.getRow(2);
    expect(typeof first.getCell(column('loss dB')).value).toBe('number');
    expect(first.getCell(column('fiber A')).value).toBe(1);
    expect(first.getCell(column('state')).value).toBe('measured');
    expect(first.getCell(column('origin')).value).toBe('simulated');
    expect(first.getCell(column('spliced at (UTC)')).value).toBeInstanceOf(Date);
    const refs = sheet.getColumn(column('owner ref')).values as unknown[];
    expect(refs).toContain(AWKWARD);
    const evidence = book.getWorksheet('evidence')!;
    expect(evidence.rowCount).toBe(document.evidence.length + 1);
    expect(evidence.getRow(2).getCell(5).value).toBeInstanceOf(Date);
    expect(book.getWorksheet('closures')!.rowCount).toBe(document.closures.length + 1);
    // No cell of any sheet is a formula.
    book.eachSheet((each) =>
      each.eachRow((row) => row.eachCell((cell) => expect(cell.formula).toBeUndefined())),
    );
  });

  it('has CSV that says the same, with no cell that a spreadsheet would run', async () => {
    const text = await textOf(zip, 'csv/splices.csv');
    const { data, errors } = Papa.parse<Record<string, string>>(text, {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(document.splices.length);
    expect(data.map((row) => row['owner ref'])).toContain(`'${AWKWARD}`);
    for (const path of Object.keys(zip.files).filter((name) => name.startsWith('csv/')))
      for (const cell of (Papa.parse<string[]>(await textOf(zip, path)).data as string[][]).flat())
        expect(cell).not.toMatch(/^[=@]|^[+-](?!\d*\.?\d+$)/);
    // The same counts as the Ledger has.
    const ledger = Papa.parse<Record<string, string>>(
      (await handover.api.get(`/projects/${document.project.id}/csv/trays`)).text,
      { header: true, skipEmptyLines: true },
    ).data;
    const trays = Papa.parse<Record<string, string>>(await textOf(zip, 'csv/trays.csv'), {
      header: true,
      skipEmptyLines: true,
    }).data;
    const key = (row: Record<string, string>) =>
      [
        row.closure,
        row.tray,
        row.splices,
        row.measured,
        row['to redo'],
        row.open,
        row.verdict,
      ].join();
    expect(trays.map(key)).toEqual(ledger.map(key));
    expect(trays.map((row) => row['mean dB'])).toEqual(ledger.map((row) => row['mean dB']));
    const fibers = Papa.parse<Record<string, string>>(await textOf(zip, 'csv/fibers.csv'), {
      header: true,
      skipEmptyLines: true,
    }).data;
    const known = Papa.parse<Record<string, string>>(
      (await handover.api.get(`/projects/${document.project.id}/csv/fibers`)).text,
      { header: true, skipEmptyLines: true },
    ).data;
    const ofFiber = (row: Record<string, string>) =>
      [row.cable, row.fiber, row.splices, row.verdict].join();
    expect(fibers.map(ofFiber).sort()).toEqual(known.map(ofFiber).sort());
  });

  it('has the route as GeoJSON', async () => {
    const { features } = check(await textOf(zip, 'route.geojson')) as unknown as {
      features: { geometry: { type: string } | null; properties: Record<string, unknown> }[];
    };
    expect(features.filter(({ geometry }) => geometry?.type === 'LineString')).toHaveLength(1);
    const toll = features.find(({ properties }) => properties.name === 'Toll cottage')!;
    expect(toll.properties).toMatchObject({
      kind: 'closure',
      distanceM: 3100,
      signed: true,
      practiceOnly: true,
    });
    expect(toll.properties.simulated).toBe(toll.properties.done);
    expect(toll.geometry?.type).toBe('Point');
  });

  it('has traces and photos byte for byte', async () => {
    const traces = Object.keys(zip.files).filter((name) => /^traces\/.+\.sor$/.test(name));
    expect(traces).toHaveLength(4);
    const digests = await Promise.all(
      traces.map(async (path) => digestOf(await zip.file(path)!.async('uint8array'))),
    );
    expect(digests.sort()).toEqual(document.traces.map(({ digest }) => digest).sort());
    expect(readSor(await zip.file(traces[0]!)!.async('uint8array')).ok).toBe(true);
    const [photo] = document.photos;
    expect(await zip.file(`photos/${photo!.id}.jpg`)!.async('base64')).toBe(ONE_PIXEL);
  });

  it('has a PDF with every matter on it, in letters that can be searched', async () => {
    const { words, size } = await pagesOf(zip);
    expect(size.map(Math.round)).toEqual([595, 842]);
    const all = words.join('\n');
    expect(words[0]).toMatch(/Vessamy valley line/);
    for (const { name } of document.closures) expect(all).toContain(name);
    expect(all).toMatch(/Tray 1 .*pass/);
    // Every page of a practice project says so, and so does every figure.
    for (const page of words) expect(page).toMatch(/PRACTICE ONLY: figures may be simulated/);
    expect(all).toMatch(/0\.\d\d\d dB +measured, simulated/);
    expect(all).toMatch(/Test 2, readings simulated: passed/);
    expect(all.replace(/\s+/g, ' ')).toMatch(/owner accepts 0\.13 dB here/);
    // The demo lies where the clock is an hour ahead of UTC in May.
    expect(all).toMatch(/2026-05-\d\d \d\d:\d\d UTC\+1/);
    expect(all).not.toMatch(/\d\d:\d\d UTC(?![+\u2212])/);
    expect(all).toMatch(/Before the cover/);
    expect(all).toMatch(/Test 1, readings simulated: failed/);
    // The drawing says no more of a place than was looked at.
    expect(all).toMatch(/Oval: not checked\s+Round 1: bubbles/);
    expect(all).not.toMatch(/: no bubbles/);
    expect(all).toMatch(/Repaired at Round 1/);
    expect(all).toMatch(/Released before leaving/);
    expect(all).toMatch(/Lead: Lead/);
    expect(all).toMatch(/Traces/);
    expect(all).toMatch(/1550 nm/);
  });

  it('is the same, byte for byte, when it is made again', async () => {
    const [one, two] = [await made(await ask()), await made(await ask())];
    expect(one.state).toBe('done');
    if (two.digest !== one.digest) {
      const [a, b] = await Promise.all(
        [one, two].map(async ({ id }) => textOf(await unzipped(id), 'SHA256SUMS')),
      );
      expect(a).toBe(b);
    }
    expect(two.digest).toBe(one.digest);
  });

  it('is another when the record is', async () => {
    const before = await made(await ask());
    const splice = document.splices.at(-1)!;
    const id = uuid();
    await handover.api.record([
      {
        type: 'ruling',
        id,
        spliceId: splice.id,
        by: 'M.',
        at: '2026-06-02T08:00:00.000Z',
        tryId: null,
        kind: 'dead',
        why: 'crushed',
      },
    ]);
    expect((await made(await ask())).digest).not.toBe(before.digest);
  });
});

describe('the package of one closure', () => {
  it('has that closure only, with its record as it is signed', async () => {
    const signed = document.signed[1]!;
    const zip = await unzipped(await ask(signed.closureId, 'Letter'));
    const record = await jsonOf<ClosureRecord>(zip, 'closure.json');
    expect(sealRecord(record).digest).toBe(signed.digest);
    expect(digestOf(await textOf(zip, 'closure.json'))).toBe(signed.digest);
    const rows = Papa.parse<string[]>((await textOf(zip, 'csv/splices.csv')).trim()).data;
    expect(rows).toHaveLength(25);
    expect(zip.file('project.json')).toBeNull();
    // The traces that are there are of fibers that pass this closure.
    expect(Object.keys(zip.files).filter((name) => /^traces\/.+\.sor$/.test(name))).toHaveLength(4);
    const { words, size } = await pagesOf(zip);
    expect(size).toEqual([612, 792]);
    expect(words.join('\n')).not.toContain('Toll cottage');
  });
});

describe('what goes wrong', () => {
  /** What is left of a package where packages are made. */
  const leftOf = async (id: string) =>
    (await Promise.all(handover.folders.map((folder) => readdir(folder))))
      .flat()
      .filter((name) => name.startsWith(id));

  it('a zip with one byte changed is found out', async () => {
    const now = await made(await ask(document.signed[1]!.closureId));
    const file = await call('GET', `/packages/${now.id}/file.zip`);
    const bytes = Buffer.from(await file.arrayBuffer());
    const zip = await JSZip.loadAsync(bytes);
    const sums = await textOf(zip, 'SHA256SUMS');
    const csv = zip.file('csv/closures.csv')!;
    const changed = (await csv.async('nodebuffer')).map((byte, at) =>
      at === 20 ? byte ^ 1 : byte,
    );
    const line = sums.split('\n').find((one) => one.endsWith('csv/closures.csv'))!;
    expect(line).not.toContain(createHash('sha256').update(changed).digest('hex'));
    const at = bytes.length >> 1;
    bytes[at] = bytes[at]! ^ 1;
    await expect(
      JSZip.loadAsync(bytes, { checkCRC32: true }).then((other) =>
        Promise.all(Object.keys(other.files).map((name) => other.file(name)!.async('nodebuffer'))),
      ),
    ).rejects.toThrow();
  });

  it('a full disk is said in words, and nothing half-made is left', async () => {
    const id = uuid();
    // A device that is always full stands where the workbook goes, whichever server makes it.
    for (const folder of handover.folders) {
      await mkdir(join(folder, `${id}.making`), { recursive: true });
      await symlink('/dev/full', join(folder, `${id}.making`, 'as-built.xlsx'));
    }
    const body = { id, closureId: null, paper: 'A4', by: 'M.', at: '2026-06-01T08:00:00.000Z' };
    await call('POST', `/projects/${document.project.id}/packages`, body);
    const now = await made(id);
    expect(now.state).toBe('failed');
    expect(now.problem).toMatch(/The disk is full\. Free some room/);
    // The other servers' folders still have what was put there above.
    expect(await leftOf(id)).toHaveLength(handover.folders.length - 1);
    expect((await call('GET', `/packages/${id}/file.zip`)).status).toBe(409);
  });

  it('one that is stopped leaves nothing, and can be asked for again', async () => {
    const id = await ask();
    while ((await shown(id)).done === 0) await new Promise((done) => setTimeout(done, 20));
    expect((await call('POST', `/packages/${id}/stop`)).status).toBe(200);
    expect((await made(id)).state).toBe('stopped');
    expect(await leftOf(id)).toEqual([]);
  });

  it('asked twice is made once', async () => {
    const id = await ask(document.signed[1]!.closureId);
    const body = { id, closureId: null, paper: 'Letter', by: 'X', at: '2026-06-01T08:00:00.000Z' };
    await call('POST', `/projects/${document.project.id}/packages`, body);
    await made(id);
    expect((await handover.packagesOf()).filter((one) => one.id === id)).toHaveLength(1);
  });

  it('one whose file is gone says that it can be made again', async () => {
    const id = await ask(document.signed[1]!.closureId);
    await made(id);
    for (const folder of handover.folders) await rm(join(folder, `${id}.zip`), { force: true });
    await rowsOf(handover.api.db, sql`delete from package_pieces where package_id = ${id}`);
    expect((await shown(id)).problem).toMatch(/make it again, it will be the same/);
  });
});

describe('label sheets', () => {
  it('are PDF at their true size, with the closure’s code', async () => {
    const closureId = document.closures[0]!.id;
    const query = new URLSearchParams({
      closure: closureId,
      sheet: 'letter-30',
      origin: 'https://cordel.example/',
      skip: '29',
    });
    const response = await call('GET', `/projects/${document.project.id}/labels.pdf?${query}`);
    expect(response.status).toBe(200);
    const data = new Uint8Array(await response.arrayBuffer());
    const pdf = await getDocument({ data, disableFontFace: true }).promise;
    const trays = document.closures[0]!.trays.length;
    // One on the sheet that was begun, the others on a new one: closure, trays, two cables.
    expect(pdf.numPages).toBe(1 + Math.ceil((trays + 2) / 30));
    const { items } = await (await pdf.getPage(1)).getTextContent();
    expect(items.map((item) => ('str' in item ? item.str : '')).join(' ')).toContain(
      'Toll cottage',
    );
  });

  it('are of all closures where none is named', async () => {
    const query = new URLSearchParams({
      kinds: 'closure',
      sheet: 'letter-30',
      origin: 'https://cordel.example',
    });
    const response = await call('GET', `/projects/${document.project.id}/labels.pdf?${query}`);
    const data = new Uint8Array(await response.arrayBuffer());
    const pdf = await getDocument({ data, disableFontFace: true }).promise;
    const { items } = await (await pdf.getPage(1)).getTextContent();
    const said = items.map((item) => ('str' in item ? item.str : '')).join(' ');
    for (const { name } of document.closures) expect(said).toContain(name);
  });
});

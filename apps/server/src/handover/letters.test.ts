import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LABEL_SHEETS } from '@cordel/core/close';
import JSZip from 'jszip';
import { SaxesParser } from 'saxes';
import { type TestApi, startApi } from '../testing/api.ts';
import { wordsOf } from '../testing/handover.ts';
import { smallDocument } from '../testing/small.ts';
import { PackageFile } from './make/file.ts';
import { Workbook } from './make/workbook.ts';

/** Names with all letters of a script, or with what only some have. */
const NAMES = {
  Latin: 'Łódź Čačak Şanlıurfa Þór Ġgantija Őrség',
  Vietnamese: 'Nguyễn Đường ẦẪỠỰ ỷỹỵ',
  Greek: 'Ωμέγα Ψυχή ΐΰ ς',
  Cyrillic: 'Жук Щёлково Їжак Љубљана Ђорђе',
};

let api: TestApi;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());

async function labelsOf(name: string): Promise<string> {
  const document = smallDocument();
  document.closures[0]!.name = name;
  expect((await api.post('/documents', document)).status).toBe(200);
  const query = new URLSearchParams({
    closure: document.closures[0]!.id,
    kinds: 'closure',
    sheet: LABEL_SHEETS[0]!.id,
    origin: 'http://localhost:8044',
  });
  const bytes = await api.raw(`/projects/${document.project.id}/labels.pdf?${query}`);
  return (await wordsOf(new Uint8Array(bytes))).words.join(' ');
}

describe('names on paper', () => {
  it.each(Object.entries(NAMES))('in %s are there letter by letter', async (_, name) => {
    // Some letters are set as a letter and its mark: text is compared as Unicode composes it.
    expect((await labelsOf(name)).normalize('NFC').replace(/\s+/g, ' ')).toContain(name);
  });

  it('have a sign where no font has the letter', async () => {
    const text = await labelsOf('Pit 測試 🧵');
    expect(text).toContain('Pit \ufffd\ufffd \ufffd');
  });
});

describe('names in a workbook', () => {
  it('hold nothing that XML does not', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'cordel-letters-'));
    const file = await PackageFile.open(folder, 'book.xlsx', 'a workbook');
    const book = new Workbook(file);
    book.begin('names', [{ title: 'name \uffff', cell: (row: string) => row }]);
    await book.add(['plain', 'no \ufffe and \uffff text', 'ring \u0007 bell', 'Ωμέγα 測試 🧵']);
    await book.close();
    const zip = await JSZip.loadAsync(await readFile(join(folder, 'book.xlsx')));
    const texts: string[] = [];
    for (const path of Object.keys(zip.files).filter((name) => /\.xml$/.test(name))) {
      const parser = new SaxesParser();
      parser.on('error', (error) => {
        throw new Error(`${path}: ${error.message}`);
      });
      parser.on('text', (text) => texts.push(text));
      parser.write(await zip.file(path)!.async('string')).close();
    }
    expect(texts).toEqual(
      expect.arrayContaining([
        'name \ufffd',
        'no \ufffd and \ufffd text',
        'ring \ufffd bell',
        'Ωμέγα 測試 🧵',
      ]),
    );
    await rm(folder, { recursive: true, force: true });
  });
});

import { DrizzleQueryError } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { mkdir, mkdtemp, readFile, rm, symlink, utimes } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CsvFile } from './csvFile.ts';
import { DocumentFile } from './documentFile.ts';
import { PackageFile, writeWhole } from './file.ts';
import { wordsOf } from './words.ts';
import { zipFiles } from './zip.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-file-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const textOf = (path: string) => readFile(join(folder, path), 'utf8');

describe('a file of a package', () => {
  it('knows its size and digest once it is closed', async () => {
    const file = await PackageFile.open(folder, 'deep/er/a.txt', 'A text');
    await file.write('grün ');
    await file.write(Buffer.from('and more'));
    await file.close();
    const bytes = Buffer.from('grün and more');
    expect(await textOf('deep/er/a.txt')).toBe(bytes.toString());
    expect(file.size).toBe(bytes.length);
    expect(file.digest).toBe(createHash('sha256').update(bytes).digest('hex'));
  });

  it('takes more than lies in memory at a time', async () => {
    const file = await PackageFile.open(folder, 'large.bin', 'Much');
    const chunk = Buffer.alloc(1 << 20, 7);
    for (let count = 0; count < 24; count++) await file.write(chunk);
    await file.close();
    expect(file.size).toBe(24 << 20);
  });

  it('says so where the disk is full, to whoever writes and to whoever waits', async () => {
    await mkdir(join(folder, 'x'));
    await symlink('/dev/full', join(folder, 'x', 'full.txt'));
    const file = await PackageFile.open(folder, 'x/full.txt', 'Nothing');
    const failure = file.failure.catch((error: Error) => wordsOf(error));
    await file.write('x'.repeat(1 << 20)).catch(() => undefined);
    await expect(file.close()).rejects.toMatchObject({ code: 'ENOSPC' });
    expect(await failure).toMatch(/The disk is full/);
  });

  it('puts other troubles into words too', () => {
    const error = (code: string) => Object.assign(new Error('x'), { code });
    expect(wordsOf(error('EACCES'))).toMatch(/may not write into its data folder/);
    expect(wordsOf(new Error('odd'))).toBe('The package could not be made: odd');
    const statement = new DrizzleQueryError('select * from "splices"', ['Ana'], new Error('gone'));
    expect(wordsOf(statement)).not.toMatch(/select|splices|Ana/);
  });
});

describe('CSV in parts', () => {
  it('is the same as at once: titles, then rows, each line ended', async () => {
    const columns = [
      { title: 'name', cell: (row: { name: string; loss: number | null }) => row.name },
      { title: 'loss', cell: (row: { name: string; loss: number | null }) => row.loss },
      { title: 'at', cell: () => new Date(Date.UTC(2026, 4, 4, 20, 15)) },
      { title: 'redo', cell: () => false },
    ];
    const file = await new CsvFile(
      await PackageFile.open(folder, 'a.csv', 'Rows'),
      columns,
    ).begin();
    await file.add([]);
    await file.add([{ name: 'a, "b"', loss: 0.1 + 0.2 }]);
    await file.add([{ name: '=x', loss: null }]);
    await file.file.close();
    expect(await textOf('a.csv')).toBe(
      [
        'name,loss,at,redo',
        '"a, ""b""",0.3,2026-05-04T20:15:00.000Z,no',
        `"'=x",,2026-05-04T20:15:00.000Z,no`,
        '',
      ].join('\r\n'),
    );
  });
});

describe('a document in parts', () => {
  it('is JSON with every list once, those of which nothing came empty', async () => {
    const document = new DocumentFile(await PackageFile.open(folder, 'a.json', 'All'));
    await document.begin({ format: 'x', closures: [1] });
    await document.add('splices', [{ id: 1 }]);
    await document.add('splices', [{ id: 2 }, { id: 3 }]);
    await document.add('traces', [{ id: 4 }]);
    await document.close();
    expect(JSON.parse(await textOf('a.json'))).toEqual({
      format: 'x',
      closures: [1],
      splices: [{ id: 1 }, { id: 2 }, { id: 3 }],
      traces: [{ id: 4 }],
      evidence: [],
      photos: [],
    });
  });
});

describe('the zip', () => {
  it('has the same bytes whenever it is made', async () => {
    const files = [
      await writeWhole(folder, 'a.txt', 'One', 'one '.repeat(5000)),
      await writeWhole(folder, 'b/c.pdf', 'Two', 'two'),
    ];
    const first = await zipFiles(folder, files, join(folder, '1.zip'));
    // As if they had been written long before.
    for (const { path } of files) await utimes(join(folder, path), 1e9, 1e9);
    const second = await zipFiles(folder, files, join(folder, '2.zip'));
    expect(second).toEqual(first);
    const bytes = await readFile(join(folder, '1.zip'));
    expect(createHash('sha256').update(bytes).digest('hex')).toBe(first.digest);
    expect(bytes.length).toBe(first.size);
    expect(bytes.length).toBeLessThan(2000);
  });

  it('fails where a file is gone', async () => {
    const file = await writeWhole(folder, 'a.txt', 'One', 'one');
    await rm(join(folder, 'a.txt'));
    await expect(zipFiles(folder, [file], join(folder, '1.zip'))).rejects.toThrow(/ENOENT/);
  });
});

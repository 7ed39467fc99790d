import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { readCsv, plainCsv } from '../record/csv.ts';
import { matchColumns } from '../plan/listColumns.ts';
import { openSheet } from './openSheet.ts';
import { columnOf, lettersOf, readXlsx } from './readXlsx.ts';

const HEADER = ['closure', 'tray', 'fiber A'];

/** A workbook as a general-purpose library writes it. */
async function workbook(
  fill: (sheet: ExcelJS.Worksheet, book: ExcelJS.Workbook) => void,
): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  fill(book.addWorksheet('List'), book);
  return new Uint8Array(await book.xlsx.writeBuffer());
}
const withRows = (...rows: unknown[][]) =>
  workbook((sheet) => [HEADER, ...rows].forEach((row) => sheet.addRow(row)));

async function read(bytes: Uint8Array | Promise<Uint8Array>) {
  const table = readXlsx(await bytes);
  if (!table.ok) throw new Error(table.error.code);
  return table.value;
}

describe('a workbook', () => {
  it('reads as the table it is, figures and texts alike', async () => {
    const table = await read(
      withRows(['Mill', 1, '9/4'], ['Mill', 2, 'tube 9 brown'], ['Größe ✓', 3.5, 0.1 + 0.2]),
    );
    expect(table.header).toEqual(HEADER);
    expect(table.rows).toEqual([
      ['Mill', '1', '9/4'],
      ['Mill', '2', 'tube 9 brown'],
      ['Größe ✓', '3.5', '0.3'],
    ]);
    expect(table.odd).toEqual([]);
    expect(table.notes).toEqual([]);
  });

  it('agrees with another reader on any text', async () => {
    const anyCell = fc.string({
      unit: fc.constantFrom('a', 'é', '漢', '<', '&', '"', ' ', '1'),
      minLength: 1,
      maxLength: 8,
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(anyCell, anyCell, anyCell), { minLength: 1, maxLength: 5 }),
        async (rows) => {
          const filled = rows.map((row) => row.map((cell) => `x${cell}x`));
          expect((await read(withRows(...filled))).rows).toEqual(filled);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('keeps empty cells and rows in their places', async () => {
    const table = await read(
      workbook((sheet) => {
        sheet.getRow(1).values = HEADER;
        sheet.getCell('C3').value = 7;
        sheet.getCell('A5').value = 'last';
      }),
    );
    expect(table.rows).toEqual([
      ['', '', ''],
      ['', '', '7'],
      ['', '', ''],
      ['last', '', ''],
    ]);
  });

  it('joins texts that are set apart by their font', async () => {
    const rich = { richText: [{ text: 'tube 9 ' }, { text: 'brown', font: { bold: true } }] };
    expect((await read(withRows(['Mill', 1, rich]))).rows[0]![2]).toBe('tube 9 brown');
  });

  it('names dates that a sheet made of places, by their cells', async () => {
    const table = await read(withRows(['Mill', 1, new Date(Date.UTC(2026, 8, 4))]));
    expect(table.odd).toEqual([
      expect.objectContaining({ row: 2, column: 2, value: '2026-09-04' }),
    ]);
    expect(table.odd[0]!.message).toEqual({
      code: 'dateValue',
      cell: 'C2',
      shown: '2026-09-04',
    });
  });

  it('does not take a figure with a unit for a date', async () => {
    const table = await read(
      workbook((sheet) => {
        sheet.addRow(HEADER);
        sheet.addRow(['Mill', 1, 12]);
        sheet.getCell('C2').numFmt = '0 "days"';
        sheet.getCell('B2').numFmt = '[Red]0.00';
      }),
    );
    expect(table.odd).toEqual([]);
    expect(table.rows[0]).toEqual(['Mill', '1', '12']);
  });

  it('takes the last value of formulas and says so; one without a value is named', async () => {
    const table = await read(
      withRows(['Mill', { formula: 'B1+1', result: 4 }, 1], ['Mill', { formula: 'B9' }, 2]),
    );
    expect(table.rows[0]![1]).toBe('4');
    expect(table.notes).toEqual([{ code: 'formulas', count: 2, cell: 'B2' }]);
    expect(table.odd[0]!.message).toEqual({ code: 'formulaWithoutValue', cell: 'B3' });
  });

  it('names merged cells and errors', async () => {
    const table = await read(
      workbook((sheet) => {
        sheet.addRow(HEADER);
        sheet.addRow(['Mill', 1, 1]);
        sheet.addRow(['', 2, { error: '#REF!' }]);
        sheet.mergeCells('A2:A3');
      }),
    );
    expect(table.odd.map(({ message }) => message)).toEqual([
      { code: 'merged', cell: 'A2:A3' },
      { code: 'errorValue', cell: 'C3', shown: '#REF!' },
    ]);
  });

  it('reads the first of several sheets, or the one that is named', async () => {
    const bytes = await workbook((sheet, book) => {
      sheet.addRow(HEADER);
      sheet.addRow(['Mill', 1, 1]);
      book.addWorksheet('Other').addRow(['nothing']);
    });
    expect(await read(bytes)).toMatchObject({ sheet: 'List', sheets: ['List', 'Other'] });
    expect(readXlsx(bytes, undefined, 'Other')).toMatchObject({ value: { header: ['nothing'] } });
    expect(readXlsx(bytes, undefined, 'Third')).toMatchObject({
      error: { code: 'noSuchSheet', sheet: 'Third' },
    });
  });

  it('passes over a cover sheet, and over a merged heading above the titles', async () => {
    const bytes = await workbook((cover, book) => {
      cover.addRow(['Ring north, job 12']);
      const list = book.addWorksheet('Splices');
      list.addRow(['Ring north', 'as of May']);
      list.mergeCells('B1:C1');
      list.addRow([]);
      list.addRow(HEADER);
      list.addRow(['Mill', 1, '9/4']);
    });
    const opened = openSheet(bytes, matchColumns);
    expect(opened).toMatchObject({
      value: {
        list: {
          header: HEADER,
          rows: [['Mill', '1', '9/4']],
          titlesRow: 3,
          odd: [],
          notes: [{ code: 'sheetOf', sheet: 'Splices', count: 2 }],
        },
      },
    });
    expect(openSheet(bytes, matchColumns, undefined, 'List')).toMatchObject({
      value: { list: { header: ['Ring north, job 12'], rows: [] } },
    });
  });

  it('goes on as CSV with the same cells', async () => {
    const table = await read(withRows(['Mill; "east"', 1, '=1+1'], ['-x', 2, '@y']));
    const back = readCsv(plainCsv(table));
    expect(back).toEqual({ ok: true, value: { header: table.header, rows: table.rows } });
  });

  it('tells how far it is, and reads 20 000 rows', async () => {
    const bytes = await workbook((sheet) => {
      sheet.addRow(HEADER);
      for (let row = 1; row <= 20_000; row++) sheet.addRow(['Mill', row, `tube ${row % 12} brown`]);
    });
    const told: number[] = [];
    const table = readXlsx(bytes, (rows) => told.push(rows));
    expect(table.ok && table.value.rows).toHaveLength(20_000);
    expect(told.length).toBeGreaterThan(2);
    expect(told).toEqual([...told].sort((a, b) => a - b));
  });
});

describe('what is no workbook', () => {
  it.each([
    ['no zip', strToU8('closure,tray'), 'noWorkbook'],
    ['another zip', zipSync({ 'a.txt': strToU8('x') }), 'otherZip'],
    ['an OpenDocument sheet', zipSync({ 'content.xml': strToU8('<x/>') }), 'openDocument'],
    [
      'a workbook without its sheet',
      zipSync({
        'xl/workbook.xml': strToU8(
          '<workbook><sheets><sheet name="A" r:id="rId1"/></sheets></workbook>',
        ),
        'xl/_rels/workbook.xml.rels': strToU8(
          '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/></Relationships>',
        ),
      }),
      'sheetMissing',
    ],
    [
      'broken XML',
      zipSync({
        'xl/workbook.xml': strToU8(
          '<workbook><sheets><sheet name="A" r:id="rId1"/></sheets></workbook>',
        ),
        'xl/_rels/workbook.xml.rels': strToU8(
          '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/></Relationships>',
        ),
        'xl/worksheets/sheet1.xml': strToU8('<worksheet><sheetData><row></c></row>'),
      }),
      'broken',
    ],
  ])('is refused: %s', (_, bytes, code) =>
    expect(readXlsx(bytes)).toMatchObject({ ok: false, error: { code } }),
  );

  it('never throws, whatever byte is changed', async () => {
    const whole = await withRows(['Mill', 1, '9/4'], ['Mill', 2, 'x']);
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.nat(255), (at, byte) => {
        const bytes = whole.slice();
        bytes[at] = byte;
        readXlsx(bytes);
      }),
      { numRuns: 400 },
    );
  });
});

test('columns have their letters', () => {
  expect(['A1', 'Z9', 'AA3', 'AB12', 'XFD1'].map(columnOf)).toEqual([0, 25, 26, 27, 16_383]);
  fc.assert(fc.property(fc.nat(16_383), (column) => columnOf(`${lettersOf(column)}7`) === column));
});

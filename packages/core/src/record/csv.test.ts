import fc from 'fast-check';
import { decodeText, encodingNotes, plainCsv, readCsv, writeCsv } from './csv.ts';

const bytes = (...values: number[]) => Uint8Array.from(values);
const utf8 = (text: string) => new TextEncoder().encode(text);

describe('a file that is chosen', () => {
  it.each([
    ['png', bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a)],
    ['jpeg', bytes(0xff, 0xd8, 0xff, 0xe0)],
    ['pdf', utf8('%PDF-1.7')],
    ['zip', bytes(0x50, 0x4b, 0x03, 0x04)],
  ])('is told to be %s, not a CSV', (file, content) =>
    expect(decodeText(content)).toEqual({ ok: false, error: { code: 'otherFile', file } }),
  );

  it('may have a byte order mark, in UTF-8 or UTF-16', () => {
    expect(decodeText(utf8('\uFEFFa,b'))).toMatchObject({ value: { text: 'a,b' } });
    expect(decodeText(bytes(0xff, 0xfe, 0x61, 0, 0x2c, 0, 0x62, 0))).toEqual({
      ok: true,
      value: { text: 'a,b', encoding: 'utf-16le' },
    });
    expect(decodeText(bytes(0, 0x61, 0, 0x2c, 0, 0x62))).toEqual({
      ok: true,
      value: { text: 'a,b', encoding: 'utf-16be' },
    });
  });

  // Windows-1252 by the WHATWG Encoding Standard: é is E9, ñ F1, a curly quote 92, the euro 80.
  it('of an older program is read as Windows-1252, and that is said', () => {
    const read = decodeText(bytes(0x43, 0x61, 0x66, 0xe9, 0x2c, 0xf1, 0x92, 0x80));
    expect(read).toEqual({
      ok: true,
      value: { text: 'Café,ñ\u2019€', encoding: 'windows-1252' },
    });
    expect(read.ok && encodingNotes(read.value)).toEqual([{ code: 'windows1252' }]);
    const plain = decodeText(utf8('Café,ñ'));
    expect(plain.ok && encodingNotes(plain.value)).toEqual([]);
  });

  it('is refused where it is no text', () => {
    expect(decodeText(bytes(0x61, 0x00, 0x62)).ok).toBe(false);
    expect(decodeText(bytes(0x61, 0x81, 0x62)).ok).toBe(false);
    expect(decodeText(bytes(0x61, 0xe9, 0x01, 0x62)).ok).toBe(false);
  });
});

describe('CSV text', () => {
  it.each([
    ['commas', 'a,b\n1,2'],
    ['semicolons', 'a;b\n1;2'],
    ['tabs', 'a\tb\n1\t2'],
    ['CRLF', 'a,b\r\n1,2\r\n'],
    ['a byte order mark', '\uFEFFa,b\n1,2'],
    ['blank rows at the end', 'a,b\n1,2\n\n,\n'],
    ['quotes', '"a","b"\n"1","2"'],
  ])('is read with %s', (_, text) => {
    expect(readCsv(text)).toEqual({ ok: true, value: { header: ['a', 'b'], rows: [['1', '2']] } });
  });

  it('takes quoted commas, quotes and line ends as they are', () => {
    const read = readCsv('a,b\r\n"1, 2","say ""x""\r\nagain"\r\n');
    expect(read.ok && read.value.rows).toEqual([['1, 2', 'say "x"\r\nagain']]);
  });

  it.each([
    ['', { code: 'empty' }],
    ['a,b\n', { code: 'noRows' }],
    ['only one column\nx', { code: 'oneColumn' }],
    ['a,b\n"1,2', { code: 'quotes', row: 2 }],
  ])('%p is refused: %j', (text, error) => expect(readCsv(text)).toEqual({ ok: false, error }));

  it('is read back as it was written', () => {
    const cell = fc
      .string()
      .filter((text) => !/^[\t\r\n]|^\s*[=@]|^\s*[+-](?!\d*\.?\d+$)/.test(text));
    const row = fc
      .array(cell, { minLength: 3, maxLength: 3 })
      .filter((cells) => cells.some((text) => text.trim() !== ''));
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (rows) => {
        const read = readCsv(writeCsv(['x', 'y', 'z'], rows));
        expect(read.ok && read.value.rows).toEqual(rows);
      }),
    );
  });

  // Spreadsheets trim blanks and take signs of full width for plain ones (common practice, no source).
  it.each([' =1+1', '\u00a0@SUM(A1)', '\n=1', '＝1+1', '＠x', '  -2+3'])(
    'leaves %p as text',
    (cell) => {
      const read = readCsv(writeCsv(['a', 'b'], [[cell, 'x']]));
      expect(read.ok && read.value.rows[0]![0]).toBe(`'${cell}`);
    },
  );

  it('leaves no cell that a spreadsheet would run, and leaves negative figures alone', () => {
    const cells = ['=1+1', '+1+1', '-2+3', '@SUM(A1)', '+cmd', '-x', '-0.05', '+7', '-.5', -3];
    const read = readCsv(
      writeCsv(
        ['a', 'b'],
        cells.map((cell) => [cell, '']),
      ),
    );
    expect(read.ok && read.value.rows.map(([cell]) => cell)).toEqual([
      "'=1+1",
      "'+1+1",
      "'-2+3",
      "'@SUM(A1)",
      "'+cmd",
      "'-x",
      '-0.05',
      '+7',
      '-.5',
      '-3',
    ]);
  });
});

test('a table under a heading of one cell goes on with all its columns', () => {
  const table = {
    header: ['Job 12'],
    rows: [['closure', 'tray'], ['Weir', '1'], [''], ['Lock', '2']],
  };
  expect(readCsv(plainCsv(table))).toEqual({ ok: true, value: table });
});

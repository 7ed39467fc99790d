import { matchCableColumns, readCableList } from './cableList.ts';

const read = (header: string[], ...rows: string[][]) =>
  readCableList({ header, rows, titlesRow: 1 }, matchCableColumns(header), new Set(['Old']));
const FULL = ['Cable', 'Type', 'Fibers', 'Tubes', 'Fibers per tube'];

describe('a cable list', () => {
  it('gives make-ups of what each row says', () => {
    const { cables, problems } = read(
      FULL,
      ['A', 'loose tube', '144', '', ''],
      ['B', '', '96', '8', ''],
      ['C', 'ribbon', '288', '', ''],
      ['D', 'drop', '4', '', ''],
      ['E', 'grouped tube', '144', '', ''],
      ['F', 'loose', '', '6', '6'],
    );
    expect(problems).toEqual([]);
    expect(cables.map(({ makeUp }) => makeUp)).toEqual([
      { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
      { kind: 'loose-tube', tubes: 8, fibersPerTube: 12 },
      { kind: 'ribbon', ribbons: 24 },
      { kind: 'drop', fibers: 4 },
      { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
      { kind: 'loose-tube', tubes: 6, fibersPerTube: 6 },
    ]);
  });

  it('needs no more than names and counts', () => {
    expect(read(['name', 'fibre count'], ['A', '12']).cables).toEqual([
      { name: 'A', makeUp: { kind: 'loose-tube', tubes: 1, fibersPerTube: 12 } },
    ]);
  });

  it.each([
    [['', '', '12', '', ''], 'Cable', { code: 'invalid' }],
    [['Old', '', '12', '', ''], 'Cable', { code: 'inProject', name: 'Old' }],
    [['A', 'rope', '12', '', ''], 'Type', { code: 'noKind' }],
    [['A', '', '12.5', '', ''], 'Fibers', { code: 'noCount' }],
    [['A', '', '-3', '', ''], 'Fibers', { code: 'noCount' }],
    [['A', '', '100', '8', ''], 'Fibers', { code: 'notTubesOf', tubes: 8, perTube: 12.5 }],
    [['A', '', '288', '12', '12'], 'Fibers', { code: 'countsDisagree', product: 144 }],
    [['A', 'ribbon', '288', '12', '12'], 'Fibers', { code: 'countsDisagree', product: 144 }],
    [['A', 'grouped tube', '288', '6', '24'], 'Fibers', { code: 'countsDisagree', perTube: 24 }],
    [['A', 'ribbon', '288', '7', ''], 'Fibers', { code: 'ribbonsUneven', ribbons: 24, units: 7 }],
    [['A', 'ribbon', '100', '', ''], 'Fibers', { code: 'notRibbons', fibers: 100 }],
    [['A', 'drop', '', '', ''], 'Fibers', { code: 'dropNeedsFibers' }],
    [['A', '', '', '', ''], 'Fibers', { code: 'cableNeedsFibers' }],
    [['A'.repeat(41), '', '12', '', ''], 'Cable', { code: 'invalid' }],
  ])('names the place of what is wrong: %j', (row, column, message) => {
    const { cables, problems } = read(FULL, row);
    expect(cables).toEqual([]);
    expect(problems).toEqual([expect.objectContaining({ row: 2, column })]);
    expect(problems[0]!.message).toMatchObject(message);
  });

  it('finds a name twice, and a column that is missing', () => {
    expect(
      read(FULL, ['A', '', '12', '', ''], ['A', '', '24', '', '']).problems[0]!.message,
    ).toEqual({ code: 'listedTwice', name: 'A', row: 2 });
    expect(read(['fibers', 'x'], ['12', '']).problems[0]!.message).toEqual({
      code: 'columnMissing',
      title: 'cable',
    });
    expect(read(['cable', 'x'], ['A', '']).problems[0]!.message).toEqual({
      code: 'columnMissing',
      title: 'fibers',
    });
  });
});

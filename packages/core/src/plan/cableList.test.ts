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
    [['', '', '12', '', ''], 'Cable', /Name the cable/],
    [['Old', '', '12', '', ''], 'Cable', /has a cable “Old” already/],
    [['A', 'rope', '12', '', ''], 'Type', /loose tube, grouped tube, ribbon or drop/],
    [['A', '', '12.5', '', ''], 'Fibers', /whole number from 1/],
    [['A', '', '-3', '', ''], 'Fibers', /whole number from 1/],
    [['A', '', '100', '8', ''], 'Fibers', /100 fibers are not 8 tubes of 12\.5/],
    [['A', '', '288', '12', '12'], 'Fibers', /^288 fibers, 12 tubes, 12 a tube: 12 x 12 is 144\./],
    [['A', 'ribbon', '288', '12', '12'], 'Fibers', /12 x 12 is 144/],
    [['A', 'grouped tube', '288', '6', '24'], 'Fibers', /6 x 24 is 144/],
    [['A', 'ribbon', '288', '7', ''], 'Fibers', /24 ribbons of 12, which do not fill 7/],
    [['A', 'ribbon', '100', '', ''], 'Fibers', /no whole number of ribbons/],
    [['A', 'drop', '', '', ''], 'Fibers', /needs its number of fibers/],
    [['A', '', '', '', ''], 'Fibers', /needs its fibers or its tubes/],
    [['A'.repeat(41), '', '12', '', ''], 'Cable', /40 characters/],
  ])('names the place of what is wrong: %j', (row, column, message) => {
    const { cables, problems } = read(FULL, row);
    expect(cables).toEqual([]);
    expect(problems).toEqual([expect.objectContaining({ row: 2, column })]);
    expect(problems[0]!.message).toMatch(message);
  });

  it('finds a name twice, and a column that is missing', () => {
    expect(read(FULL, ['A', '', '12', '', ''], ['A', '', '24', '', '']).problems[0]!.message).toBe(
      '“A” stands in row 2 already.',
    );
    expect(read(['fibers', 'x'], ['12', '']).problems[0]!.message).toMatch(
      /Which column holds “cable”/,
    );
    expect(read(['cable', 'x'], ['A', '']).problems[0]!.message).toMatch(
      /Which column holds “fibers”/,
    );
  });
});

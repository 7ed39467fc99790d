import { type Table, readCsv, writeCsv } from '../record/csv.ts';
import { startAtTitles } from '../record/titles.ts';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { matchColumns } from './listColumns.ts';
import { cablesOfList, proposeMakeUp } from './proposeMakeUp.ts';
import { NO_SAME_NAMES } from './sameNames.ts';
import { type ListCable, type ListSetting, readSpliceList } from './spliceList.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const setting: ListSetting = {
  cables: [
    { name: 'A', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme },
    { name: 'B', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme },
    { name: 'R', makeUp: { kind: 'ribbon', ribbons: 2 }, scheme },
    { name: 'Q', makeUp: { kind: 'ribbon', ribbons: 2 }, scheme },
  ],
  closures: [],
  trayCapacity: { single: 12, mass: 2 },
  method: 'single',
  sameNames: NO_SAME_NAMES,
};
const taskOf = (header: readonly string[], method: 'single' | 'mass') => ({
  match: matchColumns(header),
  method,
  scheme,
  sameNames: NO_SAME_NAMES,
});
const TITLES = 'closure,tray,slot,cable A,fiber A,cable B,fiber B,method';

function tableOf(text: string): Table {
  const read = readCsv(text);
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
}

const readList = (lines: string[], over: Partial<ListSetting> = {}, titles = TITLES) => {
  const list = startAtTitles(tableOf([titles, ...lines].join('\r\n')), matchColumns);
  return readSpliceList(list, matchColumns(list.header), { ...setting, ...over });
};

const ribbon = (slot: number, from: number, shift = 0) =>
  Array.from(
    { length: 12 },
    (_, index) => `Weir,1,${slot},R,${from + index},Q,${from + index + shift},ribbon`,
  );

describe('a splice list', () => {
  it('becomes splices, with fibers in any way they are written', () => {
    const list = readList(['Weir,1,1,A,100,B,tube 9 brown,single', 'Weir,1,2,A,9/5,B,101,Single']);
    expect(list.problems).toEqual([]);
    expect(list.splices).toMatchObject([
      {
        closure: 'Weir',
        tray: 1,
        slot: 1,
        cableA: 'A',
        fiberA: 100,
        cableB: 'B',
        fiberB: 100,
        method: 'single',
      },
      { slot: 2, fiberA: 101, fiberB: 101 },
    ]);
    expect([...list.newTrays]).toEqual([['Weir', [{ number: 1, single: 12, mass: 2 }]]]);
    expect(list.cables).toEqual(['A', 'B']);
  });

  it('a range in a cell stands for its fibers, a slot each from the one that is named', () => {
    const list = readList([
      'Weir,1,1,A,7-12,B,tube 2 1-6,single',
      '',
      'Weir,2,1,R,1-12,Q,13–24,ribbon',
    ]);
    expect(list.problems).toEqual([]);
    expect(list.splices).toHaveLength(18);
    expect(list.splices[5]).toMatchObject({ slot: 6, fiberA: 12, fiberB: 18 });
    expect(list.splices[6]).toMatchObject({ tray: 2, slot: 1, fiberA: 1, fiberB: 13 });
    expect(new Set(list.splices.slice(6).map(({ slot }) => slot))).toEqual(new Set([1]));
  });

  it('ranges that are not equally long are refused with what would be right', () => {
    const { problems, splices } = readList(['Weir,1,1,A,1-6,B,1-5,single']);
    expect(splices).toEqual([]);
    expect(problems[0]).toMatchObject({
      row: 2,
      message: { code: 'unequal', fibersA: 6, cableA: 'A', fibersB: 5, cableB: 'B' },
    });
  });

  it('keeps columns it has no place for', () => {
    const list = readList(['Weir,1,1,A,1,B,1,single,north side,7'], {}, `${TITLES},remark,`);
    expect(list.splices[0]?.extra).toEqual({ remark: 'north side', 'column 10': '7' });
  });

  it('puts the twelve fibers of a ribbon in one slot', () => {
    const list = readList([...ribbon(1, 1), ...ribbon(2, 13)]);
    expect(list.problems).toEqual([]);
    expect(list.splices).toHaveLength(24);
  });

  it('recognises titles of other hands, each column once', () => {
    const match = matchColumns([
      'Joint',
      'Cassette',
      'Position',
      'From cable',
      'From fibre',
      'To cable',
      'To fibre',
      'Type',
    ]);
    expect(Object.values(match).filter((index) => index !== null)).toEqual([
      0, 1, 2, 3, 4, 5, 6, 7,
    ]);
    expect(matchColumns(['a', 'b']).closure).toBeNull();
  });

  it('asks for a column that is not matched', () => {
    const list = readList(
      ['Weir,1,1,A,1,B,single'],
      {},
      'closure,tray,slot,cable A,fiber A,cable B,method',
    );
    expect(list.problems).toMatchObject([{ row: 1, column: 'fiber B' }]);
  });

  it('passes over what stands above the titles, and counts rows as the sheet does', () => {
    const lines = ['Job 12', '', 'Drawn by,N. N.', TITLES, 'Weir,1,1,A,1,B,1,single'];
    expect(readList(lines, {}, 'Splices of the ring').splices).toHaveLength(1);
    const { problems } = readList(
      [...lines, 'Weir,1,2,A,200,B,2,single'],
      {},
      'Splices of the ring',
    );
    expect(problems).toMatchObject([{ row: 7, column: 'fiber A' }]);
  });

  it('a row of titles alone, or none that is known, leaves the first row the titles', () => {
    const list = (text: string) => startAtTitles(tableOf(text), matchColumns);
    expect(list('a,b\nc,d')).toMatchObject({ header: ['a', 'b'], titlesRow: 1 });
    expect(list(`a,b\n${TITLES}`)).toMatchObject({ header: ['a', 'b'], titlesRow: 1 });
    expect(list(`${TITLES}\n${TITLES}\nx,1`)).toMatchObject({ titlesRow: 1 });
  });

  describe('with the tube in a column of its own', () => {
    const TUBES = 'closure;tray;slot;cable A;tube A;fiber A;cable B;tube B;fiber B';
    it.each([
      ['2;3', '2;3', [15], [15]],
      ['brown;aqua', '4;12', [48], [48]],
      ['T4;1-3', 'BR;BL-GR', null, null],
      ['T4;1-3', 'BR;1-3', [37, 38, 39], [37, 38, 39]],
      // Counted through the cable, which only the third tube can mean.
      ['3;27', 'tube 3;green', [27], [27]],
      // Fiber 27 does not lie in the fourth tube.
      ['4;27', '4;3', null, null],
      ['4;', '4;3', null, null],
      [';40', ';4/4', [40], [40]],
    ])('%s meets %s', (a, b, left, right) => {
      const { splices, problems } = readList([`Weir;1;1;A;${a};B;${b}`], {}, TUBES);
      expect(problems.length === 0).toBe(left !== null);
      expect(splices.map(({ fiberA }) => fiberA)).toEqual(left ?? []);
      expect(splices.map(({ fiberB }) => fiberB)).toEqual(right ?? []);
    });

    it('proposes a make-up that holds the tubes', () => {
      const { header, rows } = tableOf(`${TUBES}\nWeir;1;1;X;7;3;Y;brown;1`);
      expect(cablesOfList(rows, taskOf(header, 'mass')).map(proposeMakeUp)).toEqual([
        { kind: 'ribbon', ribbons: 7 },
        // Brown is the fourth of TIA-598.
        { kind: 'ribbon', ribbons: 4 },
      ]);
    });
  });

  it('a row that does not say its method takes the one said for the list', () => {
    const rows = Array.from({ length: 12 }, (_, at) => `Weir,1,1,R,${at + 1},Q,${at + 1},`);
    const { splices, problems } = readList(rows, { method: 'mass' });
    expect(problems).toEqual([]);
    expect(new Set(splices.map(({ method }) => method))).toEqual(new Set(['mass']));
    const without = TITLES.replace(',method', '');
    expect(readList(['Weir,1,1,A,1,B,1'], {}, without).splices[0]?.method).toBe('single');
  });

  it('proposes make-ups from the highest fiber, tube or ribbon', () => {
    const lines = [
      'W,1,1,X,97,Y,tube 3 blue,single',
      'W,1,2,Z,13,Y,5/1,ribbon',
      'W,1,3,D,2,E,brown,single',
    ];
    const { header, rows } = tableOf([TITLES, ...lines].join('\n'));
    const found = cablesOfList(rows, taskOf(header, 'single'));
    expect(found).toEqual([
      { name: 'X', highest: 97, units: 0, ribbon: false },
      { name: 'Y', highest: 0, units: 5, ribbon: true },
      { name: 'Z', highest: 13, units: 0, ribbon: true },
      { name: 'D', highest: 2, units: 0, ribbon: false },
      { name: 'E', highest: 0, units: 0, ribbon: false },
    ]);
    // Tubes count by their colors too: slate is the fifth, and a mark carries on past the last.
    const colours = tableOf(`${TITLES}\nW,1,1,X,slate/blue,Y,blue tracer/red,single`);
    expect(cablesOfList(colours.rows, taskOf(header, 'single'))).toMatchObject([
      { name: 'X', units: 5 },
      { name: 'Y', units: 13 },
    ]);
    expect(found.map(proposeMakeUp)).toEqual([
      { kind: 'loose-tube', tubes: 9, fibersPerTube: 12 },
      { kind: 'ribbon', ribbons: 5 },
      { kind: 'ribbon', ribbons: 2 },
      { kind: 'drop', fibers: 12 },
      { kind: 'drop', fibers: 12 },
    ]);
  });
});

describe('a list as people write it', () => {
  const read = (titles: string, ...lines: string[]) => readList(lines, {}, titles);
  const pairsOf = ({ pairs }: ReturnType<typeof readList>) =>
    pairs.map(({ row, splice: { closure, tray, slot, cableA, fiberA, cableB, fiberB } }) => [
      row,
      `${closure} ${tray}.${slot} ${cableA}${fiberA}-${cableB}${fiberB}`,
    ]);

  it('a blank or a ditto mark below a name means the same as above, up to the next closure', () => {
    const list = read(
      TITLES,
      'Weir,1,1,A,1,B,1,single',
      ',,2,,2,,2,',
      ',2,1,do.,13,ditto,13,ditto',
      'Lock,1,1,B,1,A,25,single',
      ',,2,,2,,26,',
    );
    expect(list.problems).toEqual([]);
    expect(pairsOf(list)).toEqual([
      [2, 'Weir 1.1 A1-B1'],
      [3, 'Weir 1.2 A2-B2'],
      [4, 'Weir 2.1 A13-B13'],
      [5, 'Lock 1.1 B1-A25'],
      [6, 'Lock 1.2 B2-A26'],
    ]);
    // A new closure has trays and cables of its own.
    const next = read(TITLES, 'Weir,1,1,A,1,B,1,single', 'Lock,,2,,2,,2,');
    expect(next.problems.map(({ row, column, at }) => [row, column, at])).toEqual([
      [3, 'tray', 1],
      [3, 'cable A', 3],
      [3, 'cable B', 5],
    ]);
  });

  it('a tube goes for the fibers below it, up to the next cable', () => {
    const list = read(
      'closure;tray;slot;cable A;tube A;fiber A;cable B;tube B;fiber B',
      'Weir;1;1;A;brown;1;B;2;1',
      ';;2;;;2;;;2',
      ';;3;B;;3;A;;3',
    );
    expect(pairsOf(list)).toEqual([
      [2, 'Weir 1.1 A37-B13'],
      [3, 'Weir 1.2 A38-B14'],
      [4, 'Weir 1.3 B3-A3'],
    ]);
  });

  it('ranges of slots hold what is spliced, or the row says how many there are', () => {
    const list = read(
      TITLES,
      'Weir,tray 1,1-12,A,1-12,B,1-12,single',
      'Weir,T2,slot 1 – 2,R,1-24,Q,1-24,ribbon',
    );
    expect(list.problems).toEqual([]);
    expect(list.splices.map(({ slot }) => slot)).toEqual([
      ...Array.from({ length: 12 }, (_, index) => index + 1),
      ...Array.from({ length: 24 }, (_, index) => 1 + Math.floor(index / 12)),
    ]);
    expect(read(TITLES, 'Weir,1,1-6,A,1-12,B,1-12,single').problems).toMatchObject([
      { row: 2, at: 2, message: { code: 'slotsUnequal', slots: 6, sleeves: 12 } },
    ]);
  });

  it('passes over a second row of titles, headings, notes and totals, and says which', () => {
    const list = read(
      TITLES,
      'name,no.,no.,name,color,name,color,word',
      'Weir,,,,,,,',
      ',1,1,A,1,B,1,single',
      'Total splices,,1,,,,,',
      TITLES,
      'See the drawing for slack,,,,,,,',
      'Lock,1,1,B,1,A,25,single',
    );
    expect(list.problems).toEqual([]);
    expect(list.passed.map(({ row, why }) => [row, why])).toEqual([
      [2, 'titles'],
      [3, 'heading'],
      [5, 'total'],
      [6, 'titles'],
      [7, 'note'],
    ]);
    expect(pairsOf(list).map(([, words]) => words)).toEqual(['Weir 1.1 A1-B1', 'Lock 1.1 B1-A25']);
  });

  it('a row with a slot and cables that lacks its fiber is wrong, not passed over', () => {
    const list = read(TITLES, 'Weir,1,1,A,,B,,single');
    expect(list.passed).toEqual([]);
    expect(list.problems.map(({ column }) => column)).toEqual(['fiber A', 'fiber B']);
  });

  it('titles that stand twice are those of A first, then of B', () => {
    const list = read(
      'Closure;Tray;Slot;Cable;Tube;Fiber;Cable;Tube;Fiber;Remark;Remark',
      'Weir;1;1;A;2;1;B;3;2;left;right',
    );
    expect(list.problems).toEqual([]);
    expect(list.splices).toMatchObject([{ cableA: 'A', fiberA: 13, cableB: 'B', fiberB: 26 }]);
    expect(list.splices[0]!.extra).toEqual({ Remark: 'left', 'Remark column 11': 'right' });
  });

  it('shows the pairs it read beside the rows that are wrong', () => {
    const list = read(TITLES, 'Weir,1,1,A,1,B,1,single', 'Weir,1,2,A,2,B,999,single');
    expect([list.splices.length, list.problems.length]).toEqual([0, 1]);
    expect(pairsOf(list)).toEqual([[2, 'Weir 1.1 A1-B1']]);
  });
});

describe('names that a language has its own meaning for', () => {
  it.each(['constructor', 'toString', '__proto__', 'hasOwnProperty'])(
    '%s is a closure, a title and no method as any word is',
    (word) => {
      const titles = `${TITLES},${word}`;
      const list = readList([`${word},1,1,A,1,B,1,single,noted`], {}, titles);
      expect(list.problems).toEqual([]);
      expect(list.newTrays.get(word)).toHaveLength(1);
      expect(Object.entries(list.splices[0]!.extra)).toEqual([[word, 'noted']]);
      const odd = readList([`Weir,1,1,A,${word} 5,B,1,${word}`]);
      expect(odd.problems.map(({ column }) => column)).toEqual(['method', 'fiber A']);
    },
  );
});

describe('names that are written in two ways', () => {
  const sameNames = {
    closures: [{ written: 'weir', meant: 'Weir' }],
    cables: [{ written: 'a', meant: 'A' }],
  };

  it('are one closure and one cable once that is said', () => {
    const lines = ['Weir,1,1,A,1,B,1,single', 'weir,1,2,a,2,B,2,single'];
    expect(readList(lines).problems).toMatchObject([{ row: 3, column: 'cable A' }]);
    const { splices, closures, cables, problems } = readList(lines, { sameNames });
    expect(problems).toEqual([]);
    expect([closures, cables]).toEqual([['Weir'], ['A', 'B']]);
    expect(splices.map(({ cableA }) => cableA)).toEqual(['A', 'A']);
  });

  it('tell of one make-up, and clash with each other', () => {
    const { header, rows } = tableOf(
      `${TITLES}\nWeir,1,1,X,7,B,1,single\nWeir,1,2,x,30,B,2,single`,
    );
    const same = { closures: [], cables: [{ written: 'x', meant: 'X' }] };
    const [found] = cablesOfList(rows, { ...taskOf(header, 'single'), sameNames: same });
    expect(found).toMatchObject({ name: 'X', highest: 30 });
    const twice = ['Weir,1,1,A,1,B,1,single', 'weir,1,2,a,1,B,2,single'];
    expect(readList(twice, { sameNames }).problems).toHaveLength(1);
  });
});

describe('a bad splice list', () => {
  it.each([
    [
      'unknown colour',
      ['Weir,1,1,A,tube 9 mauve,B,1,single'],
      2,
      'fiber A',
      { code: 'fiberProblem', cable: 'A', problem: { code: 'noColour', text: 'mauve' } },
    ],
    [
      'fiber outside its cable',
      ['Weir,1,1,A,145,B,1,single'],
      2,
      'fiber A',
      { code: 'fiberProblem', problem: { code: 'fiberOutside', number: 145, most: 144 } },
    ],
    ['unknown cable', ['Weir,1,1,X,1,B,1,single'], 2, 'cable A', { code: 'noMakeUp', cable: 'X' }],
    ['no cable', ['Weir,1,1,A,1,,1,single'], 2, 'cable B', { code: 'cableMissing', side: 'B' }],
    ['no closure', [',1,1,A,1,B,1,single'], 2, 'closure', { code: 'closureMissing' }],
    [
      'a tray of words',
      ['Weir,top,1,A,1,B,1,single'],
      2,
      'tray',
      { code: 'noNumber', column: 'tray' },
    ],
    [
      'a slot of 1.5',
      ['Weir,1,1.5,A,1,B,1,single'],
      2,
      'slot',
      { code: 'noNumber', column: 'slot' },
    ],
    [
      'another method',
      ['Weir,1,1,A,1,B,1,glued'],
      2,
      'method',
      { code: 'noMethod', text: 'glued' },
    ],
    [
      'same fiber twice',
      ['Weir,1,1,A,1,B,1,single', 'Weir,1,2,A,1,B,2,single'],
      3,
      'fiber A',
      { code: 'fiberSpliced', in: { code: 'row', row: 2 } },
    ],
    [
      'same fiber on either side',
      ['Weir,1,1,A,1,B,1,single', 'Weir,1,2,B,1,A,2,single'],
      3,
      'fiber A',
      { code: 'fiberSpliced', cable: 'B', fiber: 1, in: { code: 'row', row: 2 } },
    ],
    [
      'a slot twice',
      ['Weir,1,1,A,1,B,1,single', 'Weir,1,1,A,2,B,2,single'],
      3,
      'slot',
      { code: 'slotUsed', tray: 1, slot: 1, in: { code: 'row', row: 2 } },
    ],
    [
      'a single on a ribbon’s slot',
      [...ribbon(1, 1), 'Weir,1,1,A,2,B,2,single'],
      14,
      'method',
      { code: 'otherSleeve', sleeve: 'ribbon' },
    ],
    [
      'a 13th fiber on a ribbon’s slot',
      [...ribbon(1, 1), 'Weir,1,1,R,13,Q,13,ribbon'],
      14,
      'slot',
      { code: 'ribbonFull', fibers: 12 },
    ],
  ])('%s', (_, lines, row, column, message) => {
    const list = readList(lines);
    expect(list.splices).toEqual([]);
    expect(list.problems[0]).toMatchObject({ row, column });
    expect(list.problems[0]?.message).toMatchObject(message);
  });

  it('a tray over its capacity, at the row that is too many', () => {
    const lines = Array.from(
      { length: 13 },
      (_, index) => `Weir,1,${index + 1},A,${index + 1},B,${index + 1},single`,
    );
    const list = readList(lines);
    expect(list.problems).toEqual([
      {
        row: 14,
        column: 'tray',
        at: 1,
        value: '1',
        message: { code: 'trayFull', tray: 1, room: 12, sleeve: 'single', count: 13 },
      },
    ]);
  });

  it('tells every problem of every row at once', () => {
    const list = readList([
      ',1,2,A,2,B,2,single',
      'Weir,x,y,A,999,B,mauve,glued',
      'Weir,1,1,A,1,B,1,single',
    ]);
    expect(list.problems.map(({ row, column }) => [row, column])).toEqual([
      [2, 'closure'],
      [3, 'tray'],
      [3, 'slot'],
      [3, 'method'],
      [3, 'fiber A'],
      [3, 'fiber B'],
    ]);
  });

  it('is checked against what the project has', () => {
    const there = {
      tray: 1,
      slot: 1,
      method: 'single' as const,
      cableA: 'A',
      fiberA: 1,
      legA: null,
      cableB: 'B',
      fiberB: 1,
      legB: null,
      end: null,
    };
    const closures = [
      { name: 'Weir', trays: [{ number: 1, single: 12, mass: 0 }], splices: [there] },
    ];
    const list = readList(['Weir,1,1,A,2,B,2,single', 'Weir,1,2,A,1,B,3,single'], { closures });
    expect(list.problems).toMatchObject([
      { row: 2, message: { code: 'slotUsed', in: { code: 'project' } } },
      { row: 3, message: { code: 'fiberSpliced', in: { code: 'project' } } },
    ]);
  });

  it('may have 200 000 rows and not one more', () => {
    const row = ['Weir', '1', '1', 'A', '1', 'B', '1', 'single'];
    const header = TITLES.split(',');
    const table = { header, rows: Array<string[]>(200_001).fill(row), titlesRow: 1 };
    const list = readSpliceList(table, matchColumns(header), setting);
    expect(list.problems[0]?.message).toEqual({
      code: 'tooManyRows',
      rows: 200_001,
      most: 200_000,
    });
  });
});

describe('CSV', () => {
  it('is written as RFC 4180 has it: CRLF, doubled quotes, quoted commas', () => {
    // RFC 4180, section 2, rules 1 to 7.
    expect(
      writeCsv(
        ['a', 'b'],
        [
          ['1,5', 'say "x"'],
          ['two\nlines', null],
        ],
      ),
    ).toBe('a,b\r\n"1,5","say ""x"""\r\n"two\nlines",\r\n');
  });

  it('keeps a spreadsheet from running a cell, and leaves negative figures alone', () => {
    expect(
      writeCsv(
        ['a', 'b'],
        [
          ['=1+1', '-0.012'],
          ['@x', '+0.5'],
        ],
      ),
    ).toBe(`a,b\r\n"'=1+1",-0.012\r\n"'@x",+0.5\r\n`);
  });
});

describe('legs and ends of a list', () => {
  const known: ListCable[] = [
    { name: 'A', makeUp: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 }, scheme },
    { name: 'B', makeUp: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 }, scheme },
    {
      name: 'T1',
      makeUp: { kind: 'ports', place: 'terminal', ports: 8, connector: 'SC', polish: 'APC' },
      scheme,
    },
    { name: 'S1', makeUp: { kind: 'splitter', outputs: 4 }, scheme },
  ];
  const COLUMNS = 'closure,tray,slot,cable A,leg A,fiber A,cable B,fiber B,end'.split(',');
  const read = (...rows: string[]) =>
    readSpliceList(
      { header: COLUMNS, rows: rows.map((row) => row.split(',')), titlesRow: 1 },
      matchColumns(COLUMNS),
      { ...setting, cables: known },
    );

  test('a leg, a splitter’s input by its name or number, and ends at their port', () => {
    const { splices, problems, newTrays } = read(
      'K,1,1,A,in,1,B,1,',
      'K,1,2,A,out,1,B,2,',
      'K,1,3,A,,3,S1,in,',
      'K,0,1,A,,4,T1,port 2,mechanical',
      'K,1,4,A,,5,T1,3,pigtail',
    );
    expect(problems).toEqual([]);
    expect(splices.map(({ legA, fiberB, end }) => [legA, fiberB, end])).toEqual([
      ['in', 1, null],
      ['out', 2, null],
      [null, 5, null],
      [null, 2, 'mechanical'],
      [null, 3, 'pigtail'],
    ]);
    expect(newTrays.get('K')!.map(({ number }) => number)).toEqual([1]);
    expect(read('K,1,1,A,,3,S1,5,').splices).toMatchObject([{ fiberB: 5 }]);
  });

  test.each([
    ['K,1,1,A,left,1,B,1,', 'leg A', { code: 'noLeg', text: 'left' }],
    ['K,1,1,A,,1,T1,1,glued', 'end', { code: 'noEnd', text: 'glued' }],
    ['K,1,1,A,,1,B,1,pigtail', 'end', { code: 'endNeedsPorts', cable: 'B' }],
    ['K,1,1,A,,1,T1,1,', 'end', { code: 'portsNeedEnd', cable: 'T1' }],
    ['K,0,1,A,,1,T1,1,pigtail', 'tray', { code: 'noNumber', column: 'tray', text: '0' }],
  ])('%s is wrong at its %s', (row, column, message) =>
    expect(read(row).problems).toMatchObject([{ row: 2, column, message }]),
  );
});

import {
  directionOf,
  fiberOf,
  proposePattern,
  readName,
  settlePlace,
  directionByPlaces,
  endsKey,
} from './fileName.ts';

describe('names of trace files', () => {
  it('are read by a pattern that a person confirms', () => {
    expect(readName('{cable}{fiber}_{dir}_{nm}', 'L05_AB_1310.sor')).toEqual({
      cable: 'L',
      fiber: 5,
      direction: 'AB',
      wavelengthNm: 1310,
    });
    expect(readName('*-{fiber} {nm}', 'C:\\shots\\run7-017 1550nm.SOR')).toMatchObject({
      fiber: 17,
      wavelengthNm: 1550,
      cable: null,
    });
    expect(readName('{cable}{fiber}_{dir}_{nm}', 'notes.txt')).toBeNull();
    expect(readName('f({fiber})', 'f(12).sor')).toMatchObject({ fiber: 12 });
  });

  it.each([
    [['L01_AB_1310.sor', 'L02_AB_1550.sor', 'L12_BA_1310.sor'], '{cable}{fiber}_{dir}_{nm}'],
    [['job7-001-1310.sor', 'job7-002-1310.sor', 'job7-024-1550.sor'], 'job*-{fiber}-{nm}'],
    [['1550nm A-B 3.sor', '1550nm A-B 4.sor'], '{nm} {cable}-B {fiber}'],
    [['fwd_17_1550.sor', 'rev_17_1550.sor', 'fwd_18_1550.sor'], '{dir}_{fiber}_{nm}'],
  ])('propose their pattern: %s', (names, pattern) => {
    const found = proposePattern(names, ['L', 'A']);
    expect(found).toBe(pattern);
    for (const name of names) expect(readName(found!, name)).not.toBeNull();
  });

  it('directions that say themselves, and those that do not', () => {
    expect(['AB', 'ba', 'fwd', 'rev', 'A', 'B'].map(directionOf)).toEqual([
      'AB',
      'BA',
      'AB',
      'BA',
      'AB',
      'BA',
    ]);
    expect(['Exchange', 'east', null].map(directionOf)).toEqual([null, null, null]);
  });

  it('fibers as headers have them', () => {
    expect(['17', 'A-017', 'fiber 17', '2/5', '', '1-2-3'].map(fiberOf)).toEqual([
      17,
      17,
      17,
      5,
      null,
      null,
    ]);
  });
});

describe('where a file belongs', () => {
  const setting = {
    pattern: '{cable}{fiber}_{dir}_{nm}',
    cables: [
      { id: 'l', name: 'L', fibers: 24 },
      { id: 'm', name: 'M', fibers: 12 },
    ],
    cableId: null,
    directions: {},
    trust: null,
  };
  const header = {
    cableId: '',
    fiberId: '',
    wavelengthNm: 1310,
    from: 'Upper hut',
    to: 'Mill loft',
  };

  it('by its name, with what the header adds', () => {
    expect(settlePlace('L05_BA_1310.sor', header, setting)).toEqual({
      cableId: 'l',
      fiber: 5,
      direction: 'BA',
      wavelengthNm: 1310,
      isDisputed: false,
      problems: [],
    });
  });

  it('by its header alone, and the word a person gave the location', () => {
    const place = settlePlace(
      'x.sor',
      { cableId: 'M', fiberId: 'M-7', wavelengthNm: 1550, from: 'Mill loft', to: '' },
      { ...setting, pattern: '', directions: { 'Mill loft': 'BA' as const } },
    );
    expect(place).toMatchObject({ cableId: 'm', fiber: 7, direction: 'BA', problems: [] });
  });

  it.each([
    [
      'name and file disagree',
      'L05_AB_1310.sor',
      { ...header, fiberId: '6' },
      { code: 'disputed', what: 'fiber', byName: '5', byFile: '6' },
    ],
    [
      'another wavelength',
      'L05_AB_1550.sor',
      header,
      { code: 'disputed', what: 'wavelength', byName: '1550', byFile: '1310' },
    ],
    [
      'another cable',
      'L05_AB_1310.sor',
      { ...header, cableId: 'M' },
      { code: 'disputed', what: 'cable', byName: 'L', byFile: 'M' },
    ],
    [
      'no such fiber',
      'M20_AB_1310.sor',
      header,
      { code: 'fiberOutside', cable: 'M', fibers: 12, fiber: 20 },
    ],
    ['another name', 'what.sor', { ...header, fiberId: '3' }, { code: 'patternDoesNotFit' }],
    ['no cable', 'x05_AB_1310.sor', header, { code: 'whichCable' }],
  ])('nothing is guessed: %s', (_, name, facts, problem) => {
    const place = settlePlace(name, facts, setting);
    expect(place.problems).toContainEqual(problem);
    expect(place.isDisputed).toBe(problem.code === 'disputed');
  });

  it('a person’s word settles whom to trust', () => {
    const facts = { ...header, fiberId: '6' };
    expect(settlePlace('L05_AB_1310.sor', facts, { ...setting, trust: 'file' })).toMatchObject({
      fiber: 6,
      problems: [],
    });
  });
});

describe('from which end a file says it was shot', () => {
  const ends = ['Upper hut', 'Mill loft'] as const;

  it.each([
    ['Upper hut', 'Mill loft', 'AB'],
    ['mill-loft', 'UPPER HUT', 'BA'],
    ['', 'Upper hut', 'BA'],
    ['van', 'Mill loft', 'AB'],
    ['van', '', null],
  ])('from "%s" to "%s": %s', (from, to, direction) => {
    expect(directionByPlaces({ from, to }, ends)).toBe(direction);
  });

  it('goes before what a word of the name may mean, and is asked about where they differ', () => {
    const setting = {
      pattern: '{fiber}_{dir}',
      cables: [{ id: 'm', name: 'M', fibers: 12 }],
      cableId: 'm',
      directions: {},
      ends: { [endsKey('m', 7)]: ends },
      trust: null,
    };
    const file = { cableId: '', fiberId: '7', wavelengthNm: 1550, from: 'Mill loft', to: '' };
    expect(settlePlace('007_x.sor', file, setting)).toMatchObject({
      direction: 'BA',
      problems: [],
    });
    expect(settlePlace('007_AB.sor', file, setting)).toMatchObject({
      direction: null,
      isDisputed: true,
      problems: [{ code: 'disputed', what: 'direction', byName: 'AB', byFile: 'BA' }],
    });
    expect(settlePlace('007_AB.sor', file, { ...setting, trust: 'file' }).direction).toBe('BA');
    expect(settlePlace('007_x.sor', file, { ...setting, directions: { x: 'AB' } }).direction).toBe(
      'AB',
    );
  });
});

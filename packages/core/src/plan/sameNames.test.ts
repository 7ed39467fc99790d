import { areAlike, meantBy, proposeSameNames } from './sameNames.ts';

describe('names that are likely the same', () => {
  it.each([
    ['Toll Cottage', 'toll cottage'],
    ['Toll  cottage', 'Toll cottage'],
    ['toll-cottage', 'Toll_cottage'],
    ['Tol cottage', 'Toll cottage'],
    ['Pole 012', 'pole 12'],
    ['FEEDER', 'Feeder'],
    ['a', 'A'],
  ])('%s and %s', (one, other) => {
    expect(areAlike(one, other)).toBe(true);
    expect(areAlike(other, one)).toBe(true);
  });

  // Poles, pits and cables are commonly told apart by a number or a letter (common practice, no source).
  it.each([
    ['Pole 12', 'Pole 13'],
    ['Cable A', 'Cable B'],
    ['A', 'B'],
    ['C1', 'C11'],
    ['Pit', 'Pin'],
    ['Northgate', 'Southgate'],
    ['Mill', 'Hill 2'],
  ])('%s and %s are two', (one, other) => expect(areAlike(one, other)).toBe(false));
});

describe('what a list writes', () => {
  it('is held against what is known first, then against its own lines', () => {
    expect(proposeSameNames(['Mill', 'mill', 'Ford pit', 'Ford Pit', 'Barn'], ['MILL'])).toEqual([
      { written: 'Mill', meant: 'MILL' },
      { written: 'mill', meant: 'MILL' },
      { written: 'Ford Pit', meant: 'Ford pit' },
    ]);
    expect(proposeSameNames(['Mill', 'Ford'], ['Mill'])).toEqual([]);
  });

  it('is taken as it is meant once that is said', () => {
    const meant = meantBy([{ written: 'mill', meant: 'Mill' }]);
    expect(['mill', 'Ford', 'constructor'].map(meant)).toEqual(['Mill', 'Ford', 'constructor']);
  });
});

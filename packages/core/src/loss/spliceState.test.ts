import { scribe } from './scribe.testing.ts';
import { spliceStateOf } from './spliceState.ts';

describe('what stands of a splice', () => {
  it('nothing stands of nothing', () => {
    expect(spliceStateOf([])).toEqual({
      tries: [],
      figures: [],
      directions: [],
      inspection: { face: null, light: null },
      ruling: null,
      retired: null,
    });
  });

  it('the last try is the joint: figures of an earlier one do not count', () => {
    const s = scribe();
    const evidence = [
      s.attempt(120),
      s.oneWay('AB', 1310, 300),
      s.oneWay('BA', 1310, 100),
      s.attempt(20),
    ];
    const spliceState = spliceStateOf(evidence);
    expect(spliceState.tries).toHaveLength(2);
    expect(spliceState.figures).toEqual([
      { grade: 'estimate', wavelengthNm: null, lossHalfMdb: 40, origin: 'typed' },
    ]);
    expect(spliceState.directions).toEqual([]);
  });

  it('both directions make a two-way average, kept exact in halves', () => {
    const s = scribe();
    const spliceState = spliceStateOf([
      s.attempt(20),
      s.oneWay('AB', 1550, 313),
      s.oneWay('BA', 1550, -272),
    ]);
    expect(spliceState.figures[0]).toEqual({
      grade: 'two-way',
      wavelengthNm: 1550,
      lossHalfMdb: 41,
      origin: 'typed',
    });
    expect(spliceState.directions).toEqual([{ wavelengthNm: 1550, AB: 313, BA: -272 }]);
  });

  it('one direction is one-way, and only that', () => {
    const s = scribe();
    const spliceState = spliceStateOf([s.attempt(20), s.oneWay('BA', 1310, -200)]);
    expect(spliceState.figures[0]).toEqual({
      grade: 'one-way',
      wavelengthNm: 1310,
      lossHalfMdb: -400,
      origin: 'typed',
    });
  });

  it('directions at two wavelengths do not pair', () => {
    const s = scribe();
    const spliceState = spliceStateOf([
      s.attempt(20),
      s.oneWay('AB', 1310, 30),
      s.oneWay('BA', 1550, 40),
    ]);
    expect(spliceState.figures.map((figure) => figure.grade)).toEqual([
      'one-way',
      'one-way',
      'estimate',
    ]);
  });

  it('of several readings of a kind the last recorded counts', () => {
    const s = scribe();
    const evidence = [
      s.attempt(20),
      s.oneWay('AB', 1310, 300),
      s.oneWay('BA', 1310, 10),
      s.oneWay('AB', 1310, 50),
    ];
    expect(spliceStateOf(evidence).figures[0]).toMatchObject({ lossHalfMdb: 60 });
  });

  it('between a pair and a mean entered by hand the later counts', () => {
    const s = scribe();
    const pair = [s.attempt(20), s.oneWay('AB', 1310, 30), s.oneWay('BA', 1310, 50)];
    const mean = s.measured('two-way', 1310, 90);
    expect(spliceStateOf([...pair, mean]).figures[0]).toMatchObject({ lossHalfMdb: 180 });
    expect(spliceStateOf([pair[0]!, mean, pair[1]!, pair[2]!]).figures[0]).toMatchObject({
      lossHalfMdb: 80,
    });
  });

  it('a correction counts in place of what it corrects, and a void entry takes it back', () => {
    const s = scribe();
    const first = s.attempt(200);
    const fixed = s.correct(first, { estimateMdb: 20 });
    expect(spliceStateOf([first, fixed]).tries).toEqual([fixed]);
    expect(spliceStateOf([first, fixed]).figures[0]).toMatchObject({ lossHalfMdb: 40 });
    const gone = s.correct(fixed, { void: true });
    expect(spliceStateOf([first, fixed, gone]).tries).toEqual([]);
    const reading = s.oneWay('AB', 1310, 999);
    const back = s.correct(reading, { void: true });
    expect(spliceStateOf([reading, back]).figures).toEqual([]);
  });

  it('a correction of an early try does not make it the last', () => {
    const s = scribe();
    const first = s.attempt(120);
    const second = s.attempt(30);
    const late = s.correct(first, { estimateMdb: 130 });
    expect(
      spliceStateOf([first, second, late]).tries.map((attempt) => attempt.estimateMdb),
    ).toEqual([130, 30]);
  });

  it('taking back the last try brings the one before back into force, with its figures', () => {
    const s = scribe();
    const first = s.attempt(120);
    const reading = s.oneWay('AB', 1310, 70);
    const second = s.attempt(30);
    const undone = s.correct(second, { void: true });
    expect(spliceStateOf([first, reading, second, undone]).figures).toEqual([
      { grade: 'one-way', wavelengthNm: 1310, lossHalfMdb: 140, origin: 'typed' },
      { grade: 'estimate', wavelengthNm: null, lossHalfMdb: 240, origin: 'typed' },
    ]);
  });

  it('two people correcting the same entry: the later counts, both are kept', () => {
    const s = scribe();
    const first = s.attempt(200);
    const one = s.correct(first, { estimateMdb: 20 });
    const other = s.correct(first, { estimateMdb: 30 });
    expect(spliceStateOf([first, one, other]).tries).toEqual([other]);
  });

  it('a waiver is for the joint as it was: a new try ends it; a skip stays until reopened', () => {
    const s = scribe();
    const waived = [s.attempt(200), s.ruling('waive', 'Owner accepts.')];
    expect(spliceStateOf(waived).ruling?.kind).toBe('waive');
    expect(spliceStateOf([...waived, s.attempt(20)]).ruling).toBeNull();
    const dead = [s.ruling('dead')];
    expect(spliceStateOf(dead).ruling?.kind).toBe('dead');
    expect(spliceStateOf([...dead, s.ruling('reopen', 'Found alive.')]).ruling).toBeNull();
    const skipped = [s.ruling('skip', 'Buffer too short for now.')];
    expect(spliceStateOf([...skipped, s.attempt(20)]).ruling).toBeNull();
    const redone = [s.attempt(20), s.ruling('redo', 'Bubble in the picture.')];
    expect(spliceStateOf(redone).ruling?.kind).toBe('redo');
    expect(spliceStateOf([...redone, s.attempt(30)]).ruling).toBeNull();
  });

  it('what was removed stands as it lay, and nothing brings it back', () => {
    const s = scribe();
    const lay = [s.attempt(200), s.ruling('waive', 'Owner accepts.')];
    const cut = s.ruling('retire', 'Cut-over to D.');
    const { retired, ...stands } = spliceStateOf([...lay, cut]);
    expect(retired).toEqual(cut);
    expect({ ...stands, retired: null }).toEqual(spliceStateOf(lay));
    // A figure that comes late, from a phone without signal, belongs to it all the same.
    const late = spliceStateOf([
      ...lay,
      cut,
      s.oneWay('AB', 1550, 40),
      s.ruling('reopen', 'Slip.'),
    ]);
    expect(late.retired).toEqual(cut);
    expect(late.directions).toHaveLength(1);
  });
});

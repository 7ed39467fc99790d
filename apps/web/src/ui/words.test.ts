import { BUILT_IN_LIMITS, EMPTY_TALLY, type Tally, rollUp } from '@cordel/core';
import { groupWords, lossWords } from './words';
import { nextStepOf, stagesOf } from './stagesOf';

const row = (part: Partial<Tally>) =>
  rollUp({ ...EMPTY_TALLY, ...part }, 'closure', BUILT_IN_LIMITS[0]!);

describe('how a closure is said', () => {
  it.each([
    [{}, 'no plan yet'],
    [{ total: 12, open: 12 }, 'planned'],
    [{ total: 12, open: 5, spliced: 7 }, 'splicing'],
    [{ total: 12, open: 5, spliced: 6, failed: 1, redo: 1 }, '1 to redo'],
    [{ total: 12, spliced: 12 }, 'to be measured'],
    [{ total: 12, measured: 12 }, 'pass'],
    [{ total: 12, measured: 11, skipped: 1 }, '1 skipped'],
    [{ total: 12, measured: 11, dead: 1 }, 'pass'],
    [{ total: 12, measured: 12, figures: 12, sumHalfMdb: 9999 }, 'mean over limit'],
    [{ total: 12, accepted: 12 }, 'accepted by the lead'],
  ])('%j is %s', (tally, words) => expect(groupWords(row(tally)).words).toBe(words));

  it('names the trays whose mean is over', () => {
    const closure = {
      ...rollUp({ ...EMPTY_TALLY, total: 12, measured: 12 }, 'closure', BUILT_IN_LIMITS[0]!, 2),
      traysOver: [3, 10],
    };
    expect(groupWords(closure)).toEqual({ words: 'mean of tray 3, 10 over', color: 'accent' });
  });

  it('says losses with how they are known', () => {
    expect(lossWords(row({ total: 2 }))).toBe('no loss yet');
    expect(
      lossWords(row({ total: 2, figures: 2, sumHalfMdb: 101, maxHalfMdb: 61, weakest: 3 })),
    ).toBe('worst 0.031 · mean 0.026 dB · two-way');
    expect(
      lossWords(row({ total: 2, figures: 1, sumHalfMdb: 40, maxHalfMdb: 40, weakest: 0 })),
    ).toContain('estimates');
  });

  it('marks where the work stands', () => {
    const [to, way, done] = ['to come', 'under way', 'done'] as const;
    const none = 'not recorded';
    const states = (
      part: Partial<Tally>,
      ticked = 0,
      closing: 'to come' | 'under way' | 'done' = to,
    ) =>
      stagesOf({ ...row(part), closing }, { steps: 15, done: ticked }).map((stage) => stage.state);
    expect(states({})).toEqual([to, to, to, to, to]);
    expect(states({ total: 12, open: 12 })).toEqual([done, to, to, to, to]);
    expect(states({ total: 12, open: 12 }, 4)).toEqual([done, way, to, to, to]);
    expect(states({ total: 12, open: 12 }, 15)).toEqual([done, done, to, to, to]);
    expect(states({ total: 12, open: 6, spliced: 6 })).toEqual([done, way, way, to, to]);
    expect(states({ total: 12, spliced: 6, measured: 6 })).toEqual([done, none, done, to, way]);
    expect(states({ total: 12, spliced: 12 }, 4)[1]).toBe('partly recorded');
    expect(states({ total: 12, spliced: 12 }, 15)[1]).toBe(done);
    expect(states({ total: 12, measured: 12 }, 0, way)).toEqual([done, none, done, way, done]);
    expect(states({ total: 12, measured: 12 }, 0, done)).toEqual([done, none, done, done, done]);
  });
});

describe('the next step at a closure', () => {
  const fresh = { total: 12, done: 0, open: 12, skipped: 0, redo: 0, closing: 'to come' as const };
  const unopened = { steps: 15, done: 3 };
  const opened = { steps: 15, done: 15 };
  test.each([
    ['nothing is planned', { ...fresh, total: 0, open: 0 }, unopened, 'plan'],
    ['no cable is described', fresh, { steps: 0, done: 0 }, 'open'],
    ['cables are not open yet', fresh, unopened, 'open'],
    ['cables are open', fresh, opened, 'splice'],
    ['it was spliced before a step was ticked', { ...fresh, done: 4, open: 8 }, unopened, 'splice'],
    ['one was skipped', { ...fresh, done: 11, open: 0, skipped: 1 }, opened, 'splice'],
    ['one is to redo', { ...fresh, done: 12, open: 0, redo: 1 }, opened, 'redo'],
    ['all are made', { ...fresh, done: 12, open: 0 }, opened, 'close'],
    ['it is closed', { ...fresh, done: 12, open: 0, closing: 'done' as const }, opened, 'measure'],
  ])('%s', (_, row, opening, step) => expect(nextStepOf(row, opening)).toBe(step));
});

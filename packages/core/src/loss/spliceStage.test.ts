import { BUILT_IN_LIMITS } from './profiles.ts';
import { triesMessage } from './reasons.ts';
import { type Scribe, scribe } from './scribe.testing.ts';
import { isMade, spliceStage, tryCount } from './spliceStage.ts';
import { spliceStateOf } from './spliceState.ts';
import { judgeSplice } from './verdict.ts';
import type { Evidence } from '../record/evidence.ts';

const strict = BUILT_IN_LIMITS[0]!;
const stateOf = (write: (s: Scribe) => Evidence[]) =>
  spliceStage(judgeSplice(spliceStateOf(write(scribe())), { method: 'single', end: null }, strict));
const measured = (s: Scribe, loss: number) => [
  s.measured('two-way', 1310, loss),
  s.measured('two-way', 1550, loss),
];

describe('the state of a splice', () => {
  it.each<[string, (s: Scribe) => Evidence[], string]>([
    ['nothing recorded', () => [], 'open'],
    ['put off', (s) => [s.ruling('skip', 'Too short for now.')], 'skipped'],
    ['called dead', (s) => [s.ruling('dead')], 'dead'],
    ['called dead, found alive', (s) => [s.ruling('dead'), s.ruling('reopen', 'Alive.')], 'open'],
    ['made', (s) => [s.attempt(20)], 'spliced'],
    ['made over the redo line', (s) => [s.attempt(400)], 'redo'],
    ['made well and sent back', (s) => [s.attempt(20), s.ruling('redo', 'Fat splice.')], 'redo'],
    ['made again after it', (s) => [s.attempt(20), s.ruling('redo'), s.attempt(20)], 'spliced'],
    ['measured within the limit', (s) => [s.attempt(20), ...measured(s, 50)], 'measured'],
    ['measured over the limit', (s) => [s.attempt(20), ...measured(s, 300)], 'redo'],
    [
      'accepted by the lead',
      (s) => [s.attempt(20), ...measured(s, 300), s.ruling('waive', 'Owner accepts.')],
      'accepted',
    ],
    ['put off after a try', (s) => [s.attempt(400), s.ruling('skip', 'Tomorrow.')], 'skipped'],
  ])('%s', (_name, write, state) => expect(stateOf(write)).toBe(state));

  it('is made only where the splice lies there', () => {
    expect(isMade({ verdict: 'provisional', redo: false })).toBe(true);
    expect(isMade({ verdict: 'provisional', redo: true })).toBe(false);
    expect(isMade({ verdict: 'dead', redo: false })).toBe(false);
    expect(isMade({ verdict: 'skipped', redo: false })).toBe(false);
  });
});

describe('the tries of a joint', () => {
  it('are counted against those allowed, never past them as if they were', () => {
    expect(tryCount(2, 3)).toEqual({ used: 2, most: 3, usedUp: false });
    expect(triesMessage(2, 3)).toEqual({ code: 'tries', used: 2, most: 3 });
    expect(triesMessage(3, 3)).toEqual({ code: 'triesUsedUp', used: 3, most: 3 });
    expect(triesMessage(4, 3)).toEqual({ code: 'triesPast', used: 4, most: 3 });
  });
});

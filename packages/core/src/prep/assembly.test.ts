import fc from 'fast-check';
import type { Assembly, AssemblyChange, CableEntry } from '../record/hardware.ts';
import { changeAssembly, emptyAssembly, enteringCable } from './assembly.ts';

const entry = (id: string): CableEntry => enteringCable(id, `cable ${id}`);
const after = (changes: readonly AssemblyChange[], from = emptyAssembly('k')): Assembly =>
  changes.reduce(changeAssembly, from);
const two = after([
  { kind: 'hardware', hardwareId: 'dome' },
  { kind: 'add', entry: entry('a') },
  { kind: 'add', entry: entry('b') },
]);
const signed = {
  by: 'A. Reed',
  at: '2026-05-04T20:15:00.000Z',
  answers: { detector: 'dark' },
  photos: [],
  override: null,
};
const ticked = (step: string) => ({ step, ...signed });
const tick = (entryId: string, step: string, done = true): AssemblyChange => ({
  kind: 'tick',
  entryId,
  done,
  ...ticked(step),
});

test('ticks of two people stand side by side', () => {
  const both = after([tick('a', 'mark'), tick('b', 'seal'), tick('a', 'seal')], two);
  expect(both.entries.map(({ done }) => done)).toEqual([
    [ticked('mark'), ticked('seal')],
    [ticked('seal')],
  ]);
  expect(after([tick('a', 'mark', false)], both).entries[0]!.done).toEqual([ticked('seal')]);
});

test('a change of one cable leaves the others and its own ticks alone', () => {
  const part = { diameter: 145, port: 'Oval', portOut: 'Round 1' };
  const changed = after([tick('a', 'mark'), { kind: 'enter', entryId: 'a', part }], two);
  expect(changed.entries).toEqual([{ ...entry('a'), ...part, done: [ticked('mark')] }, entry('b')]);
});

test('a cable that is taken out is gone, and what is said of it later changes nothing', () => {
  const one = after([{ kind: 'remove', entryId: 'a' }], two);
  expect(one.entries).toEqual([entry('b')]);
  expect(after([tick('a', 'mark')], one)).toEqual(one);
});

test('other hardware has other ports: those that were chosen are forgotten', () => {
  const chosen = after(
    [{ kind: 'enter', entryId: 'a', part: { port: 'Oval', portOut: 'Oval' } }],
    two,
  );
  expect(after([{ kind: 'hardware', hardwareId: 'dome' }], chosen)).toEqual(chosen);
  const other = after([{ kind: 'hardware', hardwareId: 'gland' }], chosen);
  expect(other.entries.map(({ port, portOut }) => [port, portOut])).toEqual([
    [null, null],
    [null, null],
  ]);
});

const anyChange = fc.oneof(
  fc.record({ kind: fc.constant('reach' as const), reach: fc.nat(200_000) }),
  fc.record({
    kind: fc.constant('tick' as const),
    entryId: fc.constantFrom('a', 'b', 'c'),
    step: fc.constantFrom('mark', 'seal', 'ring'),
    done: fc.boolean(),
    by: fc.constantFrom(null, 'A. Reed', 'M.'),
    at: fc.constantFrom(null, '2026-05-04T20:15:00.000Z'),
    answers: fc.constantFrom<Record<string, string>[]>({}, { detector: 'dark' }),
    photos: fc.constant<string[]>([]),
    override: fc.constantFrom('lamp out of reach', null),
  }),
  fc.record({ kind: fc.constant('remove' as const), entryId: fc.constantFrom('a', 'b') }),
  fc.record({ kind: fc.constant('add' as const), entry: fc.constantFrom('a', 'c').map(entry) }),
);

test('the same change made twice is the same as once', () => {
  fc.assert(
    fc.property(fc.array(anyChange, { maxLength: 8 }), anyChange, (before, change) => {
      const from = after(before, two);
      const once = changeAssembly(from, change);
      expect(changeAssembly(once, change)).toEqual(once);
    }),
  );
});

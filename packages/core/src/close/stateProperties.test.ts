import fc from 'fast-check';
import { BUBBLES_SEEN, type ClosingEntry } from '../record/closing.ts';
import { closingEntry, closureView, roundOf, said, signedBy, visited } from './closure.testing.ts';
import { entriesToSign } from './content.ts';
import { closingPoints } from './points.ts';
import { underPressure } from './pressureTest.ts';
import { closingState, nextBolt } from './state.ts';
import { visitsOf } from './visits.ts';

const view = closureView();
const points = closingPoints(view);
const round = roundOf();

const anyEntry: fc.Arbitrary<ClosingEntry> = fc.oneof(
  fc
    .tuple(
      fc.constantFrom(...points.map(({ key }) => key), 'pressure'),
      fc.constantFrom('good', 'bad', 'waived'),
    )
    .map(([key, verdict]) => said(key, verdict as 'good', { why: 'owner' })),
  fc.constant(visited('mend', 'high tray')),
  fc.constant(round),
  fc
    .tuple(fc.subarray(['Oval', 'Clamp ring'], { minLength: 1 }), fc.constantFrom(...BUBBLES_SEEN))
    .map(([places, seen]) => closingEntry('bubbles', { roundId: round.id, places, seen })),
  fc.constant(closingEntry('release', { roundId: round.id, before: 'leaving' })),
  fc.integer({ min: 30_000, max: 35_000 }).map((gaugePa) =>
    closingEntry('gauge', {
      roundId: round.id,
      gaugePa,
      temperature: 12,
      minute: null,
      origin: 'typed',
    }),
  ),
  fc.constantFrom('technician', 'lead').map((role) => signedBy(role as 'lead')),
);
const anyEntries = fc.array(anyEntry, { maxLength: 60 });
const stateOf = (entries: readonly ClosingEntry[]) =>
  closingState({
    entries,
    points,
    hardware: view.hardware,
    splices: view.splices,
    leakLimit: 100,
  });

describe('whatever was recorded, in whatever order', () => {
  it('every point has one state, and bolts go on in their order', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const { points: looked } = stateOf(entries);
        expect(looked.map(({ point }) => point.key)).toEqual(points.map(({ key }) => key));
        const next = nextBolt(looked);
        const bolts = looked.filter(({ point }) => point.group === 'bolts');
        const before = bolts.slice(
          0,
          bolts.findIndex(({ point }) => point.key === next),
        );
        if (next !== null)
          expect(before.every(({ state }) => state === 'good' || state === 'waived')).toBe(true);
        else expect(bolts.some(({ state }) => state === 'open' || state === 'bad')).toBe(false);
      }),
    );
  });

  it('nothing is ready while something is open, or while pressure is on', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const state = stateOf(entries);
        const open = state.points.some((one) => one.state === 'open' || one.state === 'bad');
        if (open || underPressure(state.rounds) || state.test === 'to do')
          expect(state.blocks).not.toEqual([]);
        else expect(state.blocks).toEqual([]);
        if (state.stage === 'ready') expect(state.blocks).toEqual([]);
        if (state.stage === 'signed')
          expect(new Set(state.signatures.map(({ role }) => role)).size).toBe(2);
      }),
    );
  });

  it('a new visit begins anew, and what is signed holds all that was before', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const again = [...entries, visited('look', 'audit')];
        const state = stateOf(again);
        expect(state.signatures).toEqual([]);
        // Of the tests before only those stay whose pressure nobody has let out.
        const released = new Set(
          entries.flatMap((entry) => (entry.kind === 'release' ? [entry.roundId] : [])),
        );
        const left = entries.filter(({ kind, id }) => kind === 'round' && !released.has(id));
        expect(state.rounds.map(({ round }) => round.id)).toEqual(left.map(({ id }) => id));
        expect(state.test).not.toBe('passed');
        expect(state.points.filter(({ entry }) => entry !== null)).toEqual([]);
        expect(entriesToSign(again)).toEqual(again);
      }),
    );
  });

  it('a signature does not change what is signed', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const started = [visited(), ...entries.filter(({ kind }) => kind !== 'visit')];
        expect(entriesToSign([...started, signedBy('lead')])).toEqual(entriesToSign(started));
      }),
    );
  });

  it('every entry belongs to one visit', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const visits = visitsOf(entries, []);
        const count = (kind: string) => entries.filter((entry) => entry.kind === kind).length;
        expect(visits.reduce((sum, visit) => sum + visit.looked, 0)).toBe(count('point'));
        expect(visits.reduce((sum, visit) => sum + visit.rounds, 0)).toBe(count('round'));
        expect(visits.filter(({ visit }) => visit !== null)).toHaveLength(count('visit'));
      }),
    );
  });
});

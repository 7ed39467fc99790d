import { scribe } from '../loss/scribe.testing.ts';
import { closingEntry, closureView, roundOf, said, signedBy, visited } from './closure.testing.ts';
import { reentryScope, visitsOf } from './visits.ts';

const at = (clock: string) => `2026-05-04T${clock}:00.000Z`;

describe('the visits of a closure', () => {
  const { attempt, oneWay } = scribe();
  const evidence = [
    { ...attempt(20), at: at('20:00'), by: 'Ann' },
    { ...oneWay('AB', 1310, 40), at: at('23:30'), by: 'Test crew' },
  ];
  const entries = [
    { ...visited(), at: at('19:00'), crew: ['Ann', 'Bo'] },
    said('tray:1', 'good', { at: at('20:30') }),
    roundOf(at('20:40')),
    { ...closingEntry('leave', { done: 'Closed and hung.' }), at: at('21:00') },
    { ...signedBy('technician'), at: at('21:05') },
    { ...visited('mend', 'tray 1 is high'), at: at('23:00'), crew: ['Cy'] },
  ];

  it('say who was there, when, and what was done', () => {
    const [first, second, ...more] = visitsOf(entries, evidence);
    expect(more).toEqual([]);
    expect(first).toMatchObject({
      from: at('19:00'),
      to: at('21:05'),
      people: ['Ann', 'Bo', 'M.'],
      spliced: 1,
      measured: 0,
      looked: 1,
      rounds: 1,
      done: ['Closed and hung.'],
    });
    expect(first!.signatures).toHaveLength(1);
    expect(first!.closing.map(({ kind }) => kind)).toEqual([
      'visit',
      'point',
      'round',
      'leave',
      'sign',
    ]);
    expect(second).toMatchObject({ people: ['Cy', 'M.', 'Test crew'], spliced: 0, measured: 1 });
    expect(second!.visit!.why).toBe('tray 1 is high');
  });

  it('say what was removed, and how long circuits were down', () => {
    const cutOver = closingEntry('cut-over', {
      sleeves: [{ fibers: [1], minutes: 5 }],
      circuits: [{ name: 'clinic', fibers: [1], weight: 1 }],
      start: at('23:00'),
    });
    const word = (state: 'down' | 'up', clock: string) =>
      closingEntry('circuit', { cutOverId: cutOver.id, circuit: 'clinic', state, at: at(clock) });
    const cut = { ...scribe().ruling('retire', 'Cut-over.'), at: at('23:20') };
    const [, second] = visitsOf(
      [...entries, { ...cutOver, at: at('23:05') }, word('down', '23:10'), word('up', '23:16')],
      [...evidence, cut],
    );
    expect(second).toMatchObject({ retired: 1, spliced: 0 });
    expect(second!.cutOvers.map(({ circuits }) => circuits[0])).toMatchObject([
      { name: 'clinic', planned: 5, minutes: 6 },
    ]);
  });

  it('begin with what was done before anybody said that they were there', () => {
    const [before, after] = visitsOf([{ ...visited(), at: at('22:00') }], evidence);
    expect(before).toMatchObject({ visit: null, spliced: 1 });
    expect(after!.visit).not.toBeNull();
  });

  it('are none where nothing happened', () => {
    expect(visitsOf([], [])).toEqual([]);
  });
});

describe('a closure that is opened again', () => {
  it('is opened for what changes, and for nothing else', () => {
    const view = closureView();
    expect(reentryScope(view)).toEqual({ trays: [], ports: [], fresh: 0, redo: 0, left: 4 });
    const drop = {
      ...view.assembly.entries[1]!,
      id: 'enters D',
      cableId: 'D',
      kind: 'drop' as const,
      diameter: 60,
      armoured: false,
    };
    const [first, , third] = view.splices;
    const splices = [
      ...view.splices.map((one) =>
        one === third ? { ...one, judged: { verdict: 'fail', redo: true } as const } : one,
      ),
      {
        splice: {
          ...first!.splice,
          id: 'new',
          tray: 3,
          slot: 1,
          cableA: 'A',
          fiberA: 9,
          cableB: 'D',
          fiberB: 1,
        },
        judged: { verdict: 'open', redo: false } as const,
        at: null,
      },
    ];
    const assembly = { ...view.assembly, entries: [...view.assembly.entries, drop] };
    expect(reentryScope(closureView({ splices, assembly }))).toEqual({
      trays: [2, 3],
      ports: ['Drop port'],
      fresh: 1,
      redo: 1,
      left: 3,
    });
  });
});

import { linkEntrySchema } from '../record/link.ts';
import { continuityList } from './continuity.ts';
import { CABLE, bothWays, newReference, seenAt, stamper } from './links.testing.ts';
import { lastReferences, linkStates } from './linkState.ts';
import { readMeter } from './meter.ts';

const stamp = stamper();
const reference = newReference(stamp, 1550);

describe('what counts of a link', () => {
  it('is reference less reading, and the last of several', () => {
    const entries = [
      reference,
      ...bothWays(stamp, 3, reference, [2500, 2600]),
      ...bothWays(stamp, 3, reference, [2400, 2610]).slice(0, 1),
    ];
    const [loss] = linkStates(entries, (_, fiber) => String(fiber)).get('3')!.losses;
    expect([loss!.AB!.lossMdb, loss!.BA!.lossMdb]).toEqual([2400, 2600]);
  });

  it('is without what was taken back', () => {
    const [one, two] = bothWays(stamp, 3, reference, [2500, 2600]);
    const back = { ...two!, ...stamp(), supersedes: two!.id, void: true, why: 'Wrong port.' };
    const entries = [reference, one!, two!, back];
    expect(entries.map((entry) => linkEntrySchema.safeParse(entry).success)).not.toContain(false);
    const [loss] = linkStates(entries, () => 'x').get('x')!.losses;
    expect(loss!.BA).toBeNull();
  });

  it('keeps a reference to what was measured by it; a new one is for what comes', () => {
    const later = newReference(stamp, 1550, { powerMdbm: -7400 });
    const entries = [reference, ...bothWays(stamp, 1, reference, [2500, 2500]), later];
    expect(linkStates(entries, () => 'x').get('x')!.losses[0]!.AB!.lossMdb).toBe(2500);
    expect(lastReferences(entries).get(1550)).toBe(later);
  });
});

describe('what a meter shows', () => {
  it.each([
    ['-9.35', 'dBm', { powerMdbm: -9350, lossMdb: null }],
    ['−9,35', 'dBm', { powerMdbm: -9350, lossMdb: null }],
    ['2.35 dB', 'dBm', { powerMdbm: null, lossMdb: 2350 }],
    ['2.35', 'dB', { powerMdbm: null, lossMdb: 2350 }],
    ['-9.35 dBm', 'dB', { powerMdbm: -9350, lossMdb: null }],
  ] as const)('%p with the meter in %s', (text, shows, value) =>
    expect(readMeter(text, shows, reference)).toEqual({ ok: true, value }),
  );

  it.each([
    ['-9.35', 'dB', 'dbmForDb'],
    ['2.35', 'dBm', 'dbForDbm'],
    ['-6.9', 'dBm', 'overReference'],
    ['-88', 'dBm', 'lossTooLarge'],
    ['12.34567', 'dB', 'tooManyDecimals'],
    ['lots', 'dB', 'noFigure'],
    ['', 'dB', 'typeFigure'],
  ] as const)('%p with the meter in %s is refused: %s', (text, shows, code) =>
    expect(readMeter(text, shows, reference)).toMatchObject({ ok: false, error: { code } }),
  );

  it('is nothing without a reference', () =>
    expect(readMeter('-9.35', 'dBm', null)).toMatchObject({ error: { code: 'noReference' } }));
});

describe('a loss as it is stored', () => {
  it.each([
    [{ powerMdbm: null, lossMdb: -10 }, 'linkLossNegative'],
    [{ powerMdbm: null, lossMdb: null }, 'powerOrLoss'],
    [{ powerMdbm: -9000, lossMdb: 2000 }, 'powerOrLoss'],
  ])('%j is refused: %s', (part, message) => {
    const entry = { ...bothWays(stamp, 1, reference, [2000, 2000])[0]!, ...part };
    expect(linkEntrySchema.safeParse(entry).error?.issues[0]).toMatchObject({ message });
  });
});

describe('the right fiber at the right port', () => {
  const list = (entries: Parameters<typeof linkStates>[0], after?: number) => {
    const states = linkStates(entries, (cableId, fiber) => (cableId === CABLE ? `${fiber}` : null));
    return continuityList([1, 2, 3, 4], (fiber) => states.get(`${fiber}`), after);
  };

  it('goes on with the next fiber that nobody has checked', () => {
    expect(list([]).next).toBe(1);
    expect(list([seenAt(stamp, 1, 'here')])).toMatchObject({ next: 2, right: 1 });
    // Who passes one over comes back to it.
    expect(list([seenAt(stamp, 1, 'here')], 2).next).toBe(3);
    const all = [1, 3, 4].map((fiber) => seenAt(stamp, fiber, 'here'));
    expect(list(all, 4).next).toBe(2);
    expect(list([...all, seenAt(stamp, 2, 'none')])).toMatchObject({ next: null, right: 3 });
  });

  it('names two fibers that are swapped', () =>
    expect(
      list([seenAt(stamp, 1, 'elsewhere', 2), seenAt(stamp, 2, 'elsewhere', 1)]).swapped,
    ).toEqual([[1, 2]]));

  it('is refused where it does not say at which other port', () =>
    expect(linkEntrySchema.safeParse(seenAt(stamp, 1, 'elsewhere')).error?.issues[0]).toMatchObject(
      {
        message: 'seenFiberWrong',
      },
    ));
});

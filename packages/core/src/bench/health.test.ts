import { bentTrays, findTrouble, healthSeries } from './health.ts';
import { seenFiber, splicerRecord } from './records.testing.ts';

const time = (index: number) =>
  new Date(Date.parse('2026-05-04T20:00:00.000Z') + index * 60_000).toISOString();
// A steady splicer's figures: small, with a pattern that repeats.
const WAVE = [0.3, 0.5, 0.4, 0.6, 0.35, 0.45];
const ribbon = (index: number, raise: (place: number) => number, angle = 1) =>
  splicerRecord({
    number: index,
    at: time(index),
    fibers: Array.from({ length: 12 }, (_, at) =>
      seenFiber(at + 1, {
        cleaveLeft: WAVE[(index + at) % 6]! * angle,
        cleaveRight: 0.2,
        estimateMdb: 10 * (1 + ((index * 7 + at * 5) % 3)) + raise(at + 1),
      }),
    ),
  });
const night = (
  raise: (index: number, place: number) => number,
  angle: (index: number) => number = () => 1,
) =>
  Array.from({ length: 60 }, (_, index) =>
    ribbon(index, (place) => raise(index, place), angle(index)),
  );
const causes = (records: ReturnType<typeof night>) =>
  findTrouble(healthSeries(records)).map(({ cause }) => cause);

describe('trouble seen early, by its likely cause', () => {
  it('finds none in a steady night', () => expect(causes(night(() => 0))).toEqual([]));

  it('names the blade where cleave angles rise', () =>
    expect(
      causes(
        night(
          () => 0,
          (index) => (index < 40 ? 1 : 2),
        ),
      ),
    ).toEqual(['blade']));

  it('names the arc where all estimates rise and cleaves do not', () =>
    expect(causes(night((index) => (index < 40 ? 0 : 50)))).toEqual(['arc']));

  it('names the holder where the edge fibers rise, a groove where one in the middle does', () => {
    const edge = (index: number, place: number) =>
      index >= 40 && (place === 1 || place === 12) ? 90 : 0;
    expect(causes(night(edge))).toEqual(['holder']);
    const middle = (index: number, place: number) => (index >= 40 && place === 5 ? 90 : 0);
    expect(causes(night(middle))).toEqual(['groove']);
  });

  it('names dirt where one figure jumps and the next would be steady', () => {
    const singles = Array.from({ length: 40 }, (_, index) =>
      splicerRecord({
        number: index,
        at: time(index),
        fibers: [
          seenFiber(1, {
            cleaveLeft: WAVE[index % 6]!,
            estimateMdb: index === 39 ? 160 : 10 * (1 + (index % 3)),
          }),
        ],
      }),
    );
    expect(causes(singles)).toEqual(['dirt']);
  });

  it('begins anew when the blade is turned', () => {
    const records = night(
      () => 0,
      (index) => (index < 40 ? 1 : 2),
    );
    const turned = {
      kind: 'blade' as const,
      id: '019da9e7-4800-7000-8000-0000000000cc',
      projectId: '019da9e7-4800-7000-8000-00000000bbbb',
      instrumentId: 'single-splicer',
      by: 'M.',
      at: time(59),
      what: 'turned' as const,
    };
    expect(findTrouble(healthSeries(records, [turned]))).toEqual([]);
  });

  it('says nothing before there is a baseline', () =>
    expect(healthSeries(night(() => 0).slice(0, 10)).every(({ chart }) => chart === null)).toBe(
      true,
    ));
});

describe('a tray that bends its fibers', () => {
  it('is named where most of its splices lose more at the long wavelength', () => {
    const losses = [1, 2, 3, 4].flatMap((fiber) => [
      { tray: 3, short: 40, long: fiber === 1 ? 45 : 90 },
      { tray: 4, short: 40, long: 45 },
    ]);
    expect(bentTrays(losses)).toEqual([
      expect.objectContaining({
        cause: 'tray bend',
        message: {
          code: 'tray bend',
          tray: 3,
          bent: 3,
          splices: 4,
          excess: { lossMdb: 50 },
        },
      }),
    ]);
  });
});

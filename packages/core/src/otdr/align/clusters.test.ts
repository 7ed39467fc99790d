import { clustersOf } from './clusters.ts';
import { reflection, splice } from './line.testing.ts';

const trace = (...events: ReturnType<typeof splice>[]) => ({ events });

describe('places where fibers show events together', () => {
  it('the middle of what they show, and how many of them do', () => {
    const [near, far, ...more] = clustersOf([
      trace(splice(1000), splice(5001)),
      trace(splice(1002), splice(4999)),
      trace(splice(998)),
      trace(splice(1001), splice(5000)),
    ]);
    expect(more).toEqual([]);
    expect(near).toMatchObject({ positionM: 1000.5, share: 1, reflects: false });
    expect(far).toMatchObject({ positionM: 5000, share: 0.75 });
  });

  it('one trace that shows two events close together is one trace', () => {
    const [only] = clustersOf([trace(splice(1000), splice(1003)), trace()]);
    expect(only).toMatchObject({ share: 0.5 });
  });

  it('reflects where most of them do; ends are no events', () => {
    const [only, ...more] = clustersOf([
      trace(reflection(500)),
      trace(reflection(501), { ...splice(9000), kind: 'end', lossDb: null, sigmaDb: null }),
      trace(splice(500)),
    ]);
    expect(only!.reflects).toBe(true);
    expect(more).toEqual([]);
  });

  it('the farther out, the farther apart they may lie: fibers are not of one length', () => {
    const at = (position: number) =>
      clustersOf([trace(splice(position)), trace(splice(position + 12))]).length;
    expect(at(1000)).toBe(2);
    expect(at(20_000)).toBe(1);
  });

  it('more of them make the place surer', () => {
    const many = Array.from({ length: 16 }, (_, index) => trace(splice(1000 + (index % 5))));
    expect(clustersOf(many)[0]!.sigmaM).toBeLessThan(
      clustersOf(many.slice(0, 3))[0]!.sigmaM + 0.01,
    );
  });
});

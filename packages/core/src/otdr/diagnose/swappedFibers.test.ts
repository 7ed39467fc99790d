import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';
import { findSwappedFibers } from './swappedFibers.ts';

/** Losses from one end at three closures, dB: what both directions have in common, and half of what they differ by. */
interface Fiber {
  joint: readonly number[];
  half: readonly number[];
}

/**
 * Twelve fibers as measured from both ends. What directions differ by comes from the fibers, and is as wide at each
 * closure; at the second, by chance, most fibers are nearly alike.
 */
const FIBERS: Fiber[] = [
  [0.04, 0.2, 0.01, -0.12, 0.05, 0.06],
  [0.03, 0.27, 0.04, -0.25, 0.03, -0.08],
  [0.05, 0.1, 0.05, -0.18, 0.04, 0.02],
  [0.02, 0.16, 0.03, -0.175, 0.06, 0.11],
  [0.04, 0.15, 0.02, -0.09, 0.03, -0.1],
  [0.06, 0.3, 0.05, -0.19, 0.04, 0.04],
  [0.03, 0.22, 0.06, -0.185, 0.05, -0.02],
  [0.04, 0.2, 0.04, -0.28, 0.03, 0.035],
  [0.05, 0.05, 0.03, -0.182, 0.02, -0.06],
  [0.02, 0.18, 0.05, -0.178, 0.06, 0.09],
  [0.03, 0.12, 0.04, -0.188, 0.05, 0.0],
  [0.04, 0.25, 0.02, -0.181, 0.04, -0.04],
].map(([a, x, b, y, c, z]) => ({ joint: [a!, b!, c!], half: [x!, y!, z!] }));

const route = (key: string): CircuitRoute => ({
  key,
  label: key,
  points: ['hut', 'ferry', 'kiln', 'osier', 'loft'].map((name) => ({
    closureId: name,
    name,
    tray: 1,
    spliceId: null,
    isFused: true,
  })),
  spans: [],
});

type Kind = `${ProofTrace['direction']} ${number}`;

/** The fibers that are told from files of some kinds, of which two may be named for each other's fiber. */
function toldFrom(
  fibers: readonly Fiber[],
  kinds: readonly Kind[],
  mixed?: { kind: Kind; fibers: readonly [number, number] },
): string[][] {
  const figures = new Map<string, TraceFigures>();
  const traces: ProofTrace[] = [];
  const numbers = fibers.map((_, index) => index + 1);
  for (const kind of kinds)
    for (const number of numbers) {
      const [one, two] = mixed?.kind === kind ? mixed.fibers : [0, 0];
      const shot = number === one ? two : number === two ? one : number;
      const { joint, half } = fibers[shot - 1]!;
      const isAhead = kind.startsWith('AB');
      const losses = joint.map((own, at) => ({
        lossDb: own + (isAhead ? 1 : -1) * half[at]!,
        sigmaDb: 0.001,
      }));
      const points = [null, ...losses, null];
      const id = `L ${number} ${kind}`;
      figures.set(id, {
        points: isAhead ? points : points.reverse(),
        unmatched: [],
        total: null,
        attenuationDbPerKm: [],
      });
      const [direction, nm] = kind.split(' ') as [ProofTrace['direction'], string];
      const wavelengthNm = Number(nm);
      traces.push({ id, name: id, circuit: `L ${number}`, direction, wavelengthNm } as ProofTrace);
    }
  const circuits = new Map(numbers.map((number) => [`L ${number}`, route(`L ${number}`)]));
  return findSwappedFibers({ traces } as unknown as AlignedTraces, circuits, figures).map(
    ({ message }) => (message.code === 'swapped' ? [message.first, message.second] : []),
  );
}

describe('files that may be named for each other’s fiber', () => {
  it('are none where fibers differ as much as fibers do, though most are alike at one closure', () =>
    expect(toldFrom(FIBERS, ['AB 1550', 'BA 1550'])).toEqual([]));

  it('are told by one wavelength against the other', () => {
    const mixed = { kind: 'AB 1310', fibers: [1, 6] } as const;
    expect(toldFrom(FIBERS, ['AB 1310', 'AB 1550'], mixed)).toEqual([['L 1', 'L 6']]);
  });

  it('are told by one direction against the other, where joints stand out from what fibers differ by', () => {
    const odd = FIBERS.map((fiber, index) => {
      if (index === 3) return { ...fiber, joint: [1.2, 0.03, 0.06] };
      return index === 9 ? { ...fiber, joint: [0.02, 0.05, 1.1] } : fiber;
    });
    const mixed = { kind: 'BA 1550', fibers: [4, 10] } as const;
    expect(toldFrom(odd, ['AB 1550', 'BA 1550'], mixed)).toEqual([['L 4', 'L 10']]);
  });
});

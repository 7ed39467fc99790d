import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { BEND, type Finding, withError } from './finding.ts';
import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';
import { type FaultLocation, faultLocation, whereIs } from './faultLocation.ts';

/** Joints at no closure, and ghosts. One that several traces of a circuit see is said once. */
export function unmatchedEventsOf(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): Finding[] {
  const list = proof.traces.flatMap((trace) => {
    const laid = proof.laid.get(trace.id)!;
    const group = proof.group(trace);
    return laid.unmatched.flatMap(({ joint, kind }, index) => {
      const place = faultLocation(joint.position - laid.shift, 2, group);
      const figure =
        figures.get(trace.id)?.unmatched[index] ??
        (joint.loss === null ? null : { loss: joint.loss, sigma: joint.sigma! });
      return place && figure ? [{ trace, joint, kind, place, figure }] : [];
    });
  });
  const findings: Finding[] = [];
  const spots = groupBy(
    list,
    ({ trace, place, kind }) =>
      `${trace.circuit} ${kind} ${place.cable} ${[place.from, place.toward].sort().join()}`,
  );
  for (const spot of spots.values()) {
    const left = [...spot];
    while (left.length > 0) {
      const first = left.shift()!;
      const same = (entry: (typeof spot)[number]) =>
        entry.place.from === first.place.from &&
        Math.abs(entry.place.sheath - first.place.sheath) <
          15 + 3 * (entry.place.sigma + first.place.sigma);
      const own = [first, ...left.filter(same)];
      own.slice(1).forEach((entry) => left.splice(left.indexOf(entry), 1));
      const peers = proof.traces.filter(({ circuit }) => circuit === first.trace.circuit);
      const bothShot = new Set(peers.map(({ direction }) => direction)).size === 2;
      if (isReal(own, peers.length)) findings.push(unmatchedFinding(own, circuits, bothShot));
    }
  }
  return findings;
}

/** Noise makes a joint now and then; one that only one of several traces shows must stand out. */
function isReal(
  own: readonly { joint: { peak: number | null }; figure: { loss: number; sigma: number } }[],
  peers: number,
): boolean {
  if (own.some(({ joint }) => joint.peak !== null)) return true;
  const sure = own.filter(
    ({ figure }) => Math.abs(figure.loss) > Math.max(0.02, 4 * figure.sigma),
  ).length;
  if (sure >= 2 || (sure === 1 && peers === 1)) return true;
  return own.some(({ figure }) => Math.abs(figure.loss) > Math.max(0.1, 8 * figure.sigma));
}

function unmatchedFinding(
  own: readonly {
    trace: ProofTrace;
    joint: { peak: number | null };
    kind: 'unplanned' | 'ghost';
    place: FaultLocation;
    figure: { loss: number; sigma: number };
  }[],
  circuits: ReadonlyMap<string, CircuitRoute>,
  bothShot: boolean,
): Finding {
  const first = own[0]!;
  const { label } = circuits.get(first.trace.circuit)!;
  const seen = own.map(({ trace: { direction, wavelengthNm }, figure }) => ({
    direction,
    wavelengthNm,
    loss: withError(figure),
  }));
  const base = {
    circuits: [first.trace.circuit],
    spliceIds: [],
    closureId: first.place.closureId,
    where: [whereIs(first.place)],
    place: first.place,
  };
  // A mirror stands for both directions; what one of them alone shows, without loss, is an echo.
  const directions = new Set(own.map(({ trace }) => trace.direction));
  const lossless = own.every(
    ({ joint, figure }) =>
      joint.peak !== null && Math.abs(figure.loss) < Math.max(0.02, 3 * figure.sigma),
  );
  if (first.kind === 'ghost' || (lossless && directions.size === 1 && bothShot))
    return {
      ...base,
      cause: 'ghost',
      weight: 'look',
      message: { code: first.kind === 'ghost' ? 'echo' : 'echoOneWay', label, seen },
    };
  const by = (longer: boolean) =>
    own
      .filter(({ trace }) => longer === trace.wavelengthNm > 1450)
      .map(({ figure }) => figure.loss);
  const [short, long] = [by(false), by(true)];
  const bent = short.length > 0 && long.length > 0 && median(long) - median(short) > BEND;
  return {
    ...base,
    cause: bent ? 'bend' : 'unplanned',
    weight: 'bad',
    message: {
      code: bent ? 'unplannedBend' : 'unplanned',
      label,
      seen,
      reflects: first.joint.peak !== null ? 'yes' : 'no',
    },
  };
}

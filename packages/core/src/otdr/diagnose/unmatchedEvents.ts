import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import type { TraceEvent } from '../detect/analyse.ts';
import { BEND, type Finding, withError } from './finding.ts';
import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import type { LossFigure } from '../measure/pairTraces.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';
import { type FaultLocation, faultLocation, whereIs } from './faultLocation.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** An event of a trace at no closure. */
interface Unmatched {
  trace: ProofTrace;
  event: TraceEvent;
  kind: 'unplanned' | 'ghost';
  place: FaultLocation;
  figure: LossFigure;
}

/** Events at no closure, and ghosts. One that several traces of a circuit see is said once. */
export function unmatchedEventsOf(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): Finding[] {
  const list = proof.traces.flatMap((trace) => {
    const aligned = proof.alignments.get(trace.id)!;
    const group = proof.group(trace);
    return aligned.unmatched.flatMap(({ event, kind }, index) => {
      const place = faultLocation(event.positionM - aligned.shiftM, 2, group);
      const figure =
        figures.get(trace.id)?.unmatched[index] ??
        (event.lossDb === null ? null : { lossDb: event.lossDb, sigmaDb: event.sigmaDb! });
      return place && figure ? [{ trace, event, kind, place, figure }] : [];
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
        Math.abs(entry.place.sheathM - first.place.sheathM) <
          15 + 3 * (entry.place.sigmaM + first.place.sigmaM);
      const own = [first, ...left.filter(same)];
      own.slice(1).forEach((entry) => left.splice(left.indexOf(entry), 1));
      const peers = proof.traces.filter(({ circuit }) => circuit === first.trace.circuit);
      const bothShot = new Set(peers.map(({ direction }) => direction)).size === 2;
      if (isReal(own, peers.length)) findings.push(unmatchedFinding(own, circuits, bothShot));
    }
  }
  return findings;
}

/** Noise makes an event now and then; one that only one of several traces shows must stand out. */
function isReal(own: readonly Pick<Unmatched, 'event' | 'figure'>[], peers: number): boolean {
  if (own.some(({ event }) => event.peakDb !== null)) return true;
  const sure = own.filter(
    ({ figure }) => Math.abs(figure.lossDb) > Math.max(0.02, 4 * figure.sigmaDb),
  ).length;
  if (sure >= 2 || (sure === 1 && peers === 1)) return true;
  return own.some(({ figure }) => Math.abs(figure.lossDb) > Math.max(0.1, 8 * figure.sigmaDb));
}

function unmatchedFinding(
  own: readonly Unmatched[],
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
    ({ event, figure }) =>
      event.peakDb !== null && Math.abs(figure.lossDb) < Math.max(0.02, 3 * figure.sigmaDb),
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
      .map(({ figure }) => figure.lossDb);
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
      reflects: first.event.peakDb !== null ? 'yes' : 'no',
    },
  };
}

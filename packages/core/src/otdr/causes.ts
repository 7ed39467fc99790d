import { middleOf } from './clusters.ts';
import type { JointProof, LaidProof, ProofTrace } from './proof.ts';
import type { CircuitRoute } from './route.ts';
import type { TraceFigures } from './trace.ts';
import { type Whereabouts, whereWords, whereabouts } from './whereabouts.ts';

export const CAUSES = [
  'break',
  'connector',
  'tray',
  'ribbon edge',
  'bend',
  'mode field',
  'splice',
  'unplanned',
  'ghost',
] as const;
export type Cause = (typeof CAUSES)[number];

/** What is bad or looks so, why, and where to go. */
export interface Finding {
  cause: Cause;
  /** `bad` wants mending; `look` is only to be known. */
  weight: 'bad' | 'look';
  circuits: string[];
  spliceIds: string[];
  closureId: string | null;
  /** What it is, in a few words. */
  title: string;
  /** What speaks for it, in a line. */
  evidence: string;
  /** Where to go. */
  where: string;
  place: Whereabouts | null;
}

/** A splice as it was planned, and what the project lets it lose. */
export interface SplicePlace {
  id: string;
  closureId: string;
  closure: string;
  tray: number;
  slot: number;
  /** How it is called: the fibers it joins. */
  label: string;
  mass: boolean;
  /** Place in its ribbon, from 1 to 12; null for a single. */
  position: number | null;
  /** Whether anyone has fused it yet. */
  made: boolean;
  /** Limits in dB for a mean of both directions and for one of them; null for none. */
  limit: { mean: number | null; oneWay: number | null };
}

/** Long waves leave a bend first: this much more at the longest is a bend, dB. */
const BEND = 0.03;
const TRAY = 0.03;
const EDGE = 0.035;
/** A connector pair is bad from here on, dB: TIA-568, from memory. */
const CONNECTOR = 0.75;

/** Causes of all that is bad, tray and ribbon before single fibers: who explains more comes first. */
export function findCauses(
  proof: LaidProof,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
  joints: readonly JointProof[],
  splices: ReadonlyMap<string, SplicePlace>,
): Finding[] {
  const bySplice = new Map<string, SpliceFigures>();
  for (const joint of joints) {
    const place = splices.get(joint.spliceId);
    if (!place) continue;
    const own = bySplice.get(joint.spliceId) ?? { place, circuit: joint.circuit, joints: [] };
    own.joints.push(joint);
    bySplice.set(joint.spliceId, own);
  }
  for (const { joints: own } of bySplice.values())
    own.sort((a, b) => a.wavelengthNm - b.wavelengthNm);
  const all = [...bySplice.values()];
  const fields = usualFields(all);
  const findings = [
    ...breaksOf(proof, circuits, splices),
    ...strangersOf(proof, circuits, figures),
  ];
  const explained = new Set<string>();
  for (const finding of [...traysOf(all), ...edgesOf(all)]) {
    findings.push(finding);
    for (const id of finding.spliceIds) explained.add(id);
  }
  for (const own of all) {
    if (explained.has(own.place.id)) continue;
    const finding = causeOf(own, circuits, fields);
    if (finding) findings.push(finding);
  }
  findings.push(...unlikeCables(all));
  const order = (cause: Cause) => CAUSES.indexOf(cause);
  return findings.sort(
    (a, b) =>
      Number(a.weight === 'look') - Number(b.weight === 'look') || order(a.cause) - order(b.cause),
  );
}

interface SpliceFigures {
  place: SplicePlace;
  circuit: string;
  /** Shortest wavelength first. */
  joints: JointProof[];
}

const worst = ({ joints }: SpliceFigures): JointProof | null =>
  joints.reduce<JointProof | null>(
    (most, joint) => (joint.mean && (!most || joint.mean.loss > most.mean!.loss) ? joint : most),
    null,
  );

const dB = (loss: number): string => `${loss.toFixed(3)} dB`;
const withError = ({ loss, sigma }: { loss: number; sigma: number }): string =>
  `${loss.toFixed(3)} ± ${Math.max(0.001, 2 * sigma).toFixed(3)} dB`;

const isBad = (own: SpliceFigures): boolean => {
  const most = worst(own);
  const { mean } = own.place.limit;
  return most !== null && mean !== null && most.mean!.loss > mean;
};

/** What directions usually differ by at a closure and wavelength, half of it, AB less BA; told by four fibers or more. */
type UsualFields = ReadonlyMap<string, { middle: number; spread: number }>;
const fieldKey = (closureId: string, nm: number): string => `${closureId} ${nm}`;

function usualFields(all: readonly SpliceFigures[]): UsualFields {
  const lists = new Map<string, number[]>();
  for (const { place, joints } of all)
    for (const { modeField, wavelengthNm } of joints) {
      if (!modeField) continue;
      const key = fieldKey(place.closureId, wavelengthNm);
      lists.set(key, [...(lists.get(key) ?? []), modeField.loss]);
    }
  return new Map(
    [...lists].flatMap(([key, list]) => {
      if (list.length < 4) return [];
      const middle = middleOf(list);
      return [[key, { middle, spread: spreadOf(list, middle) }] as const];
    }),
  );
}

/** A splice seen one way only, less what its fellows' directions differ by. */
function oneWayOf({ place, joints }: SpliceFigures, fields: UsualFields) {
  const { oneWay } = place.limit;
  for (const { forward, backward, wavelengthNm } of joints) {
    const figure = forward ?? backward;
    if (!figure || oneWay === null || figure.loss <= oneWay) continue;
    const usual = fields.get(fieldKey(place.closureId, wavelengthNm)) ?? null;
    const loss = usual === null ? null : figure.loss - (forward ? usual.middle : -usual.middle);
    return {
      direction: forward ? 'AB' : 'BA',
      figure,
      loss,
      spread: usual?.spread ?? 0,
      wavelengthNm,
    };
  }
  return null;
}

/** Loss of two fields that do not fit, dB: the joint of the mode fields that the directions tell of. */
function mismatchLoss(modeField: number): number {
  const ratio = 10 ** (modeField / 10);
  return 20 * Math.log10((ratio + 1 / ratio) / 2);
}

function causeOf(
  own: SpliceFigures,
  circuits: ReadonlyMap<string, CircuitRoute>,
  fields: UsualFields,
): Finding | null {
  const { place, circuit, joints } = own;
  const base = {
    circuits: [circuit],
    spliceIds: [place.id],
    closureId: place.closureId,
    place: null,
    where: whereIn(own),
  };
  const most = worst(own);
  const bad = isBad(own);
  const reflects = joints.find(({ peak }) => peak !== null);
  if (reflects) {
    const loss = (reflects.mean ?? reflects.forward ?? reflects.backward)!.loss;
    return {
      ...base,
      cause: 'connector',
      weight: bad || loss > CONNECTOR ? 'bad' : 'look',
      title: `${place.label} reflects, where a fusion was planned`,
      evidence: `A peak of ${reflects.peak!.toFixed(1)} dB at ${reflects.wavelengthNm} nm, loss ${dB(loss)}: a connector, a mechanical joint or air between the ends; a fusion does not reflect.`,
    };
  }
  if (!most) {
    const one = oneWayOf(own, fields);
    if (!one || (one.loss !== null && one.loss - 2 * one.spread <= (place.limit.mean ?? Infinity)))
      return null;
    return {
      ...base,
      cause: 'splice',
      // With no fellows to go by it may be all mode fields.
      weight: one.loss === null ? 'look' : 'bad',
      title: `${place.label} reads high one way`,
      evidence: `${one.direction} ${withError(one.figure)} at ${one.wavelengthNm} nm${one.loss === null ? '' : `, about ${dB(one.loss)} without what its fellows’ directions differ by`}. One direction alone cannot tell a bad joint from unlike mode fields: shoot the other.`,
    };
  }
  if (!bad) return null;
  const bend = bendOf(own);
  if (bend)
    return {
      ...base,
      cause: 'bend',
      weight: 'bad',
      title: `${place.label} is bent`,
      evidence: bend,
    };
  const field = most.modeField!;
  const explains = mismatchLoss(field.loss);
  if (explains > most.mean!.loss / 2 && Math.abs(field.loss) > 3 * field.sigma)
    return {
      ...base,
      cause: 'mode field',
      weight: 'bad',
      title: `${place.label} joins unlike fibers`,
      evidence: `The directions differ by ${dB(2 * Math.abs(field.loss))}: mode fields ${Math.abs(10 ** (field.loss / 10) - 1).toLocaleString('en', { style: 'percent', maximumFractionDigits: 0 })} apart, which alone costs ${dB(explains)} of ${dB(most.mean!.loss)}. Fusing again changes little.`,
    };
  const route = circuits.get(circuit)!;
  return {
    ...base,
    cause: 'splice',
    weight: 'bad',
    title: `${place.label} is a bad splice`,
    evidence: `${withError(most.mean!)} both ways at ${most.wavelengthNm} nm, limit ${dB(place.limit.mean!)}; its tray is sound, the wavelengths agree, the directions do too. Fuse ${route.label} again.`,
  };
}

/** Closures where fibers read high one way and are good: said, so that nobody breaks a good splice. */
function unlikeCables(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  for (const closure of groupBy(all, ({ place }) => place.closureId).values()) {
    const high = closure.flatMap((own) => {
      const { oneWay } = own.place.limit;
      const joint = own.joints.find(
        ({ forward, backward, mean }) =>
          mean !== null &&
          oneWay !== null &&
          Math.max(forward!.loss, backward!.loss) > oneWay &&
          mean.loss <= (own.place.limit.mean ?? Infinity),
      );
      return joint && !isBad(own) ? [{ own, joint }] : [];
    });
    const first = high[0];
    if (!first) continue;
    const { place } = first.own;
    const { forward, backward, mean, wavelengthNm } = first.joint;
    findings.push({
      cause: 'mode field',
      weight: 'look',
      circuits: high.map(({ own }) => own.circuit),
      spliceIds: high.map(({ own }) => own.place.id),
      closureId: place.closureId,
      title:
        high.length === 1
          ? `${place.label} reads high one way and is good`
          : `${high.length} of ${closure.length} fibers at ${place.closure} read high one way and are good`,
      evidence: `${place.label} at ${wavelengthNm} nm: AB ${dB(forward!.loss)}, BA ${dB(backward!.loss)}, mean ${withError(mean!)}. The mode fields of the cables are unlike: leave them.`,
      where: `${place.closure}.`,
      place: null,
    });
  }
  return findings;
}

/** Words for a bend, where the longest wavelength loses clearly more than the shortest. */
function bendOf({ joints }: SpliceFigures): string | null {
  const both = joints.filter(({ mean }) => mean !== null);
  const [short, long] = [both[0], both.at(-1)];
  if (!short || !long || short === long) return null;
  const more = long.mean!.loss - short.mean!.loss;
  const sigma = Math.hypot(long.mean!.sigma, short.mean!.sigma);
  if (more < Math.max(BEND, 3 * sigma)) return null;
  return `${dB(long.mean!.loss)} at ${long.wavelengthNm} nm and ${dB(short.mean!.loss)} at ${short.wavelengthNm} nm: long waves leave a bend, a bad fusion loses at both. Lay it anew before it is fused again.`;
}

/** Where a splice is: its tray, or off its closure where it was found apart from it. */
function whereIn({ place, joints }: SpliceFigures): string {
  const at = `${place.closure}, tray ${place.tray}, slot ${place.slot}`;
  const offset = joints.find((joint) => joint.offset !== null)?.offset;
  if (offset == null || Math.abs(offset) < 8) return `${at}.`;
  return `${at}; it shows ${Math.abs(offset).toFixed(0)} m of fiber ${offset < 0 ? 'before' : 'behind'} its fellows, so look along the cable too.`;
}

/** Means of the longest wavelength, by splice. */
function longest(all: readonly SpliceFigures[]): { own: SpliceFigures; loss: number }[] {
  return all.flatMap((own) => {
    const joint = own.joints.filter(({ mean }) => mean !== null).at(-1);
    return joint ? [{ own, loss: joint.mean!.loss }] : [];
  });
}

const spreadOf = (list: readonly number[], middle: number): number =>
  1.48 * middleOf(list.map((value) => Math.abs(value - middle)));

/** Trays whose fibers are high together. */
function traysOf(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  for (const closure of groupBy(longest(all), ({ own }) => own.place.closureId).values()) {
    const trays = groupBy(closure, ({ own }) => String(own.place.tray));
    for (const [tray, own] of trays) {
      const others = closure.filter((entry) => String(entry.own.place.tray) !== tray);
      if (own.length < 4 || others.length < 4) continue;
      const [losses, rest] = [own.map(({ loss }) => loss), others.map(({ loss }) => loss)];
      const [high, usual] = [middleOf(losses), middleOf(rest)];
      const error = Math.hypot(
        (1.25 * spreadOf(losses, high)) / Math.sqrt(own.length),
        (1.25 * spreadOf(rest, usual)) / Math.sqrt(others.length),
      );
      const above = losses.filter((loss) => loss > usual + 2 * spreadOf(rest, usual)).length;
      if (high - usual < Math.max(TRAY, 4 * error) || above * 3 < own.length * 2) continue;
      const { place } = own[0]!.own;
      const bent = own.filter(({ own: splice }) => bendOf(splice) !== null).length;
      findings.push({
        cause: 'tray',
        weight: 'bad',
        circuits: own.map((entry) => entry.own.circuit),
        spliceIds: own.map((entry) => entry.own.place.id),
        closureId: place.closureId,
        title: `Tray ${tray} at ${place.closure} is high as a whole`,
        evidence: `${above} of its ${own.length} fibers are high, middle ${dB(high)} against ${dB(usual)} in the other trays${bent > own.length / 2 ? ', and more so at long wavelengths: a pinched or bent tube or tray, not its fusions' : ': what its fibers have in common, not one fusion'}.`,
        where: `${place.closure}, tray ${tray}: its tubes, its entrance, its loops.`,
        place: null,
      });
    }
  }
  return findings;
}

/** Ribbons whose first and last fibers are high. */
function edgesOf(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  const mass = longest(all).filter(({ own }) => own.place.position !== null);
  for (const closure of groupBy(mass, ({ own }) => own.place.closureId).values()) {
    for (const ribbon of groupBy(
      closure,
      ({ own: { place } }) => `${place.tray} ${place.slot}`,
    ).values()) {
      const edge = ribbon.filter(({ own }) => [1, 2, 11, 12].includes(own.place.position!));
      const outer = ribbon.filter(({ own }) => [1, 12].includes(own.place.position!));
      const inner = ribbon.filter(({ own }) => own.place.position! > 2 && own.place.position! < 11);
      if (outer.length < 2 || inner.length < 4) continue;
      const losses = inner.map(({ loss }) => loss);
      const usual = middleOf(losses);
      const spread = Math.max(0.01, spreadOf(losses, usual));
      const high = outer.every(({ loss }) => loss > usual + Math.max(EDGE, 4 * spread));
      if (!high) continue;
      const { place } = ribbon[0]!.own;
      const said = edge.filter(({ loss }) => loss > usual + Math.max(EDGE, 3 * spread));
      findings.push({
        cause: 'ribbon edge',
        weight: said.some(({ own }) => isBad(own)) ? 'bad' : 'look',
        circuits: said.map(({ own }) => own.circuit),
        spliceIds: said.map(({ own }) => own.place.id),
        closureId: place.closureId,
        title: `The edges of a ribbon at ${place.closure} are high`,
        evidence: `Fibers ${said.map(({ own }) => own.place.position).join(', ')} of the ribbon: ${said.map(({ loss }) => loss.toFixed(3)).join(', ')} dB, its middle ${dB(usual)}. Holder, outer grooves or stripper, before the next ribbon.`,
        where: `${place.closure}, tray ${place.tray}, slot ${place.slot}.`,
        place: null,
      });
    }
  }
  return findings;
}

function groupBy<Item>(list: readonly Item[], key: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of list) groups.set(key(item), [...(groups.get(key(item)) ?? []), item]);
  return groups;
}

/** The closure at which a trace ends because nobody has fused its fiber there yet; null for none. */
function unmadeAt(
  proof: LaidProof,
  trace: ProofTrace,
  circuits: ReadonlyMap<string, CircuitRoute>,
  splices: ReadonlyMap<string, SplicePlace>,
): SplicePlace | null {
  const { early, points } = proof.laid.get(trace.id)!;
  const { points: places } = circuits.get(trace.circuit)!;
  for (const [index, point] of points.entries()) {
    if (!point || !early) continue;
    const along = trace.direction === 'AB' ? index : points.length - 1 - index;
    const place = splices.get(places[along]!.spliceId ?? '');
    if (place && !place.made && Math.abs(point.at - early.at) < 40 + 3 * point.sigma) return place;
  }
  return null;
}

/** Fibers that end where they are not joined yet: said once for a closure, for nothing is wrong with them. */
const unmadeSaid = (list: readonly { trace: ProofTrace; place: SplicePlace }[]): Finding[] =>
  [...groupBy(list, ({ place }) => place.closureId).values()].map((own) => {
    const { place } = own[0]!;
    const fibers = [...new Set(own.map(({ trace }) => trace.circuit))];
    const who = fibers.length === 1 ? `${place.label} is` : `${fibers.length} fibers are`;
    return {
      cause: 'break',
      weight: 'look',
      circuits: fibers,
      spliceIds: [...new Set(own.map((one) => one.place.id))],
      closureId: place.closureId,
      title: `${who} not joined yet at ${place.closure}`,
      evidence: 'The light ends where nothing is fused yet: no break. Shoot again when it is.',
      where: `${place.closure}.`,
      place: null,
    };
  });

/** Fibers that end before their time: not joined yet, or broken. */
function breaksOf(
  proof: LaidProof,
  circuits: ReadonlyMap<string, CircuitRoute>,
  splices: ReadonlyMap<string, SplicePlace>,
): Finding[] {
  const ended = proof.traces.filter(({ id }) => proof.laid.get(id)!.early);
  const unmade = ended.flatMap((trace) => {
    const place = unmadeAt(proof, trace, circuits, splices);
    return place ? [{ trace, place }] : [];
  });
  const early = ended.filter((trace) => unmade.every((one) => one.trace !== trace));
  return [...unmadeSaid(unmade), ...brokenSaid(proof, circuits, early)];
}

/** Breaks; seen from both ends they are one. */
function brokenSaid(
  proof: LaidProof,
  circuits: ReadonlyMap<string, CircuitRoute>,
  early: readonly ProofTrace[],
): Finding[] {
  return [...groupBy(early, ({ circuit }) => circuit).entries()].flatMap(([circuit, traces]) => {
    const route = circuits.get(circuit)!;
    const sides = groupBy(traces, ({ direction }) => direction);
    const from = (direction: string) => sides.get(direction)?.[0] ?? null;
    const [a, b] = [from('AB'), from('BA')];
    const trace = (a ?? b)!;
    const place = placeOf(proof, trace);
    const at = (side: ProofTrace) =>
      `${(proof.laid.get(side.id)!.early!.at / 1000).toFixed(3)} km ${side.direction}`;
    const other = a && b ? placeOf(proof, b) : null;
    // From both sides the same break, unless there is a stretch between that neither has seen.
    const apart =
      place &&
      other &&
      (place.cable !== other.cable ||
        place.from !== other.from ||
        Math.abs(place.sheath - other.sheath) > 3 * (place.sigma + other.sigma) + 10);
    const finding: Finding = {
      cause: 'break',
      weight: 'bad',
      circuits: [circuit],
      spliceIds: [],
      closureId: place?.closureId ?? null,
      title: `${route.label} is broken`,
      evidence: `The trace ends at ${[a, b].flatMap((side) => (side ? [at(side)] : [])).join(' and at ')}${a && b ? (apart ? ': two places, what lies between is not seen' : ', the same place from both ends') : '; the other end has not been shot'}.`,
      where: [place, apart ? other : null]
        .flatMap((found) => (found ? [whereWords(found)] : []))
        .join(' '),
      place,
    };
    return [finding];
  });
}

function placeOf(proof: LaidProof, trace: ProofTrace): Whereabouts | null {
  const { early, shift } = proof.laid.get(trace.id)!;
  return early && whereabouts(early.at - shift, early.sigma, proof.group(trace));
}

/** Joints at no closure, and ghosts. One that several traces of a circuit see is said once. */
function strangersOf(
  proof: LaidProof,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): Finding[] {
  const list = proof.traces.flatMap((trace) => {
    const laid = proof.laid.get(trace.id)!;
    const group = proof.group(trace);
    return laid.strangers.flatMap(({ joint, kind }, index) => {
      const place = whereabouts(joint.position - laid.shift, 2, group);
      const figure =
        figures.get(trace.id)?.strangers[index] ??
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
      const fellows = proof.traces.filter(({ circuit }) => circuit === first.trace.circuit);
      const bothShot = new Set(fellows.map(({ direction }) => direction)).size === 2;
      if (isReal(own, fellows.length)) findings.push(strangerSaid(own, circuits, bothShot));
    }
  }
  return findings;
}

/** Noise makes a joint now and then; one that only one of several traces shows must stand out. */
function isReal(
  own: readonly { joint: { peak: number | null }; figure: { loss: number; sigma: number } }[],
  fellows: number,
): boolean {
  if (own.some(({ joint }) => joint.peak !== null)) return true;
  const sure = own.filter(
    ({ figure }) => Math.abs(figure.loss) > Math.max(0.02, 4 * figure.sigma),
  ).length;
  if (sure >= 2 || (sure === 1 && fellows === 1)) return true;
  return own.some(({ figure }) => Math.abs(figure.loss) > Math.max(0.1, 8 * figure.sigma));
}

function strangerSaid(
  own: readonly {
    trace: ProofTrace;
    joint: { peak: number | null };
    kind: 'unplanned' | 'ghost';
    place: Whereabouts;
    figure: { loss: number; sigma: number };
  }[],
  circuits: ReadonlyMap<string, CircuitRoute>,
  bothShot: boolean,
): Finding {
  const first = own[0]!;
  const { label } = circuits.get(first.trace.circuit)!;
  const seen = own.map(
    ({ trace, figure }) => `${trace.direction} at ${trace.wavelengthNm} nm ${withError(figure)}`,
  );
  const base = {
    circuits: [first.trace.circuit],
    spliceIds: [],
    closureId: first.place.closureId,
    where: whereWords(first.place),
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
      title: `An echo in ${label}, no joint`,
      evidence: `A reflection without loss, ${first.kind === 'ghost' ? 'as far as two others together' : 'and the other direction has none'}: ${seen.join(', ')}.`,
    };
  const by = (longer: boolean) =>
    own
      .filter(({ trace }) => longer === trace.wavelengthNm > 1450)
      .map(({ figure }) => figure.loss);
  const [short, long] = [by(false), by(true)];
  const bent = short.length > 0 && long.length > 0 && middleOf(long) - middleOf(short) > BEND;
  return {
    ...base,
    cause: bent ? 'bend' : 'unplanned',
    weight: 'bad',
    title: bent
      ? `${label} is bent where no joint was planned`
      : `A joint in ${label} that nobody planned`,
    evidence: `${seen.join(', ')}${first.joint.peak !== null ? '; it reflects' : ''}.${bent ? ' More at long wavelengths: a bend or a squeezed cable.' : ''}`,
  };
}

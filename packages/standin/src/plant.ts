import { type NewTrace } from '@cordel/core/otdr';
import { jointLoss, oneWayExcess } from '@cordel/core';
import type { TrueJoint } from './light.ts';
import { shootTrace } from './otdr.ts';
import { seeded } from './random.ts';
import { type Receiver, drawReceiver } from './receiver.ts';

/** A joint as it really lies in its tray. */
export interface TrueSplice {
  /** Loss at 1550 nm without a bend, dB. */
  loss: number;
  /** What a bend adds at 1550 nm, dB. */
  bend?: number;
  /** Reflectance, dB; null for a fusion. */
  reflectance?: number | null;
}

/** Anything else on the way: a squeezed cable, an echo, a joint that nobody planned. */
export interface TrueExtra extends TrueSplice {
  /** Meters of fiber from end A. */
  at: number;
  /** The only direction that shows it, as an echo does. */
  only?: 'AB' | 'BA';
}

/** A circuit as it really is, from end A to end B. */
export interface TruePlant {
  /** Fiber of each cable on the way, m, and its mode field at 1310 nm, um. */
  spans: readonly { meters: number; mfd: number }[];
  /** Joints between them; null where nothing is fused yet, so that light ends there. */
  joints: readonly (TrueSplice | null)[];
  extras?: readonly TrueExtra[];
  /** Where the fiber is broken, m of fiber from A. */
  breakAt?: number | null;
}

/** How an OTDR is set. */
export interface OtdrShot {
  seed: number;
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  pulseNs: number;
  averages: number;
  /** Meters between samples, and the range in m. */
  spacing: number;
  range: number;
  /** Launch fiber before the first connector, m. */
  launch?: number;
  /** Group index x 100 000 that the instrument is set to; the glass has its own. */
  groupIndex?: number;
  /** Which instrument it is: each has a receiver of its own, drawn by this number. */
  instrument?: number;
  /** What the instrument makes of the light; ideal where neither is said. */
  receiver?: Receiver;
  /** Nothing is plugged in. */
  unplugged?: boolean;
  cableId: string;
  fiberId: string;
  from: string;
  to: string;
  /** Seconds since 1970. */
  at: number;
}

/** The glass of the simulated cables: dB/km and group index x 100 000, as usual single-mode fiber has them (common practice, no source). */
const GLASS: Record<number, { attenuation: number; index: number }> = {
  1310: { attenuation: 0.34, index: 146_770 },
  1490: { attenuation: 0.24, index: 146_800 },
  1550: { attenuation: 0.2, index: 146_820 },
  1625: { attenuation: 0.23, index: 146_860 },
};
export const OTDR_WAVELENGTHS = Object.keys(GLASS).map(Number);
/** What a bend that costs 1 dB at 1550 nm costs elsewhere: long waves leave the core first. */
const BENDS: Record<number, number> = { 1310: 0.04, 1490: 0.5, 1550: 1, 1625: 2.2 };
/** Width of the field against that at 1310 nm. */
const FIELDS: Record<number, number> = { 1310: 1, 1490: 1.09, 1550: 1.13, 1625: 1.17 };
/** Noise of a sample of a 1 ns pulse without averaging, dB at the start: set by us. */
const NOISE = 30;

/** Loss of a joint at a wavelength, dB: the mismatch of fields stays, an offset costs less in a wider field. */
function lossAt({ loss, bend = 0 }: TrueSplice, mfdA: number, mfdB: number, nm: number): number {
  const mismatch = jointLoss({ mfdA, mfdB });
  const rest = Math.max(0, loss - mismatch);
  return mismatch + rest * (FIELDS[1550]! / FIELDS[nm]!) ** 2 + bend * BENDS[nm]!;
}

/** Shoots a circuit from one of its ends. */
export function shootPlant(plant: TruePlant, shot: OtdrShot): NewTrace {
  const glass = GLASS[shot.wavelengthNm];
  if (!glass) throw new RangeError(`The simulated OTDR has no ${shot.wavelengthNm} nm laser.`);
  const { joints, length } = wayOf(plant, shot);
  const launch = shot.launch ?? 0;
  const before: TrueJoint[] = launch > 0 ? [{ position: launch, step: 0.2, reflectance: -45 }] : [];
  const broken = length < plant.spans.reduce((sum, { meters }) => sum + meters, 0) - 1;
  const trace = shootTrace({
    ...shot,
    groupIndex: glass.index,
    length: shot.unplugged ? 0 : launch + length,
    attenuation: glass.attenuation,
    joints: shot.unplugged
      ? []
      : [...before, ...joints.map((joint) => ({ ...joint, position: joint.position + launch }))],
    samples: Math.round(shot.range / shot.spacing),
    noise: NOISE / shot.pulseNs,
    receiver: shot.receiver ?? receiverOf(shot.instrument),
    // A break in a cable lies in gel.
    endReflectance: broken && plant.breakAt != null ? null : undefined,
  });
  return shot.groupIndex
    ? { ...trace, fixed: { ...trace.fixed, groupIndex: shot.groupIndex } }
    : trace;
}

const receiverOf = (instrument: number | undefined): Receiver | undefined =>
  instrument === undefined ? undefined : drawReceiver(seeded(instrument));

/** Joints and the length to where light comes, seen from the end that is shot from. */
function wayOf(plant: TruePlant, { direction, wavelengthNm }: OtdrShot) {
  const back = direction === 'BA';
  const whole = plant.spans.reduce((sum, { meters }) => sum + meters, 0);
  const spans = back ? [...plant.spans].reverse() : plant.spans;
  const own = back ? [...plant.joints].reverse() : plant.joints;
  const joints: TrueJoint[] = [];
  let length = 0;
  for (const [index, { meters, mfd }] of spans.entries()) {
    length += meters;
    const next = spans[index + 1];
    if (!next) break;
    const joint = own[index];
    if (!joint) break;
    joints.push({
      position: length,
      step: lossAt(joint, mfd, next.mfd, wavelengthNm) + oneWayExcess(mfd, next.mfd),
      reflectance: joint.reflectance ?? null,
    });
  }
  for (const extra of plant.extras ?? []) {
    if (extra.only && extra.only !== direction) continue;
    const at = back ? whole - extra.at : extra.at;
    joints.push({
      position: at,
      step: lossAt(extra, 9.2, 9.2, wavelengthNm),
      reflectance: extra.reflectance ?? null,
    });
  }
  if (plant.breakAt != null) {
    const at = back ? whole - plant.breakAt : plant.breakAt;
    length = Math.min(length, at);
  }
  return { joints: joints.filter(({ position }) => position < length - 1), length };
}

/** Fibers of a cable are not quite of one length: a few in ten thousand more or less. */
export function fiberMeters(meters: number, cable: string, fiber: number): number {
  let hash = 7 * fiber + 1;
  for (const letter of cable) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return meters * (1 + 1.5e-4 * seeded(hash).normal());
}

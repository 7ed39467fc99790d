/** A joint of a fiber as it really is. */
export interface TrueJoint {
  /** Meters of fiber from the start. */
  position: number;
  /** Step that this direction shows, dB: the loss and the difference of backscatter. */
  step: number;
  /** Reflectance, dB (such as -45); null for a fusion splice. */
  reflectance: number | null;
  /** dB/km of the fiber behind it; as before where nothing is said. */
  attenuation?: number;
}

/** A fiber as light finds it, and the pulse that is sent into it. */
export interface LitFiber {
  /** Meters of fiber to its end. */
  length: number;
  /** dB/km up to the first joint that says another. */
  attenuation: number;
  joints: readonly TrueJoint[];
  /** Reflectance of the end, dB; null where it gives none back. */
  endReflectance: number | null;
  pulseNs: number;
  /** Meters that the pulse lights up at a time: half of what it is long. */
  pulseM: number;
}

/** Level of the backscatter at the start, below the strongest that is stored, dB. */
export const START = 12;

/** What comes back, a figure a sample, the backscatter of the start as 1. */
export interface Light {
  /** All of it. */
  all: Float64Array;
  /** What is reflected. */
  reflected: Float64Array;
}

/**
 * The power that comes back, a figure a sample, the backscatter of the start as 1. Backscatter is what the whole pulse
 * lights up, so that a step is spread over it; a reflection is as long as the pulse, with a short way back. Levels
 * are five times its logarithm, for light goes both ways.
 * @param spacing meters between samples
 */
export function lightOf(fiber: LitFiber, spacing: number, samples: number): Light {
  const { length, attenuation, pulseM } = fiber;
  const joints = [...fiber.joints].sort((a, b) => a.position - b.position);
  const edges = [0, ...joints.map(({ position }) => Math.min(position, length)), length];
  const parts: { from: number; to: number; power: number; decay: number; before: number }[] = [];
  let [own, power, before] = [attenuation, 1, 0];
  edges.slice(1).forEach((to, index) => {
    const from = edges[index]!;
    // Of power: 10 log10 both ways is 5 log10 of what comes back.
    const decay = (own * Math.LN10) / 5 / 1000;
    parts.push({ from, to, power, decay, before });
    before += (power * -Math.expm1(-decay * (to - from))) / decay;
    power *= Math.exp(-decay * (to - from)) * 10 ** (-(joints[index]?.step ?? 0) / 5);
    own = joints[index]?.attenuation ?? own;
  });
  let part = 0;
  /** All backscatter of the fiber up to a place. */
  const sumTo = (meters: number, at: number): number => {
    const { from, to, power: begun, decay, before: sum } = parts[at]!;
    return sum + (begun * -Math.expm1(-decay * (Math.min(meters, to) - from))) / decay;
  };
  const partOf = (meters: number, from: number): number => {
    let at = from;
    while (at > 0 && parts[at]!.from > meters) at--;
    while (at + 1 < parts.length && parts[at]!.to <= meters) at++;
    return at;
  };
  const all = new Float64Array(samples);
  for (let at = 0; at < samples; at++) {
    const meters = at * spacing;
    if (meters - pulseM >= length) break;
    part = partOf(meters, part);
    const tail = Math.max(0, meters - pulseM);
    // The head of the pulse leaves the fiber at its end; its tail is seen for a pulse more.
    const lit = sumTo(meters, part) - sumTo(tail, partOf(tail, part));
    all[at] = meters <= 0 ? 1 : lit / Math.max(1e-9, Math.min(pulseM, meters));
  }
  const backscatter = -80 + 10 * Math.log10(fiber.pulseNs);
  const powerAt = (meters: number): number => {
    const { from, power: begun, decay } = parts[partOf(Math.max(0, meters - 1e-6), 0)]!;
    return begun * Math.exp(-decay * (meters - from));
  };
  const glare = (reflectance: number, meters: number): number =>
    powerAt(meters) * 10 ** ((reflectance - backscatter) / 10);
  const pulse = Math.max(1, Math.floor(pulseM / spacing));
  const reflected = new Float64Array(samples);
  reflect(reflected, 0, pulse, 10 ** ((START - 2) / 5));
  for (const { position, reflectance } of joints)
    if (reflectance !== null && position < length)
      reflect(reflected, Math.round(position / spacing), pulse, glare(reflectance, position));
  if (fiber.endReflectance !== null)
    reflect(reflected, Math.round(length / spacing), pulse, glare(fiber.endReflectance, length));
  for (let at = 0; at < samples; at++) all[at]! += reflected[at]!;
  return { all, reflected };
}

/** What a fiber takes from its start to a place, joints and attenuation, dB; joints in order along it. */
export function lossTo(
  { attenuation, joints }: Pick<LitFiber, 'attenuation' | 'joints'>,
  meters: number,
): number {
  let [own, from, loss] = [attenuation, 0, 0];
  for (const joint of joints) {
    if (joint.position >= meters) break;
    loss += (own * (joint.position - from)) / 1000 + joint.step;
    own = joint.attenuation ?? own;
    from = joint.position;
  }
  return loss + (own * (meters - from)) / 1000;
}

/** Adds a reflection over the length of a pulse, with its short way back. */
function reflect(power: Float64Array, at: number, pulse: number, height: number): void {
  for (let index = 0; index < pulse && at + index < power.length; index++)
    power[at + index]! += height;
  for (let index = 0; index < 2 * pulse && at + pulse + index < power.length; index++)
    power[at + pulse + index]! += height * Math.exp((-6 * (index + 1)) / pulse);
}

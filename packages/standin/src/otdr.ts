import { LIGHT, type NewTrace, SIMULATED_MAKER } from '@cordel/core/otdr';
import { seeded } from './random.ts';

/** A joint of a fiber as it really is. */
export interface TrueJoint {
  /** Meters of fiber from the start. */
  position: number;
  /** Step that this direction shows, dB: the loss and the difference of backscatter. */
  step: number;
  /** Reflectance, dB (such as -45); null for a fusion splice. */
  reflectance: number | null;
}

export interface OtdrTask {
  seed: number;
  cableId: string;
  fiberId: string;
  from: string;
  to: string;
  wavelengthNm: number;
  /** Group index x 100 000. */
  groupIndex: number;
  /** Meters of fiber to its end. */
  length: number;
  /** dB/km. */
  attenuation: number;
  joints: readonly TrueJoint[];
  pulseNs: number;
  /** Meters between samples. */
  spacing: number;
  samples: number;
  averages: number;
  /** Noise of one sample at the level of the start without averaging, dB. */
  noise: number;
  /** Seconds since 1970. */
  at: number;
  /** Reflectance of the end, dB; null where it is crushed or in gel. A clean cut where nothing is said. */
  endReflectance?: number | null;
}

/** Level of the backscatter at the start, below the strongest that fits, dB. */
const START = 12;
/** Reflectance of a straight cut end, dB: 4 % of the light, by Fresnel. */
const GLASS_TO_AIR = -14;
/** The strongest level that is stored: thousandths of a dB below it. */
const LOWEST = 60;

/**
 * A trace as an OTDR would shoot it: exponential backscatter, steps over the length of the pulse,
 * reflections, an end, and white noise on the power before the logarithm, which therefore grows with
 * distance and falls with the square root of the averages. Five times the logarithm, for light goes both
 * ways.
 */
export function shootTrace(task: OtdrTask): NewTrace {
  const { samples, spacing, length, joints, groupIndex } = task;
  const random = seeded(task.seed);
  const index = groupIndex / 100_000;
  const pulse = ((task.pulseNs * 1e-9 * LIGHT) / index / 2 / spacing) | 0 || 1;
  const power = new Float64Array(samples);
  const end = Math.round(length / spacing);
  // Backscatter of a pulse of 1 ns, and of this one.
  const backscatter = -80 + 10 * Math.log10(task.pulseNs);
  const perSample = (task.attenuation * spacing) / 1000;
  const sorted = [...joints].sort((a, b) => a.position - b.position);
  const places = sorted.map(({ position }) => Math.round(position / spacing));
  let passed = 0;
  let loss = 0;
  for (let at = 0; at < Math.min(end, samples); at++) {
    // A step is spread over the pulse: its head is past the joint while its tail is not.
    while (passed < places.length && at >= places[passed]! + pulse) loss += sorted[passed++]!.step;
    let level = -perSample * at - loss;
    if (passed < places.length && at > places[passed]!) {
      const part = (at - places[passed]!) / pulse;
      // Powers of what lies before and behind the joint add up.
      const behind = 10 ** ((level - sorted[passed]!.step) / 5);
      level = 5 * Math.log10((1 - part) * 10 ** (level / 5) + part * behind);
    }
    power[at] = 10 ** (level / 5);
  }
  reflect(power, 0, pulse, 10 ** ((START - 2) / 5));
  sorted.forEach(({ reflectance }, joint) => {
    if (reflectance === null) return;
    const at = places[joint]!;
    reflect(power, at, pulse, (power[at - 1] ?? 0) * 10 ** ((reflectance - backscatter) / 10));
  });
  const { endReflectance = GLASS_TO_AIR } = task;
  if (end < samples && endReflectance !== null)
    reflect(power, end, pulse, (power[end - 1] ?? 0) * 10 ** ((endReflectance - backscatter) / 10));
  const deviation = (task.noise * Math.LN10) / 5 / Math.sqrt(task.averages);
  const stored = new Uint16Array(samples);
  for (let at = 0; at < samples; at++) {
    const seen = power[at]! + deviation * random.normal();
    const level = seen <= 0 ? -LOWEST : 5 * Math.log10(seen);
    stored[at] = Math.round(1000 * Math.min(LOWEST, Math.max(0, START - level)));
  }
  const time = (meters: number): number => Math.round((meters * index) / LIGHT / 1e-10);
  return {
    general: {
      language: 'EN',
      cableId: task.cableId,
      fiberId: task.fiberId,
      fiberType: 652,
      wavelengthNm: task.wavelengthNm,
      fromLocation: task.from,
      toLocation: task.to,
      cableCode: '',
      dataFlag: 'BC',
      userOffset: 0,
      userOffsetDistance: 0,
      operator: 'Simulator',
      comment: 'Simulated',
    },
    supplier: {
      supplier: SIMULATED_MAKER,
      instrument: 'OTDR',
      serial: '1',
      module: 'Module',
      moduleSerial: '1',
      software: '1',
      other: '',
    },
    fixed: {
      measuredAtS: task.at,
      unit: 'mt',
      wavelength: task.wavelengthNm * 10,
      acquisitionOffset: 0,
      acquisitionOffsetDistance: 0,
      pulseWidthsNs: [task.pulseNs],
      spacings: [Math.round((spacing * index) / LIGHT / 1e-14)],
      sampleCounts: [samples],
      groupIndex,
      backscatter: 800,
      averages: task.averages,
      averagingTime: 150,
      range: time(samples * spacing),
      rangeDistance: Math.round(samples * spacing * 10),
      frontPanelOffset: 0,
      noiseFloor: Math.min(65_535, LOWEST * 1000),
      noiseFloorScale: 1000,
      powerOffset: 0,
      lossThreshold: 50,
      reflectanceThreshold: 65_000 - 14_464,
      endThreshold: 3000,
      traceType: 'ST',
      window: [0, 0, 0, 0],
    },
    keyEvents: {
      events: [
        ...sorted.map(({ position, step, reflectance }, joint) => ({
          number: joint + 1,
          time100ps: time(position),
          slopeMdbPerKm: Math.round(task.attenuation * 1000),
          lossMdb: Math.round(step * 1000),
          reflectanceMdb: reflectance === null ? 0 : Math.round(reflectance * 1000),
          code: reflectance === null ? '0F9999' : '1F9999',
          method: 'LS',
          times: [0, time(position), time(position), 0, 0] as [
            number,
            number,
            number,
            number,
            number,
          ],
          comment: '',
        })),
        {
          number: sorted.length + 1,
          time100ps: time(length),
          slopeMdbPerKm: Math.round(task.attenuation * 1000),
          lossMdb: 0,
          reflectanceMdb: -14_000,
          code: '1E9999',
          method: 'LS',
          times: [0, time(length), time(length), 0, 0],
          comment: '',
        },
      ],
      totalLoss: Math.round(
        1000 *
          ((task.attenuation * length) / 1000 + sorted.reduce((sum, { step }) => sum + step, 0)),
      ),
      lossStart: 0,
      lossEnd: time(length),
      returnLoss: 30_000,
      returnStart: 0,
      returnEnd: time(length),
    },
    samples: stored,
  };
}

/** Adds a reflection over the length of a pulse, with the receiver's way back behind it. */
function reflect(power: Float64Array, at: number, pulse: number, height: number): void {
  for (let index = 0; index < pulse && at + index < power.length; index++)
    power[at + index]! += height;
  for (let index = 0; index < 2 * pulse && at + pulse + index < power.length; index++)
    power[at + pulse + index]! += height * Math.exp((-6 * (index + 1)) / pulse);
}

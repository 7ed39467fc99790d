import { LIGHT, type NewTrace, SIMULATED_MAKER } from '@cordel/core/otdr';
import { type TrueJoint, lightOf, lossTo } from './light.ts';
import { seeded } from './random.ts';
import { IDEAL, LOWEST_DB, type Receiver, receive } from './receiver.ts';

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
  /** What the instrument makes of the light; ideal where nothing is said. */
  receiver?: Receiver;
}

/** Reflectance of a straight cut end, dB: 4 % of the light, by Fresnel. */
const GLASS_TO_AIR = -14;

/**
 * A trace as an OTDR would shoot it: what comes back of a pulse, received with noise on the power before the logarithm,
 * which therefore grows with distance and falls with the square root of the averages.
 */
export function shootTrace(task: OtdrTask): NewTrace {
  const { samples, spacing, length, joints, groupIndex } = task;
  const random = seeded(task.seed);
  const index = groupIndex / 100_000;
  const light = lightOf(
    {
      length,
      attenuation: task.attenuation,
      joints,
      endReflectance: task.endReflectance === undefined ? GLASS_TO_AIR : task.endReflectance,
      pulseNs: task.pulseNs,
      pulseM: (task.pulseNs * 1e-9 * LIGHT) / index / 2,
    },
    spacing,
    samples,
  );
  const deviation = (task.noise * Math.LN10) / 5 / Math.sqrt(task.averages);
  const stored = receive(light, task.receiver ?? IDEAL, deviation, spacing, random);
  const sorted = [...joints].sort((a, b) => a.position - b.position);
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
      noiseFloor: Math.min(65_535, LOWEST_DB * 1000),
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
      totalLoss: Math.round(1000 * lossTo({ ...task, joints: sorted }, length)),
      lossStart: 0,
      lossEnd: time(length),
      returnLoss: 30_000,
      returnStart: 0,
      returnEnd: time(length),
    },
    samples: stored,
  };
}

import { kelvin } from '@cordel/core/pressure';
import { seeded } from './random.ts';

/** A closure under test with a gauge on it. */
export interface GaugeWorld {
  seed: number;
  /** What it is brought to over the barometric pressure, and that pressure, pascals. */
  targetPa: number;
  airPa: number;
  /** Fall at the start of the test at one temperature, pascals a minute. */
  leak: number;
  /** Degrees C outside at the start, and how they drift, degrees an hour. */
  temperature: number;
  drift: number;
  /** A change of the wall all at once, such as by cold soapy water: degrees, and the minute. */
  shock: { degrees: number; minute: number } | null;
  /** Minutes in which the air inside follows the wall, and how much warmer it is let in, degrees. */
  follows: number;
  fresh: number;
  /** Deviations of the thermometer, degrees, and of the gauge, pascals; the gauge shows whole steps. */
  thermometer: number;
  noisePa: number;
  stepPa: number;
}

/** Minutes of a step of the reckoning. */
const STEP = 0.01;

/** What gauge and thermometer show at so many minutes after it was pressurized, in rising order. */
export function readGauge(
  world: GaugeWorld,
  minutes: readonly number[],
): { minutes: number; gaugePa: number; temperature: number }[] {
  const random = seeded(world.seed);
  const wallAt = (minute: number) =>
    world.temperature +
    (world.drift / 60) * minute +
    (world.shock && minute >= world.shock.minute ? world.shock.degrees : 0);
  let inside = world.temperature + world.fresh;
  // Air by the pressure it would have at 1 K: what leaks is in proportion to the pressure that drives it.
  let air = (world.targetPa + world.airPa) / kelvin(inside);
  const out = world.leak / world.targetPa;
  let now = 0;
  return minutes.map((minute) => {
    for (; now < minute; now += STEP) {
      const over = air * kelvin(inside) - world.airPa;
      air -= (STEP * out * over) / kelvin(inside);
      inside += (STEP * (wallAt(now) - inside)) / world.follows;
    }
    const over = air * kelvin(inside) - world.airPa + random.normal() * world.noisePa;
    return {
      minutes: minute,
      gaugePa: Math.round(over / world.stepPa) * world.stepPa,
      temperature: Math.round((wallAt(minute) + random.normal() * world.thermometer) * 10) / 10,
    };
  });
}

/** Ways in which the stand-in's closure can be. */
export const CONDITIONS = ['tight', 'tight, cooling', 'leaks', 'leaks, warming'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** A world of a condition; everything else is drawn from the seed. */
export function gaugeWorld(
  condition: Condition,
  seed: number,
  test: { targetPa: number; airPa: number; stepPa: number; limit: number; temperature: number },
): GaugeWorld {
  const random = seeded(seed);
  const drift = { tight: 0, 'tight, cooling': -9, leaks: 0, 'leaks, warming': 9 }[condition];
  return {
    seed: seed + 1,
    targetPa: test.targetPa,
    airPa: test.airPa,
    leak: condition.startsWith('leaks') ? test.limit * (2.5 + random.uniform()) : 0,
    temperature: test.temperature,
    drift: drift + random.normal(),
    shock: null,
    follows: 1 + 4 * random.uniform(),
    fresh: 1 + 2 * random.uniform(),
    thermometer: 0.1,
    noisePa: 0.3 * test.stepPa,
    stepPa: test.stepPa,
  };
}

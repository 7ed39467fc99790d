import { kelvin } from './gas.ts';

/** A gauge as it was read. */
export interface GaugeReading {
  /** Minutes since it was pressurized. */
  minutes: number;
  /** Over the barometric pressure, pascals. */
  gaugePa: number;
  /** Surface temperature of the closure, degrees C; null where it was not read. */
  temperature: number | null;
}

export interface LeakTask {
  readings: readonly GaugeReading[];
  /** Air outside, pascals. */
  airPa: number;
  /** Least step of the gauge, pascals. */
  stepPa: number;
  /** Largest fall that counts as tight, pascals a minute at one temperature. */
  limit: number;
}

/**
 * - `few`: too few readings, or over too short a time.
 * - `tight`, `leaks`: the limit lies outside what is likely.
 * - `open`: the limit lies within it; hold on.
 * - `rises`: the pressure grows by more than warming explains.
 */
export type LeakVerdict = 'few' | 'tight' | 'leaks' | 'open' | 'rises';

export interface LeakEstimate {
  verdict: LeakVerdict;
  /** Fall of the pressure at one temperature, pascals a minute, with its standard deviation. */
  rate: number;
  sigma: number;
  /** What the gauge would show at the end, had nothing leaked, pascals; null without readings. */
  tightPa: number | null;
  /** Whether the temperature was read more than once. */
  followed: boolean;
  /** Root mean square of what the fit leaves over, in deviations: about 1, much more where readings jump. */
  scatter: number;
  /** Minutes from the first reading after which the limit would be told, at the usual pace; null where it is. */
  holdOn: number | null;
}

/** Deviations that a figure must lie off the limit: it is looked at again with every reading, and chance once is enough. */
const SURE = 2.576;
/** Deviations by which the pressure must grow before it is said to: nothing that leaks does so. */
const RISES = 3.3;
/** Deviations of a thermometer on the wall, degrees C, and of a pressure gauge in its steps. Set by us. */
const THERMOMETER = 0.15;
const GAUGE_STEPS = 0.5;
/** How far the air inside may be warmer or colder than the wall when it was let in, one deviation, degrees C. */
const FRESH = 2.5;
/** Minutes in which the air inside follows its wall by all but a third; each as likely as the next. Set by us. */
const FOLLOWS = [0.7, 1.4, 2.8, 5.6, 11.2];
/** What the temperature may drift, one deviation, where it was read but once, degrees C a minute. */
const DRIFT = 0.1;
const LEAST_READINGS = 4;
const LEAST_MINUTES = 2;

/**
 * The leak behind a row of gauge readings. The air inside follows the wall's temperature late, by a time
 * that nobody knows, and starts warmer, for letting it in compresses it. For each such time a straight
 * fall and a fading warmth are fitted by least squares, the warmth held by what is usual; the fits are then
 * weighed by how well they explain the readings. So neither cooling is taken for a leak nor a leak for
 * cooling; what cannot be told apart makes the uncertainty larger.
 * Source: ideal gas law; linear regression with a normal prior on one term (textbook).
 */
export function estimateLeak({ readings, airPa, stepPa, limit }: LeakTask): LeakEstimate {
  const list = [...readings].sort((a, b) => a.minutes - b.minutes);
  const wall = wallOf(list);
  const span = list.length === 0 ? 0 : list.at(-1)!.minutes - list[0]!.minutes;
  // Readings that crowd into a moment or two make no line.
  const fits =
    list.length < LEAST_READINGS || span < LEAST_MINUTES || wall === null
      ? []
      : FOLLOWS.map((tau) => fitWith(tau, list, wall, airPa, stepPa)).filter(
          ({ log, rate, variance }) =>
            Number.isFinite(log) && Number.isFinite(rate) && variance > 0,
        );
  if (fits.length === 0 || wall === null)
    return {
      verdict: 'few',
      rate: 0,
      sigma: Infinity,
      tightPa: null,
      followed: false,
      scatter: 0,
      holdOn: Math.max(LEAST_MINUTES - span, 0.5),
    };
  const followed = list.filter(({ temperature }) => temperature !== null).length > 1;
  const best = Math.max(...fits.map(({ log }) => log));
  const weights = fits.map(({ log }) => Math.exp(log - best));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (of: (fit: Fit) => number) =>
    fits.reduce((sum, fit, index) => sum + (weights[index]! / total) * of(fit), 0);
  const rate = mean((fit) => fit.rate);
  const scatter = Math.sqrt(mean((fit) => fit.chi / Math.max(1, list.length - 2)));
  const drift = followed ? 0 : (DRIFT * (list[0]!.gaugePa + airPa)) / kelvin(wall[0]!);
  // Readings that jump more than gauge and thermometer do are trusted less.
  const variance = mean((fit) => fit.variance + (fit.rate - rate) ** 2) * Math.max(1, scatter) ** 2;
  const sigma = Math.sqrt(variance + drift ** 2);
  const verdict = verdictOf(rate, sigma, limit);
  return {
    verdict,
    rate,
    sigma,
    tightPa: mean((fit) => fit.tight) - airPa,
    followed,
    scatter,
    holdOn: verdict === 'open' ? moreMinutes(rate, sigma, limit, span) : null,
  };
}

function verdictOf(rate: number, sigma: number, limit: number): LeakVerdict {
  if (rate + RISES * sigma < -limit / 2) return 'rises';
  if (rate + SURE * sigma < limit) return 'tight';
  if (rate - SURE * sigma > limit) return 'leaks';
  return 'open';
}

/** The slope of readings taken at an even pace is known by the power of one and a half of the time. */
function moreMinutes(rate: number, sigma: number, limit: number, span: number): number {
  const room = Math.max(Math.abs(rate - limit), limit / 4) / SURE;
  return Math.max(0.5, span * ((sigma / room) ** (2 / 3) - 1));
}

/** The wall's temperature at each reading, between those that were read; null where none was. */
function wallOf(list: readonly GaugeReading[]): number[] | null {
  const known = list.flatMap(({ minutes, temperature }) =>
    temperature === null ? [] : [{ minutes, temperature }],
  );
  if (known.length === 0) return null;
  return list.map(({ minutes }) => {
    const after = known.find((one) => one.minutes >= minutes);
    const before = known.findLast((one) => one.minutes <= minutes);
    if (!after || !before) return (after ?? before)!.temperature;
    const way = after.minutes - before.minutes;
    const share = way === 0 ? 0 : (minutes - before.minutes) / way;
    return before.temperature + share * (after.temperature - before.temperature);
  });
}

interface Fit {
  rate: number;
  variance: number;
  /** Logarithm of how likely the readings are. */
  log: number;
  /** Squares that are left over, in deviations. */
  chi: number;
  /** What would stand inside at the end without a leak, pascals. */
  tight: number;
}

/** Least squares for one time in which the air follows its wall: level, fall, and fading warmth with its prior. */
function fitWith(
  tau: number,
  list: readonly GaugeReading[],
  wall: readonly number[],
  airPa: number,
  stepPa: number,
): Fit {
  const inside = followed(tau, list, wall);
  const start = list[0]!;
  const first = kelvin(wall[0]!);
  const level = start.gaugePa + airPa;
  const perDegree = level / first;
  const noise = (GAUGE_STEPS * stepPa) ** 2 + (perDegree * THERMOMETER) ** 2;
  const weight = 1 / noise;
  // Unknowns: level, fall a minute, warmth at the first reading in degrees.
  const normal = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  const right = [0, 0, 0];
  const fresh = FRESH * Math.exp(-start.minutes / tau);
  normal[2]![2] = 1 / fresh ** 2;
  const rows = list.map(({ minutes, gaugePa }, at) => {
    const since = minutes - start.minutes;
    const factors = [kelvin(inside[at]!) / first, -since, perDegree * Math.exp(-since / tau)];
    const off = gaugePa + airPa - level * factors[0]!;
    factors.forEach((one, i) => {
      right[i]! += weight * one * off;
      factors.forEach((other, j) => (normal[i]![j]! += weight * one * other));
    });
    return { factors, off };
  });
  const { inverse, logDeterminant } = inverted(normal);
  const [more, rate, warmth] = inverse.map((row) =>
    row.reduce((sum, cell, index) => sum + cell * right[index]!, 0),
  ) as [number, number, number];
  const chi = rows.reduce(
    (sum, { factors, off }) =>
      sum + weight * (off - more * factors[0]! - rate * factors[1]! - warmth * factors[2]!) ** 2,
    0,
  );
  const prior = (warmth / fresh) ** 2;
  const end = rows.at(-1)!.factors;
  return {
    rate,
    variance: inverse[1]![1]!,
    log: -(chi + prior + logDeterminant) / 2 - Math.log(fresh),
    chi,
    tight: (level + more) * end[0]! + warmth * end[2]!,
  };
}

/** The temperature of air that follows its wall late and began as warm as it; the wall goes straight between readings. */
function followed(tau: number, list: readonly GaugeReading[], wall: readonly number[]): number[] {
  const inside = [wall[0]!];
  for (let at = 1; at < list.length; at++) {
    const step = list[at]!.minutes - list[at - 1]!.minutes;
    const slope = step === 0 ? 0 : (wall[at]! - wall[at - 1]!) / step;
    const keep = Math.exp(-step / tau);
    // Exact for a wall that warms evenly: the air runs tau minutes behind it.
    const behind = inside[at - 1]! - (wall[at - 1]! - slope * tau);
    inside.push(wall[at]! - slope * tau + behind * keep);
  }
  return inside;
}

/** Inverse of a symmetric 3 x 3 matrix by its adjugate, and the logarithm of its determinant. */
function inverted(m: number[][]): { inverse: number[][]; logDeterminant: number } {
  const [[a, b, c], [, d, e], [, , f]] = m as [
    [number, number, number],
    [number, number, number],
    [number, number, number],
  ];
  const cofactors = [
    [d * f - e * e, c * e - b * f, b * e - c * d],
    [c * e - b * f, a * f - c * c, b * c - a * e],
    [b * e - c * d, b * c - a * e, a * d - b * b],
  ];
  const determinant = a * cofactors[0]![0]! + b * cofactors[0]![1]! + c * cofactors[0]![2]!;
  return {
    inverse: cofactors.map((row) => row.map((cell) => cell / determinant)),
    logDeterminant: Math.log(determinant),
  };
}

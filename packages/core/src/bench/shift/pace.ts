/** How fast hands work against the setting: 1 is as set, 1.2 takes a fifth longer. */
export interface Pace {
  factor: number;
  /** Sleeves it was learned from. */
  seen: number;
}

/** How sure the setting is: the deviation of the logarithm, and that of a single sleeve. */
const PRIOR_SPREAD = 0.3;
const OWN_SPREAD = 0.35;
/** Against what is expected: shorter is no sleeve but a list carried over, longer is a break. */
const [LEAST, MOST] = [0.2, 4];

/**
 * Learns the pace of a shift from the moments at which its sleeves were kept: a normal belief about the
 * logarithm of the pace, which each sleeve moves. Gaps of a break are left out.
 * @param moments ms since 1970, ascending
 * @param expected seconds that a sleeve takes by the setting
 */
export function learnPace(moments: readonly number[], expected: number): Pace {
  let weight = 1 / PRIOR_SPREAD ** 2;
  let sum = 0;
  let seen = 0;
  for (let index = 1; index < moments.length; index++) {
    const ratio = (moments[index]! - moments[index - 1]!) / 1000 / expected;
    if (ratio < LEAST || ratio > MOST) continue;
    sum += Math.log(ratio) / OWN_SPREAD ** 2;
    weight += 1 / OWN_SPREAD ** 2;
    seen++;
  }
  return { factor: Math.exp(sum / weight), seen };
}

import { type Parsed, refused } from '../record/parsed.ts';
import type { LengthUnit } from '../record/units.ts';
import type { Quantity } from '../record/message.ts';
import { type DistanceProblem, parseDistance } from './distance.ts';
import type { NumberProblem } from './number.ts';

const IMPERIAL = /(\d|\s)(in|ft|mi|'|"|[\u2018\u2019\u201c\u201d\u2032\u2033])/i;
const METRIC = /(\d|\s)(mm|cm|m|km)\b/i;

/** Why a length cannot be read. */
export type LengthProblem =
  | NumberProblem
  | { code: 'mixedUnits' | 'negativeLength' | 'overZero' }
  | { code: 'typeLength'; unit: LengthUnit }
  | { code: 'noLength'; text: string; unit: LengthUnit }
  | { code: 'tooLong'; text: string; most: Quantity };

/** Longest length that is laid along a tape, in tenths of a millimeter: 100 m. */
export const MOST_LENGTH = 1_000_000;

/**
 * Reads a length as whole tenths of a millimeter: `5 1/4 in`, `133mm`, `5' 3"`.
 * @param unit the unit meant where none is typed
 * @param most the longest that makes sense, in tenths of a millimeter
 */
export function parseLength(
  text: string,
  unit: LengthUnit,
  most = MOST_LENGTH,
): Parsed<number, LengthProblem> {
  if (IMPERIAL.test(text) && METRIC.test(text)) return refused({ code: 'mixedUnits' });
  const read = parseDistance(text, unit);
  if (!read.ok) return refused(ofLength(read.error, unit));
  if (read.value > most)
    return refused({
      code: 'tooLong',
      text: text.trim(),
      most: { lengthTenthsMm: most, towards: 'down' },
    });
  return read;
}

/** What is wrong with a distance, said of a length. */
function ofLength(problem: DistanceProblem, unit: LengthUnit): LengthProblem {
  switch (problem.code) {
    case 'typeDistance':
      return { code: 'typeLength', unit };
    case 'negativeDistance':
      return { code: 'negativeLength' };
    case 'noDistance':
      return { code: 'noLength', text: problem.text, unit };
    default:
      return problem;
  }
}

/** Prints a length for a form in its unit, so that it reads back as the same: in eighths of an inch, else with decimals. */
export function spellLength(tenths: number, unit: LengthUnit): string {
  const text = formatLength(tenths, unit, 'near');
  const back = parseLength(text, unit, Infinity);
  return back.ok && back.value === tenths ? text : formatDiameter(tenths, unit);
}

/**
 * Prints a length as a caliper shows it, for what a seal is chosen by: tenths of a millimeter, or inches with two decimals,
 * and three where two would name another length.
 */
export function formatDiameter(tenths: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${tenths / 10} mm`;
  const inches = tenths / 254;
  const names = (decimals: number) => Math.round(Number(inches.toFixed(decimals)) * 254) === tenths;
  return `${inches.toFixed(names(2) ? 2 : 3)} in`;
}

const ROUND = { up: Math.ceil, down: Math.floor, near: Math.round };

/** An eighth of an inch is no whole number of tenths: what was typed lies up to half a tenth off. */
const SLACK = { up: -0.5, down: 0.5, near: 0 };

/**
 * Prints tenths of a millimeter as a tape shows them: whole millimeters, or inches and eighths.
 * @param towards `up` for what must not be shorter, `down` for what must not be longer
 */
export function formatLength(
  tenths: number,
  unit: LengthUnit,
  towards: keyof typeof ROUND = 'up',
): string {
  if (unit === 'mm') return `${ROUND[towards](tenths / 10)} mm`;
  const eighths = Math.max(0, ROUND[towards](((tenths + SLACK[towards]) * 8) / 254));
  const whole = Math.floor(eighths / 8);
  const rest = eighths % 8;
  if (rest === 0) return `${whole} in`;
  const [over, under] = rest % 4 === 0 ? [1, 2] : rest % 2 === 0 ? [rest / 2, 4] : [rest, 8];
  return `${whole === 0 ? '' : `${whole} `}${over}/${under} in`;
}

import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { LengthUnit } from '../record/units.ts';
import { readNumber } from './number.ts';

/** Thousandths of a newton meter in a unit. Source: NIST SP 811, appendix B.9 (from memory). */
const MILLI_NM = { 'N·m': 1000, 'in·lb': 112.984_8, 'ft·lb': 1355.818 } as const;
type TorqueUnit = keyof typeof MILLI_NM;

const NAMES: Record<string, TorqueUnit> = {
  nm: 'N·m',
  inlb: 'in·lb',
  lbin: 'in·lb',
  inlbf: 'in·lb',
  lbfin: 'in·lb',
  ftlb: 'ft·lb',
  lbft: 'ft·lb',
  ftlbf: 'ft·lb',
  lbfft: 'ft·lb',
};

/** Most that a bolt of a closure takes, thousandths of a newton meter. */
export const MOST_TORQUE_MILLI_NM = 200_000;

/** Why a torque cannot be read. */
export interface TorqueProblem {
  code: 'typeTorque' | 'torqueUnitMissing' | 'torqueOutside';
}

/**
 * Reads a torque with its unit, such as `2.8 N m` or `25 in-lb`. A figure without a unit is refused: the two that
 * sheets use differ by nine times.
 * @returns thousandths of a newton meter
 */
export function parseTorque(text: string): Parsed<number, TorqueProblem> {
  const match = /^\s*([\d.,]+)\s*(.*)$/.exec(text);
  const figure = match && readNumber(match[1]!, 'small');
  if (!match || !figure?.ok) return refused({ code: 'typeTorque' });
  const unit = match[2]!.toLowerCase().replace(/[^a-z]/g, '');
  if (unit === '') return refused({ code: 'torqueUnitMissing' });
  const known = NAMES[unit];
  if (!known) return refused({ code: 'typeTorque' });
  const milliNm = Math.round(figure.value * MILLI_NM[known]);
  return milliNm >= 1 && milliNm <= MOST_TORQUE_MILLI_NM
    ? parsed(milliNm)
    : refused({ code: 'torqueOutside' });
}

/** A torque in the unit that goes with the project's lengths: `2.8 N·m`, `25 in·lb`. */
export function formatTorque(milliNm: number, unit: LengthUnit): string {
  const shown: TorqueUnit = unit === 'in' ? 'in·lb' : 'N·m';
  return `${Number((milliNm / MILLI_NM[shown]).toFixed(1))} ${shown}`;
}

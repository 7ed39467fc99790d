import { z } from 'zod';
import { issue } from './issue.ts';
import type { UnitPreset } from './units.ts';

const share = z.int().min(0, issue('atLeast')).max(100, issue('atMost'));

/** When the arc is to be checked. Counts of arcs, degrees C, per cent, kPa, days. */
export const arcPolicySchema = z.object({
  when: z.enum(['session', 'triggers', 'both']),
  /** Arcs on 125 um and on 400 um glass after which a check is due. */
  arcs125: z.int().min(10, issue('atLeast')).max(5000, issue('atMost')),
  arcs400: z.int().min(5, issue('atLeast')).max(5000, issue('atMost')),
  /** Degrees C. */
  temperature: z
    .number()
    .min(1, issue('temperatureStepTooSmall'))
    .max(60, issue('temperatureStepTooLarge')),
  humidity: z.number().min(5).max(100),
  /** kPa. */
  pressure: z
    .number()
    .min(0.5, issue('pressureStepTooSmall'))
    .max(50, issue('pressureStepTooLarge')),
  /** Failed or high splices in a row. */
  streak: z.int().min(2).max(20),
  idleDays: z.int().min(1).max(365),
});

export type ArcPolicy = z.infer<typeof arcPolicySchema>;

/**
 * Common practice, no source: every session and on triggers; about 300 arcs on 125 um glass, 50 on
 * 400 um. What counts as “much” of temperature, humidity, pressure and disuse is set by us, to be
 * replaced by the splicer's own sheet.
 */
export const USUAL_ARC_POLICY: ArcPolicy = {
  when: 'both',
  arcs125: 300,
  arcs400: 50,
  temperature: 10,
  humidity: 30,
  pressure: 5,
  streak: 3,
  idleDays: 14,
};

/** How a crew works where schools differ. Lengths in tenths of a millimeter, times in seconds. */
export const practiceSchema = z.object({
  /** What opens a tube. */
  tubeTool: z.enum(['scorer', 'stripper']),
  /** When gel comes off: at once, or once groups are told apart. */
  gel: z.enum(['at once', 'after grouping']),
  /** Fiber to lay on a tray. */
  trayFiber: z.int().min(1000, issue('under100Mm')).max(50_000, issue('over5M')),
  /** Redos to leave slack for, and the fiber that each takes of a side. */
  redos: z.int().min(0).max(20),
  redoConsumption: z.int().min(10, issue('under1Mm')).max(5000, issue('over500Mm')),
  /** Splices in a hundred that are expected to be redone. */
  redoPercent: share,
  arc: arcPolicySchema.default(USUAL_ARC_POLICY),
  /** How long ribbonizing adhesive is left alone. */
  adhesiveWait: z.int().min(5).max(600).default(60),
  /** How the working length of a fiber is found. */
  workingLength: z.enum(['mark 30 mm', 'past the holder']).default('mark 30 mm'),
  /** Why splice-on connectors are made without the tension test; null where it stays on. */
  noTension: z
    .string()
    .trim()
    .min(1, issue('noTensionReasonMissing'))
    .max(200)
    .nullable()
    .default(null),
  /** How the end of a drop is made. */
  dropEnd: z.enum(['splice-on', 'pigtail', 'mechanical']).default('splice-on'),
  /** Whether the technician and the lead who sign a closure have to be two people. */
  signers: z.enum(['one or two', 'two people']).default('one or two'),
  /** Largest fall of a pressure test that counts as tight, pascals a minute at one temperature. */
  leakLimit: z
    .int()
    .min(10, issue('leakLimitTooSmall'))
    .max(5000, issue('leakLimitTooLarge'))
    .default(100),
});

export type Practice = z.infer<typeof practiceSchema>;

/** Common practice, no source: 1 to 1.5 m on a tray, about three tries, 60 s for adhesive. */
export const USUAL_PRACTICE: Practice = {
  tubeTool: 'scorer',
  gel: 'at once',
  trayFiber: 10_000,
  redos: 3,
  redoConsumption: 400,
  redoPercent: 5,
  arc: USUAL_ARC_POLICY,
  adhesiveWait: 60,
  workingLength: 'mark 30 mm',
  noTension: null,
  dropEnd: 'splice-on',
  signers: 'one or two',
  // Set by us: a dome of ten liters then loses less than a thimble of air a minute.
  leakLimit: 100,
};

/** What a new project starts with in given units: round figures of that unit. */
export const usualPractice = ({ length, pressure }: UnitPreset): Practice => ({
  ...USUAL_PRACTICE,
  // 40 in on a tray, 1 1/2 in for a redo.
  ...(length === 'in' && { trayFiber: 10_160, redoConsumption: 381 }),
  // 0.015 psi a minute.
  ...(pressure === 'psi' && { leakLimit: 103 }),
  arc: {
    ...USUAL_PRACTICE.arc,
    // 1 1/2 inHg; 10 C is 18 F.
    ...(pressure === 'psi' && { pressure: 5.08 }),
  },
});

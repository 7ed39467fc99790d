import { z } from 'zod';
import { issue } from './issue.ts';

/** The kinds of glass a splicer's programs are made for. */
export const FIBER_KINDS = ['single-mode', 'multimode'] as const;
export const fiberKindSchema = z.enum(FIBER_KINDS);
export type FiberKind = z.infer<typeof fiberKindSchema>;

export const FIBER_TYPES = [
  'G.652.D',
  'G.657.A1',
  'G.657.A2',
  'G.655',
  'OM1 62.5/125',
  'OM3 50/125',
] as const;

/** What the fibers of a cable are made of. */
export const glassSchema = z.object({
  type: z.enum(FIBER_TYPES),
  /** Mode field diameter at 1310 nm as the reel's sheet gives it, in hundredths of a um; null while unknown. */
  mfd: z
    .int(issue('modeFieldNotWhole'))
    .min(400, issue('modeFieldTooSmall'))
    .max(1500, issue('modeFieldTooLarge'))
    .nullable(),
  /** Outside diameter over the coating, um. */
  coating: z.union([z.literal(200), z.literal(250), z.literal(900)]),
});

export type Glass = z.infer<typeof glassSchema>;

export const USUAL_GLASS: Glass = { type: 'G.652.D', mfd: null, coating: 250 };

import { z } from 'zod';
import { MOST_FIBERS, idSchema } from './basics.ts';
import { issue } from './issue.ts';

/** `single`: one fiber on one sleeve. `mass`: a fiber of a ribbon fused with its neighbors on one sleeve. */
export const methodSchema = z.enum(['single', 'mass']);

const fiberSchema = z
  .int(issue('fiberNotWhole'))
  .min(1, issue('fiberBelowOne'))
  .max(MOST_FIBERS, issue('fibersTooMany'));

/**
 * How a fiber's end gets its connector: fused to a connector's own stub, spliced to a pigtail, held in a mechanical
 * connector, or led through breakout tubing into a connector that is mounted on it.
 */
export const END_WAYS = ['pigtail', 'splice-on', 'mechanical', 'breakout'] as const;
export const endWaySchema = z.enum(END_WAYS);
export type EndWay = z.infer<typeof endWaySchema>;

/** Ways that are fused, so that a splicer estimates them. */
export const isFused = (end: EndWay | null): boolean =>
  end === null || end === 'pigtail' || end === 'splice-on';

/** Whether the sleeve lies on a tray; any other end is made at its port. */
export const liesOnTray = (end: EndWay | null): boolean => end === null || end === 'pigtail';

/** The tray of ends that are made at their port; their slot is the port's fiber. */
export const AT_PORT = 0;

/** An express cable comes in on one leg and leaves on the other; any other cable has the first only. */
export const LEGS = ['in', 'out'] as const;
export const legSchema = z.enum(LEGS);
export type Leg = z.infer<typeof legSchema>;

/** The leg of an express cable whose fiber is spliced; null where its cable has one end here. */
const spliceLegSchema = legSchema.nullable().default(null);

/** One planned joint of two fibers at a place on a tray, or of a fiber and a port. */
export const spliceSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  closureId: idSchema,
  tray: z.int().min(AT_PORT).max(200),
  slot: z.int().min(1).max(MOST_FIBERS),
  cableA: idSchema,
  fiberA: fiberSchema,
  legA: spliceLegSchema,
  cableB: idSchema,
  fiberB: fiberSchema,
  legB: spliceLegSchema,
  method: methodSchema,
  /** How cable B, which are ports, gets the fiber; null for a splice. */
  end: endWaySchema.nullable().default(null),
  /** Columns of an imported splice list that Cordel has no place for, kept as they came. */
  extra: z.record(z.string(), z.string()),
});

export type Method = z.infer<typeof methodSchema>;
export type Splice = z.infer<typeof spliceSchema>;

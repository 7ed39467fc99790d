import { z } from 'zod';

/** How a crew works where schools differ. Lengths in tenths of a millimeter. */
export const practiceSchema = z.object({
  /** What opens a tube. */
  tubeTool: z.enum(['scorer', 'stripper']),
  /** When gel comes off: at once, or once groups are told apart. */
  gel: z.enum(['at once', 'after grouping']),
  /** Fiber to lay on a tray. */
  trayFiber: z.int().min(1000, 'At least 100 mm.').max(50_000, 'At most 5 m.'),
  /** Redos to leave slack for, and what each eats of a side. */
  redos: z.int().min(0).max(20),
  redoEats: z.int().min(10, 'At least 1 mm.').max(5000, 'At most 500 mm.'),
  /** Splices in a hundred that are expected to be made again. */
  redoPercent: z.int().min(0).max(100),
});

export type Practice = z.infer<typeof practiceSchema>;

/** Common practice, no source: 1 to 1.5 m on a tray, about three tries. */
export const USUAL_PRACTICE: Practice = {
  tubeTool: 'scorer',
  gel: 'at once',
  trayFiber: 10_000,
  redos: 3,
  redoEats: 400,
  redoPercent: 5,
};

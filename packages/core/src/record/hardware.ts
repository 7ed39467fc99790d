import { z } from 'zod';
import { idSchema, nameSchema } from './basics.ts';
import { trayCapacitySchema } from './closure.ts';

/** Tenths of a millimeter, up to 20 m. */
const length = z
  .int('A length is a whole number of tenths of a millimeter.')
  .min(0, 'A length cannot be negative.')
  .max(200_000, 'At most 20 m.');

/** Cable coiled up beside a closure: tenths of a millimeter, up to 200 m. */
const coil = z
  .int('A length is a whole number of tenths of a millimeter.')
  .min(0, 'A length cannot be negative.')
  .max(2_000_000, 'At most 200 m.');

/** A row of a seal table: which diameters it takes, and what goes with it. Tenths of a millimeter. */
export const sealRowSchema = z
  .object({
    from: length,
    to: length,
    seal: z.string().trim().min(1, 'Name the seal.').max(60),
    /** Layers to peel or spacers to add, as the sheet counts them. */
    layers: z.int().min(0).max(20),
    clip: z.string().trim().max(60),
    /** Whether a bushing is added round the cable. */
    bushing: z.boolean(),
  })
  .refine((row) => row.to > row.from, { error: 'A range ends above its beginning.', path: ['to'] });

export const ENTRY_KINDS = ['end', 'express', 'drop'] as const;
export const entryKindSchema = z.enum(ENTRY_KINDS);
export type EntryKind = z.infer<typeof entryKindSchema>;

export const portSchema = z
  .object({
    name: z.string().trim().min(1, 'Name the port.').max(40),
    takes: z.array(entryKindSchema).min(1, 'Say what the port takes.'),
    /** Cables that share the port's seal. */
    holes: z.int().min(1).max(24),
    rows: z.array(sealRowSchema).min(1, 'A port has at least one row of seals.').max(40),
  })
  .superRefine((port, context) => {
    const rows = port.rows.map((row, index) => ({ ...row, index })).sort((a, b) => a.from - b.from);
    rows.slice(1).forEach((row, at) => {
      const before = rows[at]!;
      if (before.to === row.from) return;
      context.addIssue({
        code: 'custom',
        path: ['rows', row.index, 'from'],
        message:
          before.to > row.from
            ? `The range overlaps the one before, which ends at ${before.to / 10} mm.`
            : `There is a gap: the range before ends at ${before.to / 10} mm. Begin there.`,
      });
    });
  });

/** Minutes of a pressure test where the sheet names none. Set by us: the leak estimate needs about so long. */
export const TEST_MINUTES = 5;

/** A closure's hardware as its sheet describes it. Every figure is the sheet's: lengths in tenths of a millimeter. */
export const hardwareSchema = z.object({
  id: z.string().min(1).max(60),
  name: nameSchema,
  form: z.enum(['dome', 'in-line', 'drop', 'gland', 'rack']),
  /** Where the figures come from. */
  source: z.string().trim().min(1, 'Say where the figures come from.').max(300),
  trays: trayCapacitySchema.extend({ most: z.int().min(1).max(200) }),
  /** Room for coils of tube or slack. */
  basket: z.object({ width: length, length: length, depth: length }),
  /** From a tray's entrance back to the sheath edge: the tube that is kept. */
  tubeToTray: length,
  /** Sheath to take off. */
  sheath: z.object({ end: length, express: length, drop: length }),
  /** What is kept past the sheath edge. */
  keep: z.object({
    strength: length,
    centralTube: length,
    aramid: length,
    ripcord: length,
    dropTube: length,
  }),
  /** Where a window is cut in a tube, from the sheath edge. */
  window: length,
  /** The end of the sheath below the clamp. */
  clamp: length,
  /** Hose clamp below the ring cut. */
  hoseClamp: length,
  /** Below this diameter a bushing is added. */
  bushingBelow: length,
  /** Highest pressure of the flash test, in kPa. */
  testKpa: z.number().min(0).max(70),
  /** How long the pressure is held with the gauge read, minutes; 0 where soapy water alone decides. */
  testMinutes: z
    .number()
    .min(0, 'At least 0 minutes.')
    .max(240, 'At most 4 hours.')
    .default(TEST_MINUTES),
  /** Bolts of the cover by their numbers, in the order in which they are tightened; none where it has none. */
  bolts: z
    .array(z.int().min(1).max(40))
    .max(40)
    .refine(
      (order) => new Set(order).size === order.length && Math.max(0, ...order) === order.length,
      {
        error: 'Name each bolt once, counted from 1.',
      },
    )
    .default([]),
  ports: z.array(portSchema).min(1, 'A closure has at least one port.').max(60),
});

export type SealRow = z.infer<typeof sealRowSchema>;
export type Port = z.infer<typeof portSchema>;
export type Hardware = z.infer<typeof hardwareSchema>;

/** A cable as it enters a closure. Lengths in tenths of a millimeter. */
export const entrySchema = z.object({
  id: idSchema,
  cableId: idSchema,
  kind: entryKindSchema,
  /** Measured outside diameter; null until it is measured. */
  diameter: length
    .min(10, 'A cable is at least 1 mm thick.')
    .max(1000, 'At most 100 mm.')
    .nullable(),
  /** Name of the port, or null to take the first that suits. */
  port: z.string().nullable(),
  /** Cable kept in a loop outside. */
  loop: coil,
  /** In an express cable: the tubes that are opened, and how. */
  tubes: z.array(z.object({ unit: z.int().min(1), way: z.enum(['dedicate', 'window']) })).max(144),
  /** Metallic armour: a shield connector and a bond. */
  armoured: z.boolean(),
  /** A tone or tracer wire that is split off before the seal. */
  tracer: z.boolean(),
  /** Rack kits: from the kit to the chassis, and inside it. */
  route: length,
  inside: length,
  /** Steps that are done, by their keys. */
  done: z.array(z.string().max(60)).max(200),
});

export type CableEntry = z.infer<typeof entrySchema>;

/** What meets in a closure: its hardware and the cables that enter. */
export const assemblySchema = z.object({
  closureId: idSchema,
  hardwareId: z.string().nullable(),
  /** How far the loop outside must reach to where the splicing is done. */
  reach: length,
  entries: z.array(entrySchema).max(60),
});

export type Assembly = z.infer<typeof assemblySchema>;

/**
 * One change of what meets in a closure. It names only what it changes, so that two people at one
 * closure do not undo each other's work.
 */
export const assemblyChangeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hardware'), hardwareId: z.string() }),
  z.object({ kind: z.literal('reach'), reach: length }),
  z.object({ kind: z.literal('add'), entry: entrySchema }),
  z.object({
    kind: z.literal('enter'),
    entryId: idSchema,
    part: entrySchema.omit({ id: true, cableId: true, done: true }).partial(),
  }),
  z.object({ kind: z.literal('remove'), entryId: idSchema }),
  z.object({
    kind: z.literal('tick'),
    entryId: idSchema,
    step: z.string().min(1).max(60),
    done: z.boolean(),
  }),
]);

export type AssemblyChange = z.infer<typeof assemblyChangeSchema>;

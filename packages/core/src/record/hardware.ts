import { z } from 'zod';
import { idSchema, nameSchema, personSchema, timeSchema } from './basics.ts';
import { trayCapacitySchema } from './closure.ts';
import { sleeveKindSchema } from './instrument.ts';
import { issue } from './issue.ts';
import { entryKindSchema, procedureSchema } from './procedure.ts';

/** Tenths of a millimeter, up to 20 m. */
const length = z
  .int(issue('lengthNotWhole'))
  .min(0, issue('lengthNegative'))
  .max(200_000, issue('over20M'));

/** Cable coiled up beside a closure: tenths of a millimeter, up to 200 m. */
const coil = z
  .int(issue('lengthNotWhole'))
  .min(0, issue('lengthNegative'))
  .max(2_000_000, issue('over200M'));

/** A row of a seal table: which diameters it takes, and what goes with it. Tenths of a millimeter. */
export const sealRowSchema = z
  .object({
    from: length,
    to: length,
    seal: z.string().trim().min(1, issue('sealNameMissing')).max(60),
    /** Layers to peel or spacers to add, as the sheet counts them. */
    layers: z.int().min(0).max(20),
    clip: z.string().trim().max(60),
    /** Whether a bushing is added round the cable. */
    bushing: z.boolean(),
  })
  .refine((row) => row.to > row.from, { error: issue('rangeBackwards'), path: ['to'] });

export const portSchema = z
  .object({
    name: z.string().trim().min(1, issue('portNameMissing')).max(40),
    takes: z.array(entryKindSchema).min(1, issue('portTakesNothing')),
    /** Cables that share the port's seal. */
    holes: z.int().min(1).max(24),
    rows: z.array(sealRowSchema).min(1, issue('portWithoutSeals')).max(40),
  })
  .superRefine((port, context) => {
    const rows = port.rows.map((row, index) => ({ ...row, index })).sort((a, b) => a.from - b.from);
    rows.slice(1).forEach((row, at) => {
      const before = rows[at]!;
      if (before.to === row.from) return;
      context.addIssue({
        code: 'custom',
        path: ['rows', row.index, 'from'],
        message: issue(before.to > row.from ? 'rangesOverlap' : 'rangesGap'),
        params: { endMm: before.to / 10 },
      });
    });
  });

/**
 * Forms of hardware, each with a procedure of its own. `wedge` is a dome with gel wedges, `drop` a small gel case,
 * `drop-end` a terminal at which a drop is ended.
 */
export const HARDWARE_FORMS = [
  'dome',
  'in-line',
  'drop',
  'gland',
  'wedge',
  'rack',
  'drop-end',
] as const;
export type HardwareForm = (typeof HARDWARE_FORMS)[number];

/** A part of a closure's kit: how many there are a closure, a cable or a tray, and where it is fetched. */
export const partSchema = z.object({
  name: z.string().trim().min(1, issue('partNameMissing')).max(60),
  count: z.int().min(1, issue('atLeastOne')).max(200),
  per: z.enum(['closure', 'cable', 'tray']),
  from: z.enum(['van', 'store']),
});
export type Part = z.infer<typeof partSchema>;

/** Minutes of a pressure test where the sheet names none. Set by us: the leak estimate needs about so long. */
export const TEST_MINUTES = 5;

/** About 8 in: common practice, no source. */
const STRENGTH_AT_FIRST = 2032;

/** A closure's hardware as its sheet describes it. Every figure is the sheet's: lengths in tenths of a millimeter. */
export const hardwareSchema = z.object({
  id: z.string().min(1).max(60),
  name: nameSchema,
  form: z.enum(HARDWARE_FORMS),
  /** Where the figures come from. */
  source: z.string().trim().min(1, issue('sourceMissing')).max(300),
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
    /** Strength member left at first, and trimmed to the bracket later. */
    strengthAtFirst: length.default(STRENGTH_AT_FIRST),
  }),
  /**
   * From the cable's end to the cut that gives hold of the ripcord: that piece is waste, and comes off besides.
   * 0 without.
   */
  access: length.default(0),
  /** Where a window is cut in a tube, from the sheath edge. */
  window: length,
  /** The end of the sheath below the clamp. */
  clamp: length,
  /** Hose clamp below the ring cut; 0 where the form has none there. */
  hoseClamp: length,
  /** Below this diameter a bushing is added. */
  bushingBelow: length,
  /**
   * Highest pressure of the flash test, in kPa; 0 where there is no valve or the sheet has no test, null until the
   * sheet's figure is typed.
   */
  testKpa: z.number().min(0).max(70).nullable(),
  /** How long the pressure is held with the gauge read, minutes; 0 where soapy water alone decides. */
  testMinutes: z
    .number()
    .min(0, issue('minutesNegative'))
    .max(240, issue('overFourHours'))
    .default(TEST_MINUTES),
  /** Bolts of the cover by their numbers, in the order in which they are tightened; none where it has none. */
  bolts: z
    .array(z.int().min(1).max(40))
    .max(40)
    .refine(
      (order) => new Set(order).size === order.length && Math.max(0, ...order) === order.length,
      {
        error: issue('boltsWrong'),
      },
    )
    .default([]),
  /** Torque of its bolts, thousandths of a newton meter; null until the sheet's figure is typed. */
  torqueMilliNm: z
    .int()
    .min(1, issue('torqueOutside'))
    .max(200_000, issue('torqueOutside'))
    .nullable()
    .default(null),
  /** Sleeves of single fibers that its trays hold. */
  sleeve: sleeveKindSchema.exclude(['27 mm', 'ribbon']).default('60 mm'),
  /** Parts of its kit besides seals, clips and plugs. */
  parts: z.array(partSchema).max(60).default([]),
  ports: z.array(portSchema).min(1, issue('portsMissing')).max(60),
  /** Its own procedure; null where it is worked on as its form is in general. */
  procedure: procedureSchema.nullable().default(null),
});

export type SealRow = z.infer<typeof sealRowSchema>;
export type Port = z.infer<typeof portSchema>;
export type Hardware = z.infer<typeof hardwareSchema>;

/** A step of preparation that is done: by whom and when. Before version 4 of the document nobody said. */
const tickSchema = z.object({
  step: z.string().min(1).max(80),
  by: personSchema.nullable(),
  at: timeSchema.nullable(),
  /** What was written down for what the step asks, by the key of each. */
  answers: z.record(z.string().max(60), z.string().trim().max(200)).default({}),
  photos: z.array(idSchema).max(6).default([]),
  /** Why it was done before a step that protects people or live fibers; null where none was missing. */
  override: z.string().trim().min(1).max(200).nullable().default(null),
});

export type PrepTick = z.infer<typeof tickSchema>;

/** A cable as it enters a closure. Lengths in tenths of a millimeter. */
export const entrySchema = z.object({
  id: idSchema,
  cableId: idSchema,
  kind: entryKindSchema,
  /** Measured outside diameter; null until it is measured. */
  diameter: length.min(10, issue('cableTooThin')).max(1000, issue('cableTooThick')).nullable(),
  /** Name of the port, or null to take the first that suits; the feed side's of an express cable. */
  port: z.string().nullable(),
  /** The port by which an express cable leaves. */
  portOut: z.string().nullable().default(null),
  /** Cable kept in a loop outside. */
  loop: coil,
  /** In an express cable: the tubes that are opened, and how. */
  tubes: z
    .array(
      z.object({
        unit: z.int().min(1),
        way: z.enum(['dedicate', 'window']),
        /** The leg whose fibers are wanted: a tube is cut at the far side of it. The feed side where it is left out. */
        leg: z.enum(['in', 'out', 'both']).optional(),
      }),
    )
    .max(144),
  /** Metallic armour: a shield connector and a bond. */
  armoured: z.boolean(),
  /** A tone or tracer wire that is split off before the seal. */
  tracer: z.boolean(),
  /** Rack kits: from the kit to the chassis, and inside it. */
  route: length,
  inside: length,
  /** Conduit round the sleeves from the kit to the chassis; 0 without. */
  conduit: length.default(0),
  /** Steps that are done, by their keys. */
  done: z.array(tickSchema).max(200),
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
    part: entrySchema
      .omit({ id: true, cableId: true, done: true, portOut: true, conduit: true })
      .partial()
      // A default would put them back with every other change.
      .extend({
        portOut: entrySchema.shape.portOut.unwrap().optional(),
        conduit: entrySchema.shape.conduit.unwrap().optional(),
      }),
  }),
  z.object({ kind: z.literal('remove'), entryId: idSchema }),
  z.object({
    kind: z.literal('tick'),
    entryId: idSchema,
    ...tickSchema.shape,
    done: z.boolean(),
    by: personSchema.nullable().default(null),
    at: timeSchema.nullable().default(null),
  }),
]);

export type AssemblyChange = z.infer<typeof assemblyChangeSchema>;

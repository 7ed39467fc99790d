import { z } from 'zod';
import { nameSchema } from './basics.ts';
import { fiberKindSchema } from './fiberType.ts';
import { issue } from './issue.ts';

/** Kinds of sleeve by what they take, as heater programs are made for them. */
export const SLEEVE_KINDS = ['60 mm', '40 mm', '27 mm', 'ribbon'] as const;
export const sleeveKindSchema = z.enum(SLEEVE_KINDS);
export type SleeveKind = z.infer<typeof sleeveKindSchema>;

const base = {
  id: z.string().min(1).max(60),
  name: nameSchema,
  /** Where the figures come from. */
  source: z.string().trim().min(1, issue('sourceMissing')).max(300),
};

const seconds = z.int().min(1, issue('underASecond')).max(600, issue('overTenMinutes'));

const programSchema = z.object({
  name: z.string().trim().min(1, issue('programNameMissing')).max(40),
  /** The glass it is made for; `any` recognises it by itself, which takes longer. */
  glass: z.union([fiberKindSchema, z.literal('any')]),
  /** Most fibers fused in one arc. */
  fibers: z.int().min(1).max(24),
});

const heaterProgramSchema = z.object({
  name: z.string().trim().min(1, issue('heaterProgramNameMissing')).max(40),
  sleeve: sleeveKindSchema,
  seconds,
});

export const splicerSchema = z.object({
  kind: z.literal('splicer'),
  ...base,
  programs: z.array(programSchema).min(1, issue('programsMissing')).max(40),
  heaterPrograms: z.array(heaterProgramSchema).min(1, issue('heaterProgramsMissing')).max(20),
  heaters: z.int().min(1).max(4),
  /** Fiber counts of the holders in the case. */
  holders: z.array(z.int().min(1).max(24)).min(1, issue('holdersMissing')).max(8),
  /** Cleave lengths its holders ask for, in tenths of a millimeter. */
  cleaveLengths: z.array(z.int().min(30).max(300)).min(1, issue('cleaveLengthMissing')).max(8),
  arcSeconds: seconds,
  coolSeconds: seconds,
  /** Cleave angle over which it stops before the arc, in hundredths of a degree. */
  cleaveLimit: z.int().min(50).max(1000),
});

export const cleaverSchema = z.object({
  kind: z.literal('cleaver'),
  ...base,
  cleaveLengths: z.array(z.int().min(30).max(300)).min(1, issue('cleaveLengthMissing')).max(8),
  /** Places of the blade, and the fibers each is good for. */
  positions: z.int().min(1).max(60),
  cleaves: z.int().min(100).max(20_000),
});

/** A tool of the bench whose figures matter. Angles in hundredths of a degree, lengths in tenths of a millimeter. */
export const instrumentSchema = z.discriminatedUnion('kind', [splicerSchema, cleaverSchema]);

export type Splicer = z.infer<typeof splicerSchema>;
export type Cleaver = z.infer<typeof cleaverSchema>;
export type Instrument = z.infer<typeof instrumentSchema>;

import { z } from 'zod';

/** Where it is: the block of the file, and the byte, counted from 0. */
const place = { block: z.string(), byte: z.int() };
const stated = z.int();
const found = z.int();

/**
 * What is wrong with a trace file. Fields have the names of SR-4731. `stated` is what the file says of itself,
 * `found` what there is.
 */
export const sorProblemSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('notATraceFile'), ...place }),
  z.object({ code: z.literal('blockMissing'), ...place }),
  z.object({ code: z.literal('noSampleSpacing'), ...place }),
  z.object({ code: z.literal('noSamples'), ...place }),
  z.object({ code: z.literal('blockNameInvalid'), ...place }),
  z.object({ code: z.literal('blockNotThere'), ...place }),
  z.object({ code: z.literal('blockMoved'), ...place, found }),
  z.object({ code: z.literal('blockCutOff'), ...place, missing: z.int() }),
  z.object({ code: z.literal('endsBeforeField'), ...place, field: z.string() }),
  z.object({ code: z.literal('fieldWithoutEnd'), ...place, field: z.string() }),
  z.object({ code: z.literal('mapCount'), ...place, stated, found }),
  z.object({ code: z.literal('mapSize'), ...place, stated, found }),
  z.object({ code: z.literal('pulseWidths'), ...place, stated }),
  z.object({ code: z.literal('groupIndex'), ...place, index: z.number() }),
  z.object({ code: z.literal('scaleFactors'), ...place, stated }),
  z.object({ code: z.literal('samplesOfFactor'), ...place, stated, found }),
  z.object({ code: z.literal('samplesInAll'), ...place, stated, found }),
  z.object({ code: z.literal('checksum'), ...place, stored: z.int(), computed: z.int() }),
]);
export type SorProblem = z.infer<typeof sorProblemSchema>;

/** What is odd about a trace that was read all the same. */
export const traceWarningSchema = z.discriminatedUnion('code', [
  ...sorProblemSchema.options,
  z.object({ code: z.literal('twoWavelengths'), generalNm: z.int(), fixedNm: z.int() }),
  /** As an earlier version said it. */
  z.object({ code: z.literal('saidBefore'), text: z.string() }),
]);
export type TraceWarning = z.infer<typeof traceWarningSchema>;

/** Thrown where a file cannot be read on. */
export class TraceError extends Error {
  override name = 'TraceError';
  readonly problem: SorProblem;

  constructor(problem: SorProblem) {
    super(`${problem.block}, byte ${problem.byte}: ${problem.code}`);
    this.problem = problem;
  }
}

import { z } from 'zod';

/** A record to be saved; `base` is the record as it had been read: what others have changed since is kept. */
export const savedSchema = <Row extends object>(
  schema: z.ZodType<Row>,
): z.ZodType<Row & { base?: Row | undefined }> =>
  z.intersection(schema, z.object({ base: schema.optional() })) as never;

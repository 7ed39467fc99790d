import { toNestErrors } from '@hookform/resolvers';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';
import type { z } from 'zod';
import { issueText } from '@cordel/text/record';

/** Reads a form by its schema; what it refuses stands at its field in words, the first of each. */
export const formResolver =
  <Input extends FieldValues, Output>(
    schema: z.ZodType<Output, Input>,
  ): Resolver<Input, unknown, Output> =>
  (values, _context, options) => {
    const read = schema.safeParse(values);
    if (read.success) return { values: read.data, errors: {} };
    const errors: Record<string, { type: string; message: string }> = {};
    for (const issue of read.error.issues)
      errors[issue.path.join('.')] ??= { type: issue.code, message: issueText(issue) };
    return {
      values: {},
      errors: toNestErrors(errors as FieldErrors, options) as FieldErrors<Input>,
    };
  };

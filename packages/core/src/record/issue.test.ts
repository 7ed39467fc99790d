import { z } from 'zod';
import { makeUpSchema } from './cable.ts';
import { hardwareSchema } from './hardware.ts';
import { type IssueMessage, issue, issueMessage } from './issue.ts';

const first = (schema: z.ZodType, value: unknown): IssueMessage | null =>
  issueMessage(schema.safeParse(value).error!.issues[0]!);

describe('what a schema refuses, as data', () => {
  it('is the code of its check, with the bound that Zod names', () => {
    expect(first(z.string().max(3, issue('nameTooLong')), 'four')).toEqual({
      code: 'nameTooLong',
      maximum: 3,
    });
  });

  it('says which count of a make-up is meant', () => {
    const makeUp = { kind: 'loose-tube', tubes: 0, fibersPerTube: 12 };
    expect(first(makeUpSchema, makeUp)).toMatchObject({ code: 'countTooSmall', field: 'tubes' });
  });

  it.each<[z.ZodType, unknown, IssueMessage]>([
    [z.number(), 'one', { code: 'wrongType', expected: 'number' }],
    [z.string().min(2), 'a', { code: 'tooSmall', of: 'string', minimum: 2 }],
    [z.array(z.int()).max(1), [1, 2], { code: 'tooLarge', of: 'array', maximum: 1 }],
    [z.enum(['a', 'b']), 'c', { code: 'notOneOf', values: 'a, b' }],
    [z.strictObject({}), { x: 1 }, { code: 'unknownKeys', keys: 'x' }],
    [z.uuid(), 'none', { code: 'wrongFormat', format: 'uuid' }],
    [z.union([z.string(), z.int()]), null, { code: 'noKindFits' }],
  ])('maps what Zod itself refuses: %#', (schema, value, message) =>
    expect(first(schema, value)).toEqual(message),
  );

  it('is none where a caller added words of its own', () => {
    const schema = z.string().superRefine((_, context) => {
      context.addIssue({ code: 'custom', message: 'Not on a Sunday.' });
    });
    expect(first(schema, 'x')).toBeNull();
  });

  it('is data for every field that an empty profile lacks', () =>
    expect(hardwareSchema.safeParse({}).error!.issues.every(issueMessage)).toBe(true));
});

import { z } from '@hono/zod-openapi';
import {
  MOST_ROWS,
  type PackedDocument,
  packedDocumentSchema,
  upgradeDocument,
} from '@cordel/core/document';
import { fromZod } from '../../http/problem.ts';

/** After so many that are wrong no further row is looked at. */
const MOST_ISSUES = 500;

type Key = keyof typeof packedDocumentSchema.shape;

/** The list behind a field, or null where it is none. */
const listOf = (schema: z.core.$ZodType): z.ZodArray | null => {
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodOptional)
    return listOf(schema.def.innerType);
  return schema instanceof z.ZodArray ? schema : null;
};

/**
 * Reads a project document of any version, row by row: a list of any length costs no more than what is right in it
 * and the first few hundred that are wrong.
 * @throws Problem 422 with each error at its place
 */
export function readBody(body: Record<string, unknown>): PackedDocument {
  const document = upgradeDocument(body) as Record<string, unknown>;
  const read: Record<string, unknown> = {};
  const issues: z.core.$ZodIssue[] = [];
  for (const [key, schema] of Object.entries(packedDocumentSchema.shape) as [Key, z.ZodType][]) {
    const value = document[key];
    const list = listOf(schema);
    if (list && Array.isArray(value) && value.length <= MOST_ROWS[key as keyof typeof MOST_ROWS]) {
      read[key] = readRows(key, value, list.element as z.ZodType, issues);
    } else {
      const one = schema.safeParse(value);
      if (one.success) {
        if (one.data !== undefined) read[key] = one.data;
      } else
        issues.push(...one.error.issues.map((issue) => ({ ...issue, path: [key, ...issue.path] })));
    }
    if (issues.length >= MOST_ISSUES) break;
  }
  if (issues.length > 0) throw fromZod(new z.ZodError(issues.slice(0, MOST_ISSUES)));
  return read as PackedDocument;
}

/** Rows are replaced by what they are read as: a document lies in memory once. */
function readRows(
  key: string,
  rows: unknown[],
  schema: z.ZodType,
  issues: z.core.$ZodIssue[],
): unknown[] {
  for (const [index, row] of rows.entries()) {
    const one = schema.safeParse(row);
    if (one.success) rows[index] = one.data;
    else
      issues.push(
        ...one.error.issues.map((issue) => ({ ...issue, path: [key, index, ...issue.path] })),
      );
    if (issues.length >= MOST_ISSUES) break;
  }
  return rows;
}

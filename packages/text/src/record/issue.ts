import type { SchemaIssue } from '@cordel/core';

/** What a schema refuses, in words. */
export const issueText = (issue: SchemaIssue): string => issue.message;

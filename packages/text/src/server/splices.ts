import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/splices`. */
export const splicesProblems = problems({
  nothingImported:
    'Nothing was imported: {problems, plural, one {# problem} other {# problems}}. Row {row}, {column}: {message}',
});

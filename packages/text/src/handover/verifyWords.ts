import { phrases } from '../phrases.ts';

/** Texts of `apps/server/cli/verify.ts`. */
export const verifyWords = phrases({
  usage: 'npm run verify -- PACKAGE.zip',
  noChain:
    '{path} has no chain to check: {missing} is not in it. Only the package of a whole project has one.',
});

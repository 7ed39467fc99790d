import { phrases } from '../phrases.ts';

/** Texts of `apps/server/cli/verify.ts`. */
export const verifyWords = phrases({
  about: 'Checks the hash chain and the signature of packages.',
  paths: 'packages, or folders of .zip files',
  json: 'print one line of JSON for each package',
  noChain:
    '{path} has no hash chain: {missing} is missing. Only the package of a whole project has one.',
});

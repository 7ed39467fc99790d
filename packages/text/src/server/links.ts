import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/links`. */
export const linksProblems = problems({
  otherProject: 'It belongs to another project than the path says.',
  cableUnknown: 'The project has no such cable.',
  fiberUnknown: 'The cable has no such fiber.',
  referenceUnknown:
    'No reference of this project has this id: take the reference before the link is measured.',
  lossNegative:
    'More light than the reference: a link gives none. Take the reference anew, or check if dB was typed for dBm.',
  supersededUnknown: 'The entry that it corrects is not recorded, or of another kind.',
});

import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/evidence`. */
export const evidenceProblems = problems({
  entryChanged:
    'Entry {id} is recorded already with other content; what was done is never changed. Record it anew, or a correction that supersedes it.',
  otherProject: 'It belongs to another project than the splice.',
  laterEntryNamed:
    'It names an entry that comes after it: send them in the order in which they were made.',
  recordTaken:
    'The splicer’s record counts for another attempt already: it is not counted twice. Choose another record, or type the estimate.',
});

import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/chain`. */
export const recordPage = phrases({
  title: 'Is the record whole?',
  titleShort: 'Check the record',
  says: 'a chain of hashes, signed',
  explained:
    'Every entry is a link of a chain: its hash stands on the one before. The server signs the chain’s end. What was changed, dropped or put in between afterwards shows.',
  checking: 'Reading every entry and checking its link.',
  whole: 'Whole.',
  wholeSays:
    '{links, plural, one {# entry is} other {# entries are}} what was recorded, and as the server signed.',
  empty: 'Nothing is recorded yet.',
  wrong: 'Not whole.',
  wrongSays:
    '{count, plural, one {# place is} other {# places are}} not as recorded. Keep the database and its backups as they are, and compare with the last package: it holds the chain as it was signed then.',
  entryChanged: 'Entry {number} ({kind}) was changed after it was recorded.',
  entryMissing: 'Entry {number} ({kind}) is not there any more.',
  linkBroken:
    'Link {number} does not follow from the one before: something was changed, dropped or put in.',
  linkMissing: 'Link {number} is missing.',
  checkpointDiffers: 'At entry {number} the chain is not what the server signed.',
  chainCutShort: 'The chain ends before entry {number}, which the server signed.',
  signatureWrong: 'The signature at entry {number} is none of its key.',
  more: 'And {count} more.',
  signed: 'Signed {moment}',
  hash: 'Hash {hash}',
  key: 'Key {key}',
  codeLabel: 'QR code of what the server signed',
  compare:
    'Packages carry the same: on the first page of the PDF, and as files that check themselves.',
  again: 'Check again',
});

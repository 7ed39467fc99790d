import { phrases } from '../phrases.ts';

/** What the files of a package are, for its manifest. */
export const builder = phrases({
  aTraceByteForByte: 'A trace, byte for byte',
  asBuiltRecordNewestEntry: '{practiceOnly}{name} · as-built record · newest entry {moment}',
  forSha256sumC: 'For sha256sum -c',
  howToReadAndCheckAll: 'How to read and check all this',
  routeAndClosuresRfc7946: 'Route and closures (RFC 7946)',
  theClosuresRecordInCanonicalForm: 'The closure’s record in canonical form',
  theRecordAsAWorkbook: 'The record as a workbook',
  theRecordForPeople: 'The record for people',
  attemptsReadingsRulings: 'Attempts, readings, rulings',
  whatIsInHereWithSha: 'What is in here, with SHA-256',
  closing: 'Closing',
  closures: 'Closures',
  fibers: 'Fibers',
  jsonSchemaOfProject: 'JSON Schema (draft 2020-12) of project.json',
  photo: 'A photo',
  theChain: 'The chain of the record: a link an entry, each with the hash of the one before',
  theCheckpoint: 'What the server signed of the chain',
  theVerifier: 'Checks the chain without Cordel: node verify.mjs',
  links: 'Links measured with a power meter, and fibers checked by light',
  removed: 'Removed',
  splices: 'Splices',
  theWholeProject: 'The whole project, as project.schema.json describes it',
  trays: 'Trays',
  whatWasSignedOfItsSha: 'What was signed of {name}: its SHA-256 is what the signatures name',
});

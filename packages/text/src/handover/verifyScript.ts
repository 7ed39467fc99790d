/**
 * The program beside a package's chain, which checks the record without Cordel. It is written anew from the
 * description in the package's README and shares no code with what makes the chain.
 */
export const VERIFY_SCRIPT = String.raw`// Checks that this record is what was recorded, and what the server signed. With Node 18 or later:
//
//     node verify.mjs
//
// It needs project.json, chain.jsonl and checkpoint.json beside it, and nothing else.
import { createHash, createPublicKey, verify } from 'node:crypto';
import { readFileSync } from 'node:fs';

const read = (name) => readFileSync(new URL(name, import.meta.url), 'utf8');
const sha256 = (content) => createHash('sha256').update(content).digest('hex');

/** RFC 8785: keys in the order of their UTF-16 units, figures and texts as ECMAScript writes them. */
const canonical = (value) => {
  if (value === null || typeof value !== 'object') return JSON.stringify(value);
  if (Array.isArray(value)) return '[' + value.map(canonical).join(',') + ']';
  const keys = Object.keys(value).filter((key) => value[key] !== undefined).sort();
  return '{' + keys.map((key) => JSON.stringify(key) + ':' + canonical(value[key])).join(',') + '}';
};

/** An entry's digest is of what it says: what is null is left out. */
const digestOf = (entry) =>
  sha256(canonical(Object.fromEntries(Object.entries(entry).filter(([, value]) => value !== null))));
const fileDigest = ({ bytes }) => sha256(Buffer.from(bytes, 'base64'));

const project = JSON.parse(read('project.json'));
const checkpoint = JSON.parse(read('checkpoint.json'));
const links = read('chain.jsonl').split('\n').filter(Boolean).map((line) => JSON.parse(line));

const digests = new Map();
for (const list of ['evidence', 'closing', 'tracePlaces', 'setAside', 'instrumentLog', 'links'])
  for (const entry of project[list] ?? []) digests.set(entry.id, digestOf(entry));
for (const list of ['photos', 'traces'])
  for (const file of project[list] ?? []) digests.set(file.id, fileDigest(file));

const problems = [];
const projectId = project.project.id;
let before = '0'.repeat(64);
let expected = 1;
for (const { number, kind, entryId, digest, hash } of links) {
  if (number !== expected) problems.push('Link ' + expected + ' is missing, or not in its place.');
  if (sha256(canonical({ projectId, number, kind, entryId, digest, before })) !== hash)
    problems.push('Link ' + number + ' does not follow from the one before.');
  const now = digests.get(entryId);
  if (now === undefined) problems.push('Entry ' + entryId + ' (' + kind + ') is missing.');
  else if (now !== digest) problems.push('Entry ' + entryId + ' (' + kind + ') was changed.');
  digests.delete(entryId);
  before = hash;
  expected = number + 1;
}
const { number, hash, at, publicKey, signature } = checkpoint;
const key = Buffer.from(publicKey, 'base64');
const isSigned = verify(
  null,
  Buffer.from(canonical({ projectId, number, hash, at })),
  createPublicKey({ key, format: 'der', type: 'spki' }),
  Buffer.from(signature, 'base64'),
);
if (!isSigned) problems.push('The signature of the checkpoint is none of its key.');
if (checkpoint.projectId !== projectId) problems.push('The checkpoint is of another project.');
if (links.at(-1)?.number !== number || links.at(-1)?.hash !== hash)
  problems.push('The chain is not what the server signed.');

for (const problem of problems.slice(0, 100)) console.log(problem);
if (problems.length > 100) console.log('And ' + (problems.length - 100) + ' more.');
if (problems.length === 0) {
  console.log('Whole: ' + links.length + ' entries are what was recorded, as signed at ' + at + '.');
  console.log('Key ' + sha256(key).slice(0, 16).match(/.{4}/g).join(' ') + '; hash ' + hash.slice(0, 16) + '.');
  console.log('Compare both with what is printed in as-built.pdf, or with the server itself.');
  if (digests.size > 0) console.log(digests.size + ' entries were recorded after that, and are not checked.');
}
process.exitCode = problems.length === 0 ? 0 : 1;
`;

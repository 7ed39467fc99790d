import { canonicalText, digestOf } from '../record/canonical.ts';

/** What an entry of the record is, as the chain names it. */
export const CHAINED_KINDS = [
  'attempt',
  'reading',
  'inspection',
  'ruling',
  'closing',
  'photo',
  'trace',
  'tracePlace',
  'setAside',
  'instrumentLog',
  'link',
] as const;

export type ChainedKind = (typeof CHAINED_KINDS)[number];

/** An entry of a project's record in its chain: what it is, and what came before it. */
export interface ChainLink {
  /** From 1 on, without a gap. */
  number: number;
  kind: ChainedKind;
  entryId: string;
  /** SHA-256 of the entry in canonical form (RFC 8785), or of a file's bytes. */
  digest: string;
  /** SHA-256 of this link with the hash of the one before. */
  hash: string;
}

/** A link's hash stands under the whole chain before it: nothing of it is changed, dropped or put in between. */
export const FIRST_HASH = '0'.repeat(64);

/**
 * The digest of an entry: SHA-256 of its canonical form without what it does not say, so that a later version of the
 * record, whose entries can say more, has the same digest for what was said before.
 */
export const entryDigest = (entry: object): string =>
  digestOf(
    canonicalText(Object.fromEntries(Object.entries(entry).filter(([, value]) => value !== null))),
  );

/**
 * The hash of a link.
 * @param before hash of the link before; {@link FIRST_HASH} for the first
 */
export const linkHash = (
  projectId: string,
  { number, kind, entryId, digest }: Omit<ChainLink, 'hash'>,
  before: string,
): string => digestOf(canonicalText({ projectId, number, kind, entryId, digest, before }));

/** Continues a chain. */
export function continueChain(
  projectId: string,
  last: Pick<ChainLink, 'number' | 'hash'> | null,
  entries: readonly Pick<ChainLink, 'kind' | 'entryId' | 'digest'>[],
): ChainLink[] {
  let { number, hash } = last ?? { number: 0, hash: FIRST_HASH };
  return entries.map((entry) => {
    const link = {
      number: ++number,
      kind: entry.kind,
      entryId: entry.entryId,
      digest: entry.digest,
    };
    hash = linkHash(projectId, link, hash);
    return { ...link, hash };
  });
}

/** What the server puts its name to: the chain up to a link. */
export interface Checkpoint {
  projectId: string;
  number: number;
  hash: string;
  at: string;
  /** Ed25519 (RFC 8032): the public key in SPKI form, and the signature, both as base 64. */
  publicKey: string;
  signature: string;
}

/** The text that a checkpoint's signature is of. */
export const checkpointText = ({ projectId, number, hash, at }: Checkpoint): string =>
  canonicalText({ projectId, number, hash, at });

/** The beginning of a digest as people compare it: `4715 d3db e191 a2ad`. */
export const shortDigest = (digest: string): string =>
  (digest.slice(0, 16).match(/.{4}/g) ?? []).join(' ');

/** What is wrong with a chain. */
export type ChainProblem =
  /** An entry is not what it was when it was chained. */
  | { code: 'entryChanged'; number: number; kind: ChainedKind; entryId: string }
  /** An entry of the chain is not in the record. */
  | { code: 'entryMissing'; number: number; kind: ChainedKind; entryId: string }
  /** A link does not follow from the one before: it was changed, or one was dropped or put in between. */
  | { code: 'linkBroken'; number: number }
  /** A number is missing. */
  | { code: 'linkMissing'; number: number }
  /** The chain is not what the server signed. */
  | { code: 'checkpointDiffers'; number: number }
  /** The chain ends before what the server signed. */
  | { code: 'chainCutShort'; number: number }
  /** The signature is none of that key. */
  | { code: 'signatureWrong'; number: number };

export interface ChainTask {
  projectId: string;
  links: readonly ChainLink[];
  checkpoints: readonly Checkpoint[];
  /** Digest of an entry as it is now; null where it is not there. */
  digestNow: (link: ChainLink) => string | null;
  /** Whether a checkpoint's signature is its key's. */
  isSigned: (checkpoint: Checkpoint) => boolean;
}

/** Looks whether a record is what was chained and signed. An empty list: it is. */
export function checkChain(task: ChainTask): ChainProblem[] {
  const { projectId, links, checkpoints, digestNow, isSigned } = task;
  const problems: ChainProblem[] = [];
  const hashes = new Map<number, string>();
  let before = FIRST_HASH;
  let expected = 1;
  for (const link of links) {
    for (; expected < link.number; expected++)
      problems.push({ code: 'linkMissing', number: expected });
    const { number, kind, entryId } = link;
    const hash = linkHash(projectId, link, before);
    if (hash !== link.hash || number < expected) problems.push({ code: 'linkBroken', number });
    hashes.set(number, hash);
    before = link.hash;
    expected = number + 1;
    const now = digestNow(link);
    if (now === null) problems.push({ code: 'entryMissing', number, kind, entryId });
    else if (now !== link.digest) problems.push({ code: 'entryChanged', number, kind, entryId });
  }
  for (const checkpoint of checkpoints) {
    const { number } = checkpoint;
    if (!isSigned(checkpoint)) problems.push({ code: 'signatureWrong', number });
    const held = hashes.get(number);
    if (held === undefined) problems.push({ code: 'chainCutShort', number });
    else if (held !== checkpoint.hash) problems.push({ code: 'checkpointDiffers', number });
  }
  return problems;
}

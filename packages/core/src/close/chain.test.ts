import { generateKeyPairSync, sign, verify } from 'node:crypto';
import { createHash } from 'node:crypto';
import fc from 'fast-check';
import {
  type ChainLink,
  type Checkpoint,
  FIRST_HASH,
  checkChain,
  checkpointText,
  continueChain,
  entryDigest,
} from './chain.ts';

const PROJECT = 'a project';

const entries = Array.from({ length: 12 }, (_, index) => ({
  id: `entry ${index}`,
  lossMdb: index * 7,
  by: 'Ana',
}));

const chained = (last: ChainLink | null = null, from = 0, to = entries.length) =>
  continueChain(
    PROJECT,
    last,
    entries.slice(from, to).map((entry) => ({
      kind: 'attempt' as const,
      entryId: entry.id,
      digest: entryDigest(entry),
    })),
  );

const keys = generateKeyPairSync('ed25519');

function checkpointAt({ number, hash }: ChainLink): Checkpoint {
  const unsigned = {
    projectId: PROJECT,
    number,
    hash,
    at: '2026-06-01T00:00:00.000Z',
    signature: '',
  };
  const publicKey = keys.publicKey.export({ type: 'spki', format: 'der' }).toString('base64');
  const text = checkpointText({ ...unsigned, publicKey });
  return {
    ...unsigned,
    publicKey,
    signature: sign(null, Buffer.from(text), keys.privateKey).toString('base64'),
  };
}

const isSigned = (checkpoint: Checkpoint): boolean =>
  verify(
    null,
    Buffer.from(checkpointText(checkpoint)),
    keys.publicKey,
    Buffer.from(checkpoint.signature, 'base64'),
  );

const check = (
  links: readonly ChainLink[],
  record: readonly (typeof entries)[0][] = entries,
  checkpoints: readonly Checkpoint[] = [],
) =>
  checkChain({
    projectId: PROJECT,
    links,
    checkpoints,
    digestNow: ({ entryId }) => {
      const entry = record.find(({ id }) => id === entryId);
      return entry ? entryDigest(entry) : null;
    },
    isSigned,
  }).map(({ code, number }) => `${code} ${number}`);

describe('a chain of entries', () => {
  it('is SHA-256 over the canonical link with the hash before it (FIPS 180-4, RFC 8785)', () => {
    const [first] = chained();
    // Written out by hand, keys in the order of their letters.
    const text = `{"before":"${FIRST_HASH}","digest":"${first!.digest}","entryId":"entry 0","kind":"attempt","number":1,"projectId":"a project"}`;
    expect(first!.hash).toBe(createHash('sha256').update(text).digest('hex'));
    expect(first!.digest).toBe(
      createHash('sha256').update('{"by":"Ana","id":"entry 0","lossMdb":0}').digest('hex'),
    );
  });

  it('has the same digest for an entry that could say more, and does not', () => {
    expect(entryDigest({ ...entries[3]!, why: null })).toBe(entryDigest(entries[3]!));
    expect(entryDigest({ ...entries[3]!, why: '' })).not.toBe(entryDigest(entries[3]!));
  });

  it('is the same whether it is made at once or piece by piece', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 11 }), (cut) => {
        const start = chained(null, 0, cut);
        expect([...start, ...chained(start.at(-1)!, cut)]).toEqual(chained());
      }),
    );
  });

  it('is whole where nothing was changed', () => {
    const links = chained();
    expect(check(links, entries, [checkpointAt(links[4]!), checkpointAt(links[11]!)])).toEqual([]);
  });

  it('names the entry of which a figure was changed, or that is gone', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 11 }), (index) => {
        const changed = entries.map((entry, at) =>
          at === index ? { ...entry, lossMdb: 1 } : entry,
        );
        expect(check(chained(), changed)).toEqual([`entryChanged ${index + 1}`]);
        const gone = entries.filter((_, at) => at !== index);
        expect(check(chained(), gone)).toEqual([`entryMissing ${index + 1}`]);
      }),
    );
  });

  it('names the place where a link was changed, dropped, put in between or swapped', () => {
    const links = chained();
    const at = (index: number, change: Partial<ChainLink>) =>
      links.map((link, own) => (own === index ? { ...link, ...change } : link));
    expect(check(at(3, { digest: links[2]!.digest }))).toEqual(['linkBroken 4', 'entryChanged 4']);
    expect(check(at(3, { hash: links[2]!.hash }))).toEqual(['linkBroken 4', 'linkBroken 5']);
    expect(check(links.toSpliced(3, 1))).toEqual(['linkMissing 4', 'linkBroken 5']);
    expect(check(links.toSpliced(3, 0, links[3]!))).toEqual(['linkBroken 4']);
    const swapped = links.toSpliced(3, 2, links[4]!, links[3]!);
    expect(check(swapped).length).toBeGreaterThan(0);
  });

  it('is held to what was signed, even where all of it was made anew', () => {
    const links = chained();
    const signed = [checkpointAt(links[11]!)];
    // Somebody who changes an entry and makes every hash after it anew is told by the checkpoint.
    const forged = entries.map((entry, index) => (index === 6 ? { ...entry, lossMdb: 1 } : entry));
    const anew = continueChain(
      PROJECT,
      null,
      forged.map((entry) => ({ kind: 'attempt', entryId: entry.id, digest: entryDigest(entry) })),
    );
    expect(check(anew, forged)).toEqual([]);
    expect(check(anew, forged, signed)).toEqual(['checkpointDiffers 12']);
    expect(check(links.slice(0, 9), entries, signed)).toEqual(['chainCutShort 12']);
    const other = { ...signed[0]!, at: '2026-06-02T00:00:00.000Z' };
    expect(check(links, entries, [other])).toEqual(['signatureWrong 12']);
  });
});

import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import { expose, transfer } from 'comlink';
import type { Direction } from '@cordel/core';
import {
  type NamedPlace,
  type NamingSetting,
  type TraceFacts,
  directionOf,
  directionWord,
  factsOf,
  proposePattern,
  readName,
  readSor,
  settlePlace,
} from '@cordel/core/otdr';
import { sorProblemText } from '@cordel/text/files';

/** A file as it was looked at. */
export interface LookedFile {
  key: string;
  name: string;
  digest: string;
  facts: TraceFacts | null;
  /** Why it cannot be read. */
  error: string | null;
}

/** What the folder as a whole proposes. */
export interface Proposal {
  pattern: string;
  /** Words that tell directions, and what they say by themselves. */
  words: { word: string; direction: Direction | null }[];
}

const files = new Map<string, { name: string; bytes: Uint8Array }>();
const looked = new Map<string, LookedFile>();
let stopped = false;

/** Reads trace files off the page's own thread; the worker holds their bytes. */
const traceReader = {
  async look(
    list: { key: string; name: string; file: Blob }[],
    progress: (done: number) => unknown,
  ): Promise<LookedFile[]> {
    stopped = false;
    const result: LookedFile[] = [];
    for (const [index, { key, name, file }] of list.entries()) {
      if (stopped) break;
      const bytes = new Uint8Array(await file.arrayBuffer());
      const read = readSor(bytes);
      const entry: LookedFile = {
        key,
        name,
        digest: bytesToHex(sha256(bytes)),
        facts: read.ok ? factsOf(read.value) : null,
        error: read.ok ? null : sorProblemText(read.error),
      };
      files.set(key, { name, bytes });
      looked.set(key, entry);
      result.push(entry);
      if (index % 8 === 7) await progress(index + 1);
    }
    await progress(result.length);
    return result;
  },
  propose(cables: string[]): Proposal {
    const list = [...looked.values()].filter(({ facts }) => facts !== null);
    const pattern = proposePattern(
      list.map(({ name }) => name),
      cables,
    );
    return { pattern: pattern ?? '', words: wordsOf(pattern ?? '') };
  },
  words: (pattern: string) => wordsOf(pattern),
  /** Where each file belongs under a setting; by key. */
  settle(setting: NamingSetting): Record<string, NamedPlace> {
    const places: Record<string, NamedPlace> = {};
    for (const [key, { name, facts }] of looked)
      if (facts) places[key] = settlePlace(name, facts, setting);
    return places;
  },
  forget(keys: string[]) {
    for (const key of keys) {
      files.delete(key);
      looked.delete(key);
    }
  },
  /** Ends what is being read. */
  stop() {
    stopped = true;
  },
  /** The bytes of a file. */
  bytesOf(key: string): Uint8Array {
    const bytes = files.get(key)!.bytes.slice();
    return transfer(bytes, [bytes.buffer]);
  },
};

function wordsOf(pattern: string): Proposal['words'] {
  const words = new Set<string>();
  for (const { name, facts } of looked.values())
    if (facts) words.add(directionWord(pattern === '' ? null : readName(pattern, name), facts));
  return [...words]
    .filter((word) => word !== '')
    .slice(0, 12)
    .map((word) => ({ word, direction: directionOf(word) }));
}

export type TraceReader = typeof traceReader;

expose(traceReader);

import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import { expose } from 'comlink';
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
import { tracesWorker as t } from '@cordel/text/pages/traces/tracesWorker';

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

/** A file to be sent: where it belongs was settled by a person. */
export interface Parcel {
  key: string;
  id: string;
  place: Record<string, unknown> | null;
}

export interface SentParcel {
  key: string;
  state: 'sent' | 'known' | 'refused' | 'unreached';
  words: string;
}

/** Files sent at a time: the next is read while one is on its way. */
const AT_ONCE = 2;

const files = new Map<string, { name: string; bytes: Uint8Array }>();
const looked = new Map<string, LookedFile>();
let stopped = false;

/** Reads and sends trace files off the page's own thread; the worker holds their bytes. */
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
  stop() {
    stopped = true;
  },
  /** Sends files; what is on its way when it is stopped arrives. */
  async send(projectId: string, parcels: Parcel[], progress: (sent: SentParcel) => unknown) {
    stopped = false;
    const queue = [...parcels];
    const work = async () => {
      for (let next = queue.shift(); next && !stopped; next = queue.shift()) {
        const sent = await sendOne(projectId, next);
        // Waited for, so that the page knows of every file before it hears that all are done.
        await progress(sent);
        // Without a line the rest would fail too: it waits.
        if (sent.state === 'unreached') stopped = true;
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, work));
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

/** Bytes in base 64, in pieces that fit a call. */
function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

async function sendOne(projectId: string, { key, id, place }: Parcel): Promise<SentParcel> {
  const { name, bytes } = files.get(key)!;
  try {
    const response = await fetch(`/api/projects/${projectId}/traces`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, name, bytes: base64(bytes), place }),
    });
    const body = (await response.json().catch(() => ({}))) as { known?: boolean; detail?: string };
    if (response.ok) return { key, state: body.known ? 'known' : 'sent', words: '' };
    if (response.status >= 500)
      return {
        key,
        state: 'unreached',
        words: t('theServerHasTrouble', { status: response.status }),
      };
    return {
      key,
      state: 'refused',
      words: body.detail ?? t('refusedStatus', { status: response.status }),
    };
  } catch {
    return { key, state: 'unreached', words: t('theServerDoesNotAnswer') };
  }
}

export type TraceReader = typeof traceReader;

expose(traceReader);

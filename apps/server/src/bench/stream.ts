import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { ReceivedRecord } from '@cordel/core';
import type { Db } from '../db/client.ts';
import { newestSeq, recordsAfter } from './queries.ts';

/** How often a project is looked at for news, in ms: a record is on its way well within 300 ms. */
const LOOK = 60;
/** How often a stream says that it is there, in ms. */
const BEAT = 10_000;
/**
 * Numbers are drawn before a write is done, so one may show up after a higher one: it is looked that far back, and
 * nothing is sent twice.
 */
const LATE = 200;

type Listener = (records: readonly ReceivedRecord[]) => void;

/** What comes in for one project, looked for once for all who listen. */
class Feed {
  private readonly listeners = new Set<Listener>();
  private readonly known = new Set<string>();
  private place: number | null = null;
  private looking = false;

  constructor(
    private readonly db: Db,
    private readonly projectId: string,
  ) {}

  /** @returns what ends the listening */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    void this.look();
    return () => this.listeners.delete(listener);
  }

  private async look(): Promise<void> {
    if (this.looking) return;
    this.looking = true;
    while (this.listeners.size > 0) {
      // Where the database is away for a while, it goes on once it is back.
      await this.tell().catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, LOOK));
    }
    this.looking = false;
  }

  private async tell(): Promise<void> {
    this.place ??= await newestSeq(this.db, this.projectId);
    const records = await recordsAfter(this.db, this.projectId, Math.max(0, this.place - LATE));
    const fresh = records.filter(({ id }) => !this.known.has(id));
    for (const { id, seq } of fresh) {
      this.known.add(id);
      this.place = Math.max(this.place, seq);
    }
    if (this.known.size > 4 * LATE) forget(this.known, 2 * LATE);
    if (fresh.length > 0) for (const listener of this.listeners) listener(fresh);
  }
}

const feeds = new WeakMap<Db, Map<string, Feed>>();

function feedOf(db: Db, projectId: string): Feed {
  const own = feeds.get(db) ?? new Map<string, Feed>();
  feeds.set(db, own);
  const feed = own.get(projectId) ?? new Feed(db, projectId);
  own.set(projectId, feed);
  return feed;
}

/**
 * Server-sent events with the records of a project as they come in. It looks into the database, so that
 * it works however many processes serve one. The place in the stream is the event's id: a client that
 * was cut off goes on from there.
 */
export function streamRecords(c: Context, db: Db, projectId: string, after: number): Response {
  c.header('x-accel-buffering', 'no');
  return streamSSE(c, async (stream) => {
    const waiting: ReceivedRecord[] = [];
    const sent = new Set<string>();
    let wake: () => void = () => undefined;
    const send = async (record: ReceivedRecord) => {
      if (record.seq <= after || sent.has(record.id)) return;
      sent.add(record.id);
      if (sent.size > 8 * LATE) forget(sent, 4 * LATE);
      await stream.writeSSE({
        event: 'record',
        id: String(record.seq),
        data: JSON.stringify(record),
      });
    };
    // First it listens, then it reads what was there: nothing falls in between.
    const end = feedOf(db, projectId).listen((records) => {
      waiting.push(...records);
      wake();
    });
    stream.onAbort(() => wake());
    try {
      await stream.writeSSE({ event: 'here', data: '' });
      let place = after;
      for (;;) {
        const page = await recordsAfter(db, projectId, place);
        for (const record of page) await send(record);
        if (page.length === 0) break;
        place = page.at(-1)!.seq;
      }
      while (!stream.aborted && !stream.closed) {
        for (const record of waiting.splice(0)) await send(record);
        let beat: NodeJS.Timeout | undefined;
        const beaten = await new Promise<boolean>((resolve) => {
          wake = () => resolve(false);
          beat = setTimeout(() => resolve(true), BEAT);
          if (waiting.length > 0 || stream.aborted) resolve(false);
        });
        clearTimeout(beat);
        if (beaten) await stream.writeSSE({ event: 'here', data: '' });
      }
    } finally {
      end();
    }
  });
}

/** Drops the oldest of a set but for the newest `keep`. */
function forget(set: Set<string>, keep: number): void {
  for (const id of set) {
    if (set.size <= keep) return;
    set.delete(id);
  }
}

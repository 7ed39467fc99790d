import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Db } from '../db/client.ts';
import { recordsAfter } from './queries.ts';

/** How often a stream looks for news, in ms: a record is on its way well within 300 ms. */
const LOOK = 60;
/** How often it says that it is there, in ms. */
const BEAT = 10_000;
/**
 * Numbers are drawn before a write is done, so one may show up after a higher one: the stream looks that
 * far back, and sends nothing twice.
 */
const LATE = 200;

/**
 * Server-sent events with the records of a project as they come in. It looks into the database, so that
 * it works however many processes serve one. The place in the stream is the event's id: a client that
 * was cut off goes on from there.
 */
export function streamRecords(c: Context, db: Db, projectId: string, after: number): Response {
  c.header('x-accel-buffering', 'no');
  return streamSSE(c, async (stream) => {
    const sent = new Set<string>();
    let place = after;
    let beat = 0;
    while (!stream.aborted && !stream.closed) {
      for (const record of await recordsAfter(db, projectId, Math.max(after, place - LATE))) {
        if (sent.has(record.id)) continue;
        sent.add(record.id);
        place = Math.max(place, record.seq);
        await stream.writeSSE({
          event: 'record',
          id: String(record.seq),
          data: JSON.stringify(record),
        });
      }
      if (sent.size > 4 * LATE) forget(sent, 2 * LATE);
      if (Date.now() - beat > BEAT) {
        beat = Date.now();
        await stream.writeSSE({ event: 'here', data: '' });
      }
      await stream.sleep(LOOK);
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

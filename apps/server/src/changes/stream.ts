import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Db } from '../db/client.ts';
import { type ChangeCursor, cursorText, isCursorAfter } from '@cordel/core';
import { type Feeds, type Told, answerOfChanges } from './feeds.ts';
import { changesAfter } from './queries.ts';

/** How often a stream says that it is there, in ms. */
const HERE_MS = 10_000;

/**
 * Server-sent events with what is written in a project after a cursor, as it is written. An event's id is the
 * cursor behind it: a client that was cut off goes on from there.
 * @param mayGoOn whether whoever reads still may: asked again and again, for a stream has no end of its own
 */
export function streamChanges(
  c: Context,
  db: Db,
  feeds: Feeds,
  projectId: string,
  after: ChangeCursor,
  mayGoOn: () => Promise<boolean>,
): Response {
  c.header('x-accel-buffering', 'no');
  return streamSSE(c, async (stream) => {
    const waiting: Told[] = [];
    let wake: () => void = () => undefined;
    // First it listens, then it reads what was there: nothing falls in between.
    const listening = await feeds.listen(projectId, (told) => {
      waiting.push(told);
      wake();
    });
    stream.onAbort(() => wake());
    let place = after;
    const send = (cursor: ChangeCursor, data: string) => {
      place = cursor;
      return stream.writeSSE({ event: 'changes', id: cursorText(cursor), data });
    };
    /** What the database has behind the place. */
    const catchUp = async () => {
      for (let more = true; more && !stream.aborted;) {
        const found = await changesAfter(db, projectId, place);
        more = found.more;
        if (isCursorAfter(found.cursor, place))
          await send(found.cursor, JSON.stringify(answerOfChanges(found)));
      }
    };
    const here = () => stream.writeSSE({ event: 'here', data: '' });
    try {
      await here();
      await catchUp();
      // All before that had been done when it was read.
      if (isCursorAfter(listening.place, place)) place = listening.place;
      let checkedAt = Date.now();
      while (!stream.aborted && !stream.closed) {
        if (Date.now() - checkedAt >= HERE_MS) {
          if (!(await mayGoOn())) return;
          checkedAt = Date.now();
        }
        for (const told of waiting.splice(0)) {
          if (!isCursorAfter(told.cursor, place)) continue;
          // What it begins after is here, or else it is read by itself.
          if (isCursorAfter(told.from, place) || isCursorAfter(place, told.from)) await catchUp();
          else await send(told.cursor, told.text);
        }
        let timer: NodeJS.Timeout | undefined;
        const isSilent = await new Promise<boolean>((resolve) => {
          wake = () => resolve(false);
          timer = setTimeout(() => resolve(true), HERE_MS);
          if (waiting.length > 0 || stream.aborted) resolve(false);
        });
        clearTimeout(timer);
        if (isSilent) await here();
      }
    } finally {
      listening.end();
    }
  });
}

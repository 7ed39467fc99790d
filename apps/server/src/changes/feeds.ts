import type { Db } from '../db/client.ts';
import type { Notices } from '../db/notices.ts';
import type { ChangesAnswer } from './change.ts';
import { type ChangeCursor, cursorText, isCursorAfter } from '@cordel/core';
import { type Changes, changesAfter, cursorNow } from './queries.ts';

/** How soon it is looked again where a write under way holds others back, in ms. */
const HELD_MS = 20;
/** How soon after one reading the next may follow, in ms: many writes at once are told together. */
const TOGETHER_MS = 15;
/** After a database that was away for a while, in ms. */
const AGAIN_MS = 500;

/** What is told: an answer as it goes on the wire, and its place. */
export interface Told {
  from: ChangeCursor;
  cursor: ChangeCursor;
  text: string;
}

type Listener = (told: Told) => void;

interface Listening {
  /** What is written after it is told. */
  place: ChangeCursor;
  end(): void;
}

export const answerOfChanges = ({ cursor, changes, reset, more }: Changes): ChangesAnswer => ({
  cursor: cursorText(cursor),
  changes,
  reset,
  more,
});

/** What is written in one project, read once for all who listen. */
class Feed {
  private readonly listeners = new Set<Listener>();
  private place: ChangeCursor | null = null;
  private reading = false;
  private again = false;

  constructor(
    private readonly db: Db,
    private readonly projectId: string,
  ) {}

  get isIdle(): boolean {
    return this.listeners.size === 0;
  }

  async listen(listener: Listener): Promise<Listening> {
    this.listeners.add(listener);
    const place = (this.place ??= await cursorNow(this.db));
    return { place, end: () => this.listeners.delete(listener) };
  }

  /** Something was written: it is read, after what is being read. */
  wake(): void {
    if (this.isIdle) {
      // Who comes later reads from the database what they missed.
      this.place = null;
      return;
    }
    this.again = true;
    if (!this.reading) void this.read();
  }

  private async read(): Promise<void> {
    this.reading = true;
    while (this.again && !this.isIdle) {
      this.again = false;
      try {
        const found = await this.next();
        if (found === 'more') this.again = true;
        else if (found === 'held') {
          this.again = true;
          await pause(HELD_MS);
        } else await pause(TOGETHER_MS);
      } catch {
        this.again = true;
        await pause(AGAIN_MS);
      }
    }
    this.reading = false;
  }

  private async next(): Promise<'more' | 'held' | 'all'> {
    const from = (this.place ??= await cursorNow(this.db));
    const found = await changesAfter(this.db, this.projectId, from);
    if (isCursorAfter(found.cursor, from)) {
      this.place = found.cursor;
      const text = JSON.stringify(answerOfChanges(found));
      for (const listener of this.listeners) listener({ from, cursor: found.cursor, text });
    }
    return found.more ? 'more' : found.held ? 'held' : 'all';
  }
}

/** The feeds of all projects that somebody listens to. */
export class Feeds {
  private readonly feeds = new Map<string, Feed>();

  constructor(
    private readonly db: Db,
    notices: Notices,
  ) {
    notices.listen((projectId) => {
      const woken = projectId === null ? [...this.feeds.values()] : [this.feeds.get(projectId)];
      for (const feed of woken) feed?.wake();
    });
  }

  async listen(projectId: string, listener: Listener): Promise<Listening> {
    const feed = this.feeds.get(projectId) ?? new Feed(this.db, projectId);
    this.feeds.set(projectId, feed);
    const { place, end } = await feed.listen(listener);
    return {
      place,
      end: () => {
        end();
        if (feed.isIdle) this.feeds.delete(projectId);
      },
    };
  }
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

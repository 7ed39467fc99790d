import { type Api, answerOf } from '../api/api.ts';
import type { paths } from '../api/paths.ts';
import { isCursorAfter, readCursor } from '@cordel/core';

/** What was written after a cursor, as the server tells it. */
export type Changes =
  paths['/api/projects/{projectId}/changes']['get']['responses'][200]['content']['application/json'];
export type Change = Changes['changes'][number];

export interface FeedOptions {
  api: Api;
  projectId: string;
  /** What is shown is as it was here. */
  cursor: string;
  /** Told what anybody has written since, each once. */
  onChanges: (changes: readonly Change[]) => void;
  /** Told that too much was written to be told one by one: all has to be asked for again. */
  onReset: () => void;
  /** Told whether what is written comes at once. */
  onLive: (isLive: boolean) => void;
  /** Where the server is; by default where the page came from. */
  origin?: string;
  /** By default the platform's own. */
  newSource?: (url: string) => EventSource;
}

/** The server says every 10 s that a stream stands: after so long without a word it is opened anew, in ms. */
const SILENT_MS = 25_000;
/** A stream that the server ended is opened again after, in ms. */
const AGAIN_MS = 2000;

/** Whether a place is behind another; a text that is none is behind nothing. */
function isBehind(text: string, other: string): boolean {
  const [a, b] = [readCursor(text), readCursor(other)];
  return a !== null && b !== null && isCursorAfter(a, b);
}

type Message = { kind: 'changes'; changes: Changes } | { kind: 'live'; isLive: boolean };

/**
 * What is written in a project, by whoever, as it is written. Of several pages of one browser one holds the stream and
 * tells the others, for a browser opens only a few lines to one server.
 */
export class ChangeFeed {
  private readonly options: FeedOptions;
  private readonly name: string;
  private readonly channel: BroadcastChannel | null;
  private readonly ended = new AbortController();
  private cursor: string;
  private source: EventSource | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(options: FeedOptions) {
    this.options = options;
    this.cursor = options.cursor;
    this.name = `cordel-changes-${options.projectId}`;
    this.channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(this.name);
    if (this.channel)
      this.channel.onmessage = ({ data }: MessageEvent<Message>) => {
        if (data.kind === 'changes') this.take(data.changes);
        else this.changeLive(data.isLive);
      };
    void this.lead();
  }

  close(): void {
    this.ended.abort();
    this.drop();
    this.channel?.close();
  }

  private get isOver(): boolean {
    return this.ended.signal.aborted;
  }

  /** Waits until no other page holds the stream, then holds it until this one is closed. */
  private async lead(): Promise<void> {
    const { signal } = this.ended;
    if (typeof navigator === 'undefined' || !navigator.locks) return this.open();
    // Whoever holds the stream may have told already what this page does not have yet.
    void this.catchUp();
    const until = new Promise<void>((resolve) => signal.addEventListener('abort', () => resolve()));
    await navigator.locks
      .request(this.name, { signal }, () => {
        this.open();
        return until;
      })
      .catch(() => undefined);
  }

  private open(): void {
    if (this.isOver) return;
    this.drop();
    const { projectId, origin = '', newSource = (url) => new EventSource(url) } = this.options;
    const path = `/api/projects/${projectId}/changes/stream?since=${this.cursor}`;
    const source = newSource(`${origin}${path}`);
    this.source = source;
    this.received();
    source.onopen = () => this.setLive(true);
    source.onerror = () => {
      this.setLive(false);
      // Otherwise it opens again by itself.
      if (source.readyState === source.CLOSED) this.later(AGAIN_MS);
    };
    source.addEventListener('here', () => this.received());
    source.addEventListener('changes', ({ data }: MessageEvent<string>) => {
      this.received();
      const changes = JSON.parse(data) as Changes;
      this.take(changes);
      this.tell({ kind: 'changes', changes });
    });
  }

  private async catchUp(): Promise<void> {
    const { api, projectId } = this.options;
    for (let more = true; more && !this.isOver;) {
      const query = { since: this.cursor };
      const found = await answerOf(
        api.GET('/api/projects/{projectId}/changes', { params: { path: { projectId }, query } }),
      ).catch(() => null);
      if (!found) return;
      this.take(found);
      ({ more } = found);
    }
  }

  private take({ cursor, changes, reset }: Changes): void {
    if (this.isOver || !isBehind(cursor, this.cursor)) return;
    this.cursor = cursor;
    if (reset) this.options.onReset();
    else if (changes.length > 0) this.options.onChanges(changes);
  }

  private setLive(isLive: boolean): void {
    this.changeLive(isLive);
    this.tell({ kind: 'live', isLive });
  }

  private changeLive(isLive: boolean): void {
    this.options.onLive(isLive);
    // By a plain answer too: it tells of a newer build of the page.
    if (isLive) void this.catchUp();
  }

  private tell(message: Message): void {
    if (!this.isOver) this.channel?.postMessage(message);
  }

  private received(): void {
    this.later(SILENT_MS);
  }

  private later(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.setLive(false);
      this.open();
    }, ms);
  }

  private drop(): void {
    clearTimeout(this.timer);
    this.source?.close();
    this.source = null;
  }
}

import { createApi } from '../api/api.ts';
import { serverAnswer } from '../api/serverAnswer.testing.ts';
import { type Change, ChangeFeed, type Changes } from './feed.ts';

/** A stream as a browser has it, told by hand. */
class HandSource extends EventTarget {
  static made: HandSource[] = [];
  readonly CLOSED = 2;
  readyState = 1;
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    super();
    HandSource.made.push(this);
  }
  close(): void {
    this.readyState = this.CLOSED;
  }
  say(changes: Changes): void {
    this.dispatchEvent(new MessageEvent('changes', { data: JSON.stringify(changes) }));
  }
}

const changesTo = (cursor: string, ...ids: string[]): Changes => ({
  cursor,
  changes: ids.map((id) => ({ kind: 'cable', id })),
  reset: false,
  more: false,
});

let feeds: ChangeFeed[] = [];
beforeEach(() => {
  HandSource.made = [];
});
afterEach(() => {
  feeds.forEach((feed) => feed.close());
  feeds = [];
});

/** @param kept what the server has behind each cursor */
function open(kept: Record<string, Changes> = {}, cursor = '10-0') {
  const told: string[] = [];
  const live: boolean[] = [];
  let resets = 0;
  const asked: string[] = [];
  const api = createApi({
    origin: 'http://cordel.test',
    fetch: async (request) => {
      const since = new URL(request.url).searchParams.get('since')!;
      asked.push(since);
      return serverAnswer(kept[since] ?? changesTo(since));
    },
  });
  const feed = new ChangeFeed({
    api,
    projectId: 'p1',
    cursor,
    onChanges: (changes: readonly Change[]) =>
      told.push(...changes.map((change) => ('id' in change ? change.id : change.kind))),
    onReset: () => resets++,
    onLive: (isLive) => live.push(isLive),
    newSource: (url) => new HandSource(url) as unknown as EventSource,
  });
  feeds.push(feed);
  return { feed, told, live, asked, resets: () => resets };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 30));

describe('what others write', () => {
  it('comes in order, each once, whatever is told twice', async () => {
    const { told } = open();
    const [source] = HandSource.made;
    expect(source!.url).toBe('/api/projects/p1/changes/stream?since=10-0');
    source!.say(changesTo('11-4', 'a', 'b'));
    source!.say(changesTo('11-4', 'a', 'b'));
    source!.say(changesTo('9-9', 'old'));
    source!.say(changesTo('12-1', 'c'));
    expect(told).toEqual(['a', 'b', 'c']);
  });

  it('is caught up with, page by page, once the line stands', async () => {
    const { told, live, asked } = open({
      '10-0': { ...changesTo('11-1', 'a'), more: true },
      '11-1': changesTo('12-1', 'b'),
    });
    HandSource.made[0]!.onopen!();
    await settled();
    expect(told).toEqual(['a', 'b']);
    expect(asked).toEqual(['10-0', '11-1']);
    expect(live).toEqual([true]);
  });

  it('is asked for again as a whole where it is too much', () => {
    const { told, resets } = open();
    HandSource.made[0]!.say({ ...changesTo('90-1', 'a'), reset: true });
    expect([told, resets()]).toEqual([[], 1]);
  });

  it('goes on from its place when the server has ended the stream', async () => {
    jest.useFakeTimers();
    const { live } = open();
    const [source] = HandSource.made;
    source!.say(changesTo('11-1', 'a'));
    source!.readyState = source!.CLOSED;
    source!.onerror!();
    expect(live).toEqual([false]);
    jest.advanceTimersByTime(2000);
    expect(HandSource.made[1]!.url).toMatch(/since=11-1$/);
    // A line that says nothing for long is no line.
    jest.advanceTimersByTime(25_000);
    expect(HandSource.made).toHaveLength(3);
    jest.useRealTimers();
  });

  it('is not told any more once it is closed', () => {
    const { feed, told } = open();
    feed.close();
    HandSource.made[0]!.say(changesTo('11-1', 'a'));
    expect(told).toEqual([]);
    expect(HandSource.made[0]!.readyState).toBe(2);
  });
});

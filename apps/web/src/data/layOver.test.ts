import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { layOver } from './layOver';

/** Lets everything happen that waits for nobody. */
const turn = () => new Promise((resolve) => setTimeout(resolve));

/** A page that shows the closing of a closure, and a server that answers when it is told to. */
function page() {
  const queryClient = new QueryClient();
  const waiting: ((answer: string[]) => void)[] = [];
  const observer = new QueryObserver<string[]>(queryClient, {
    queryKey: ['closing', 'a closure'],
    queryFn: () => new Promise((resolve) => waiting.push(resolve)),
  });
  const end = observer.subscribe(() => undefined);
  const answer = async (entries: string[]) => {
    waiting.shift()!(entries);
    await turn();
  };
  return { queryClient, waiting, observer, answer, end };
}

const add = (entry: string) => (held: string[]) => [...held, entry];

describe('what a write changes on a page', () => {
  it('leaves no page without its first answer: what was on its way is asked for anew', async () => {
    const { queryClient, waiting, observer, answer, end } = page();
    await turn();
    expect(waiting).toHaveLength(1);
    layOver(queryClient, 'closing', add('delivered'));
    await turn();
    expect(waiting).toHaveLength(2);
    await answer([]);
    expect(observer.getCurrentResult().data).toBeUndefined();
    await answer(['delivered']);
    expect(observer.getCurrentResult().data).toEqual(['delivered']);
    end();
  });

  it('shows at once, and is not taken back by an answer from before', async () => {
    const { queryClient, waiting, observer, answer, end } = page();
    await turn();
    await answer(['first']);
    void queryClient.invalidateQueries({ queryKey: ['closing'] });
    await turn();
    layOver(queryClient, 'closing', add('delivered'));
    expect(observer.getCurrentResult().data).toEqual(['first', 'delivered']);
    await answer(['first']);
    expect(observer.getCurrentResult().data).toEqual(['first', 'delivered']);
    expect(waiting).toHaveLength(1);
    await answer(['first', 'delivered', 'another']);
    expect(observer.getCurrentResult().data).toEqual(['first', 'delivered', 'another']);
    end();
  });

  it('asks for nothing where nothing is on its way', async () => {
    const { queryClient, waiting, answer, end } = page();
    await turn();
    await answer(['first']);
    layOver(queryClient, 'closing', add('delivered'));
    await turn();
    expect(waiting).toHaveLength(0);
    end();
  });
});

import { shared } from './shared.ts';

/** A reading that ends when it is told to. */
function readings() {
  const ends: ((result: number) => void)[] = [];
  let count = 0;
  const read = () => {
    count++;
    return new Promise<number>((resolve) => ends.push(resolve));
  };
  return { read, ends, count: () => count };
}

describe('a reading that is shared', () => {
  it('is made once for all who ask while another is under way, and begins after they asked', async () => {
    const owner = {};
    const { read, ends, count } = readings();
    const first = shared(owner, 'rows', read);
    const others = [1, 2, 3].map(() => shared(owner, 'rows', read));
    expect(count()).toBe(1);
    ends[0]!(10);
    expect(await first).toBe(10);
    while (count() === 1) await Promise.resolve();
    ends[1]!(20);
    expect(await Promise.all(others)).toEqual([20, 20, 20]);
    expect(count()).toBe(2);
  });

  it('is made anew by who asks later, also after one that failed', async () => {
    const owner = {};
    await expect(shared(owner, 'rows', () => Promise.reject(new Error('away')))).rejects.toThrow();
    expect(await shared(owner, 'rows', () => Promise.resolve(1))).toBe(1);
    expect(await shared(owner, 'rows', () => Promise.resolve(2))).toBe(2);
  });

  it('is apart by name and by owner', async () => {
    const owner = {};
    const names = ['a', 'b'].map((name) => shared(owner, name, () => Promise.resolve(name)));
    expect(await Promise.all([...names, shared({}, 'a', () => Promise.resolve('other'))])).toEqual([
      'a',
      'b',
      'other',
    ]);
  });
});

import { originOfAll } from './origin.ts';

describe('the origin of what follows from several figures', () => {
  it('is simulated as soon as one of them is', () => {
    expect(originOfAll(['instrument', 'typed', 'simulated', 'instrument'])).toBe('simulated');
  });

  it('is typed where one was typed, and the instrument’s where all are', () => {
    expect(originOfAll(['instrument', 'typed', 'instrument'])).toBe('typed');
    expect(originOfAll(['instrument', 'instrument'])).toBe('instrument');
  });

  it('is none of nothing', () => {
    expect(originOfAll([])).toBeNull();
  });
});

import { badText } from './text.ts';

describe('text that cannot be kept', () => {
  it.each([
    ['plain', { name: 'Mill', list: ['Café', '測試', '🧵'] }, null],
    ['NUL', { name: 'a\0b' }, '/name'],
    ['a lone high surrogate', { list: ['x', { 'a/b': 'cut \ud83e' }] }, '/list/1/a~1b'],
    ['a lone low surrogate', ['\udde8'], '/0'],
    ['a key', { 'a\0': 1 }, '/a\0'],
    ['a text alone', '\ud800', ''],
    ['no text at all', { count: 1, none: null, yes: true }, null],
  ])('%s', (_, body, place) => expect(badText(body)).toBe(place));

  it('is found at any depth', () => {
    let deep: unknown = 'x\0';
    for (let depth = 0; depth < 100_000; depth++) deep = [deep];
    expect(badText(deep)).toHaveLength(200_000);
  });
});

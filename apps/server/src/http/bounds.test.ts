import { exceeded } from './bounds.ts';

const bounds = { depth: 3, values: 5, text: 10 };

describe('bounds of a JSON text', () => {
  it.each([
    ['[1,2,3]', null],
    ['[[[1]]]', null],
    ['[[[[1]]]]', 'depth'],
    ['{"a":{"b":{"c":{}}}}', 'depth'],
    ['[1,2,3,4,5,6]', 'values'],
    ['[{},{},{}]', 'values'],
    ['"0123456789"', null],
    ['"01234567890"', 'text'],
    // Signs inside a text are text.
    [String.raw`["[[[[","\"[","{,,,"]`, null],
    [String.raw`"\\"`, null],
    ['"never closed', 'text'],
    ['', null],
  ])('%s: %s', (json, exceeds) => expect(exceeded(json, bounds)).toBe(exceeds));

  it('are found before anything is built', () => {
    expect(exceeded('['.repeat(30_000_000), { ...bounds, values: 1e9 })).toBe('depth');
  });
});

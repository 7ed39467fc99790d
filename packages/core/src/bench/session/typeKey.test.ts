import { parseKeypad } from '../../measure/index.ts';
import { MOST_ESTIMATE } from '../../record/index.ts';
import { typeKey } from './typeKey.ts';

const typed = (keys: string[], signed = false) =>
  keys.reduce((text, key) => typeKey(text, key, signed), '');
const mdb = (keys: string[]) => {
  const read = parseKeypad(typed(keys, true), MOST_ESTIMATE);
  return read.ok ? read.value : read.error;
};

describe('keys of the keypad', () => {
  it.each([
    [['2'], 20],
    [['1', '2'], 120],
    [['.', '0', '1', '5'], 15],
    [['0', '.', '.', '5'], 500],
    [['2', 'back', '3'], 30],
    [['5', 'sign'], -50],
    [['sign', '5', 'sign'], 50],
  ])('%j is %i thousandths of a dB', (keys, value) => expect(mdb(keys)).toBe(value));

  it('knows no sign where none is meant, and no end of digits', () => {
    expect(typed(['sign', '5'])).toBe('5');
    expect(typed('123456789'.split(''))).toBe('123456');
    expect(typed(['back'])).toBe('');
  });
});

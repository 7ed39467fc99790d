import { cursorText, isCursorAfter, readCursor } from './changeCursor.ts';

const isAfter = (a: string, b: string) => isCursorAfter(readCursor(a)!, readCursor(b)!);

test('places are in the order of their transactions, then of their numbers', () => {
  expect(isAfter('9-9', '10-0')).toBe(false);
  expect(isAfter('10-10', '10-9')).toBe(true);
  expect(isAfter('10-9', '10-9')).toBe(false);
  // Transactions are numbered past what a double holds (2 to the power of 53).
  expect(isAfter('9007199254740993-1', '9007199254740992-2')).toBe(true);
});

test('a place is read as it was written, and nothing else is one', () => {
  expect(cursorText(readCursor('9007199254740993-12')!)).toBe('9007199254740993-12');
  for (const text of ['', '1', '1-', '-1-1', '1-1-1', 'a-1']) expect(readCursor(text)).toBeNull();
});

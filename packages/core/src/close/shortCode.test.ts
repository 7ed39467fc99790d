import fc from 'fast-check';
import { parseCode, shortCode } from './shortCode.ts';

const id = fc.uuid({ version: 7 });
const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

describe('short codes', () => {
  it('read back, however they are typed', () => {
    fc.assert(
      fc.property(id, (one) => {
        const code = shortCode(one);
        expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{4}-[0-9A-HJKMNP-TV-Z]{4}$/);
        const typed = code.toLowerCase().replace('-', ' ').replace(/0/g, 'o').replace(/1/g, 'l');
        return [code, typed, code.replace('-', '')].every((text) => {
          const read = parseCode(text);
          return read.ok && read.value === code;
        });
      }),
    );
  });

  it('find every single slip', () => {
    fc.assert(
      fc.property(id, fc.nat(7), fc.nat(30), (one, at, shift) => {
        const bare = shortCode(one).replace('-', '');
        const wrong = DIGITS[(DIGITS.indexOf(bare[at]!) + 1 + shift) % 32]!;
        return !parseCode(bare.slice(0, at) + wrong + bare.slice(at + 1)).ok;
      }),
    );
  });

  it('are not the same for two closures of a project', () => {
    const codes = fc.sample(id, 2000).map(shortCode);
    expect(new Set(codes).size).toBe(2000);
  });

  it.each(['', '4K7M', '4K7M-Q2Z', '4K7M-Q2Z*', 'http://x/c/4K7M'])('refuse “%s”', (text) => {
    expect(parseCode(text).ok).toBe(false);
  });
});

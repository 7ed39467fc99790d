import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { canonicalize as another } from 'json-canonicalize';
import { canonicalText, digestOf } from './canonical.ts';

describe('canonical form', () => {
  it('is that of RFC 8785', () => {
    // Source: RFC 8785, sections 3.2.2 and 3.2.3 (from memory).
    const sample = {
      numbers: [Number('333333333.33333329'), 1e30, 4.5, 2e-3, 0.000000000000000000000000001],
      string: '€$\u000F\u000aA\'\u0042\u0022\u005c\\"/',
      literals: [null, true, false],
    };
    expect(canonicalText(sample)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    );
  });

  it('agrees with another library on any JSON', () => {
    fc.assert(fc.property(fc.jsonValue(), (value) => canonicalText(value) === another(value)));
  });

  it('does not hang on the order of keys', () => {
    expect(canonicalText({ b: 1, a: { d: 2, c: 3 } })).toBe(
      canonicalText({ a: { c: 3, d: 2 }, b: 1 }),
    );
  });

  it('refuses what JSON has not', () => {
    expect(() => canonicalText(undefined)).toThrow(/JSON/);
  });

  it('is named by SHA-256', () => {
    // Source: FIPS 180-2, appendix B.1.
    expect(digestOf('abc')).toBe(
      'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
    );
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        (text) => digestOf(text) === createHash('sha256').update(text).digest('hex'),
      ),
    );
  });
});

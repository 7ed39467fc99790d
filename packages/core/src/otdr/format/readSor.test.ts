import fc from 'fast-check';
import { crc16 } from './crc16.ts';
import { readSor } from './readSor.ts';
import { LIGHT, firstSampleOf, levelsOf, metersOf, spacingOf } from './sorFile.ts';
import { smallTrace } from './traces.testing.ts';
import { copySor, writeSor } from './writeSor.ts';

const read = (bytes: Uint8Array) => {
  const file = readSor(bytes);
  if (!file.ok) throw new Error(file.error.code);
  return file.value;
};

// Catalogue of CRC algorithms, CRC-16/IBM-3740, from memory.
test('the checksum of “123456789” is 0x29B1', () =>
  expect(crc16(new TextEncoder().encode('123456789'))).toBe(0x29b1));

describe('a trace file that is written and read again', () => {
  const trace = smallTrace();
  const bytes = writeSor(trace);
  const file = read(bytes);

  it('has all its fields, and no warning', () => {
    expect(file.general).toEqual(trace.general);
    expect(file.supplier).toEqual(trace.supplier);
    expect(file.fixed).toEqual(trace.fixed);
    expect(file.keyEvents).toEqual(trace.keyEvents);
    expect([...file.data.raw]).toEqual([...trace.samples]);
    expect(file.checksum).toMatchObject({ ok: true });
    expect(file.warnings).toEqual([]);
  });

  it('is the same byte for byte when it is copied', () =>
    expect(Buffer.compare(copySor(file), bytes)).toBe(0));

  it('is read from a view into other bytes as well, such as Node’s buffers are', () => {
    const pool = Buffer.alloc(bytes.length + 9);
    pool.set(bytes, 5);
    const view = pool.subarray(5, 5 + bytes.length);
    expect([...read(view).data.raw]).toEqual([...trace.samples]);
  });

  it('places samples by the speed of light: 1 us of one way at 1.4682 is 204.19 m', () => {
    // c = 299 792 458 m/s, SI; half of that is what a round trip of 1 us stands for: 102.095 m.
    expect(metersOf(10_000, 146_820)).toBeCloseTo(2 * 102.095, 2);
    expect(spacingOf(file.fixed)).toBeCloseTo((2_500_000 * 1e-14 * LIGHT) / 1.4682, 9);
    expect(firstSampleOf({ ...file.fixed, acquisitionOffset: 10_000 })).toBeCloseTo(204.19, 2);
  });

  it('takes levels below nothing, by the scale factor', () => {
    expect(
      levelsOf({
        runs: [{ count: 2, scale: 1000 }],
        raw: Uint16Array.of(0, 12_345),
        statedCount: 2,
      })[1],
    ).toBeCloseTo(-12.345, 4);
    expect(
      levelsOf({ runs: [{ count: 1, scale: 2000 }], raw: Uint16Array.of(500), statedCount: 1 })[0],
    ).toBeCloseTo(-1, 5);
  });
});

/** A file of revision 100: no names before blocks, fewer fields. */
function oldFile(): Uint8Array {
  const parts: number[] = [];
  const u16 = (value: number) => parts.push(value & 255, (value >> 8) & 255);
  const u32 = (value: number) => (u16(value & 0xffff), u16((value >>> 16) & 0xffff));
  const text = (words: string) => (parts.push(...Buffer.from(words, 'latin1')), parts.push(0));
  const block = (write: () => void): number[] => {
    const from = parts.length;
    write();
    return parts.splice(from);
  };
  const general = block(() => {
    parts.push(...Buffer.from('EN'));
    text('K');
    text('7');
    u16(1310);
    ['here', 'there', ''].forEach(text);
    parts.push(...Buffer.from('BC'));
    u32(0);
    text('M.');
    text('');
  });
  const fixed = block(() => {
    u32(1_000_000);
    parts.push(...Buffer.from('mt'));
    u16(13_100);
    u32(0);
    u16(1);
    u16(100);
    u32(5_000_000);
    u32(4);
    u32(146_800);
    u16(800);
    u32(1000);
    u32(20_000);
    u32(0);
    u16(60_000);
    u16(1000);
    u16(0);
    u16(50);
    u16(60_000);
    u16(3000);
    parts.push(...Buffer.from('ST'));
    for (let corner = 0; corner < 4; corner++) u32(0);
  });
  const data = block(() => {
    u32(4);
    u16(1);
    u32(4);
    u16(1000);
    [1000, 1100, 1200, 1300].forEach(u16);
  });
  const blocks: [string, number[]][] = [
    ['GenParams', general],
    ['FxdParams', fixed],
    ['DataPts', data],
  ];
  const names = block(() =>
    blocks.forEach(([name, bytes]) => {
      text(name);
      u16(100);
      u32(bytes.length);
    }),
  );
  u16(100);
  u32(8 + names.length);
  u16(4);
  return Uint8Array.from([...parts, ...names, ...general, ...fixed, ...data]);
}

describe('a file of revision 100', () => {
  it('is read without names before its blocks', () => {
    const file = read(oldFile());
    expect(file).toMatchObject({
      revision: 100,
      general: { cableId: 'K', fiberId: '7', fiberType: null, wavelengthNm: 1310 },
      fixed: { groupIndex: 146_800, averagingTime: null, pulseWidthsNs: [100] },
      checksum: null,
      warnings: [],
    });
    expect([...file.data.raw]).toEqual([1000, 1100, 1200, 1300]);
    expect(Buffer.compare(copySor(file), oldFile())).toBe(0);
  });
});

describe('files that are not as they should be', () => {
  const bytes = writeSor(smallTrace());
  const placeOf = (name: string) =>
    Buffer.from(bytes).lastIndexOf(`${name}\0`, undefined, 'latin1');
  const changed = (at: number, ...values: number[]) => {
    const copy = bytes.slice();
    copy.set(values, at);
    return copy;
  };

  it.each([
    ['nothing', new Uint8Array(0), { code: 'endsBeforeField', block: 'Map', byte: 0 }],
    [
      'a picture',
      Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10),
      { code: 'notATraceFile', block: 'Map', byte: 0 },
    ],
    ['a map alone', bytes.slice(0, 60), { code: 'blockMissing', block: 'FxdParams' }],
  ])('%s: refused with block and byte', (_, file, error) =>
    expect(readSor(file)).toMatchObject({ ok: false, error }),
  );

  it('one that is cut off keeps the samples that are there, and says so', () => {
    const file = read(bytes.slice(0, placeOf('DataPts') + 20 + 100));
    expect(file.data.raw.length).toBeGreaterThan(40);
    expect(file.data.raw.length).toBeLessThan(64);
    expect(file.warnings).toMatchObject([
      { code: 'blockCutOff', block: 'DataPts', byte: placeOf('DataPts') },
      { code: 'blockNotThere', block: 'Cksum' },
      { code: 'samplesOfFactor', stated: 64, found: file.data.raw.length },
      { code: 'samplesInAll', stated: 64, found: file.data.raw.length },
    ]);
    expect(file.checksum).toBeNull();
  });

  it('a size in the Map that lies: the block is found by its name', () => {
    const entry = Buffer.from(bytes).indexOf('GenParams\0', undefined, 'latin1');
    const file = read(changed(entry + 12, 1));
    expect(file.warnings.map(({ code }) => code)).toContain('blockMoved');
    expect(file.general?.cableId).toBe('A');
    expect(Buffer.compare(copySor(file), changed(entry + 12, 1))).toBe(0);
  });

  it('counts of millions allocate nothing', () => {
    const data = placeOf('DataPts') + 8;
    const file = read(changed(data, 0xff, 0xff, 0xff, 0x7f, 1, 0, 0xff, 0xff, 0xff, 0x7f));
    expect(file.data.raw.length).toBeLessThan(bytes.length);
    expect(file.warnings).toContainEqual({
      code: 'samplesInAll',
      block: 'DataPts',
      byte: data + 6,
      stated: 0x7fffffff,
      found: file.data.raw.length,
    });
  });

  it('a wrong checksum is a warning; a group index of no glass is refused', () => {
    expect(read(changed(bytes.length - 1, bytes.at(-1)! ^ 1)).warnings).toMatchObject([
      { code: 'checksum', block: 'Cksum', byte: bytes.length - 2 },
    ]);
    const index = placeOf('FxdParams') + 10 + 4 + 2 + 2 + 4 + 4 + 2 + 2 * (2 + 4 + 4);
    expect(readSor(changed(index, 1, 0, 0, 0))).toMatchObject({
      error: { code: 'groupIndex', block: 'FxdParams', index: 1e-5 },
    });
  });

  it('20 000 mutated files: no crash, no hang, no more memory than the file, block and byte in every error', () => {
    let refused = 0;
    const cut = fc.integer({ min: 0, max: bytes.length });
    const places = fc.array(
      fc.tuple(fc.integer({ min: 0, max: bytes.length - 1 }), fc.integer({ min: 0, max: 255 })),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(cut, places, fc.boolean(), (end, list, whole) => {
        const file = bytes.slice(0, whole ? bytes.length : end);
        for (const [at, value] of list) if (at < file.length) file[at] = value;
        const outcome = readSor(file);
        if (!outcome.ok) {
          refused++;
          expect(outcome.error.byte).toBeLessThanOrEqual(file.length);
          return;
        }
        expect(outcome.value.data.raw.length * 2).toBeLessThanOrEqual(file.length);
        expect(copySor(outcome.value).length).toBeLessThanOrEqual(10 * file.length);
      }),
      { numRuns: 20_000 },
    );
    expect(refused).toBeGreaterThan(1000);
  });
});

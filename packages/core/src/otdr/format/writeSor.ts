import { crc16 } from './crc16.ts';
import type { Fixed, General, KeyEvents, SorFile, Supplier } from './sorFile.ts';

/** Puts a file together from its parts as they were read: unchanged, it is the same byte for byte. */
export function copySor({ map, blocks, rest }: SorFile): Uint8Array {
  return concat([map, ...blocks.map(({ bytes }) => bytes), rest]);
}

/** What a new trace file is made of. */
export interface NewTrace {
  general: General;
  supplier: Supplier;
  fixed: Fixed;
  keyEvents: KeyEvents;
  /** Samples as they are stored, scale factor 1: thousandths of a dB below 0. */
  samples: Uint16Array;
  /** Blocks of others, kept as they are. */
  others?: readonly { name: string; revision: number; bytes: Uint8Array }[];
}

/**
 * Writes a trace file, strictly: Telcordia SR-4731 issue 2, revision 200, the layout from memory. A map of
 * all blocks, their sizes with their names, a checksum over all that stands before it.
 */
export function writeSor(trace: NewTrace): Uint8Array {
  const { general, supplier, fixed, keyEvents, samples, others = [] } = trace;
  const blocks = [
    { name: 'GenParams', revision: 200, bytes: generalBytes(general) },
    { name: 'SupParams', revision: 200, bytes: supplierBytes(supplier) },
    { name: 'FxdParams', revision: 200, bytes: fixedBytes(fixed) },
    { name: 'KeyEvents', revision: 200, bytes: eventBytes(keyEvents) },
    { name: 'DataPts', revision: 200, bytes: dataBytes(samples) },
    ...others,
    { name: 'Cksum', revision: 200, bytes: named('Cksum').u16(0).bytes() },
  ];
  const map = new Writer().text('Map').u16(200);
  const size = 4 + 2 + 4 + 2 + blocks.reduce((sum, { name }) => sum + name.length + 1 + 2 + 4, 0);
  map.u32(size).u16(blocks.length + 1);
  for (const { name, revision, bytes } of blocks) map.text(name).u16(revision).u32(bytes.length);
  const file = concat([map.bytes(), ...blocks.map(({ bytes }) => bytes)]);
  new DataView(file.buffer).setUint16(file.length - 2, crc16(file, file.length - 2), true);
  return file;
}

function concat(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/** Writes little-endian fields one after the other. */
class Writer {
  private readonly parts: number[] = [];

  u16(value: number): this {
    this.parts.push(value & 0xff, (value >> 8) & 0xff);
    return this;
  }

  /** Signed and unsigned alike: two's complement. */
  u32(value: number): this {
    return this.u16(value & 0xffff).u16((value >>> 16) & 0xffff);
  }

  /** So many characters, short ones filled with blanks. */
  chars(text: string, count: number): this {
    for (const char of text.padEnd(count).slice(0, count))
      this.parts.push(char.charCodeAt(0) & 0xff);
    return this;
  }

  text(text: string): this {
    for (const char of text) {
      const code = char.charCodeAt(0);
      // The format knows one byte a character: what is none of these becomes a question mark.
      this.parts.push(code > 0 && code < 256 ? code : 0x3f);
    }
    this.parts.push(0);
    return this;
  }

  bytes(): Uint8Array {
    return Uint8Array.from(this.parts);
  }
}

const named = (name: string): Writer => new Writer().text(name);

const generalBytes = (general: General): Uint8Array =>
  named('GenParams')
    .chars(general.language, 2)
    .text(general.cableId)
    .text(general.fiberId)
    .u16(general.fiberType ?? 652)
    .u16(general.wavelengthNm)
    .text(general.fromLocation)
    .text(general.toLocation)
    .text(general.cableCode)
    .chars(general.dataFlag, 2)
    .u32(general.userOffset)
    .u32(general.userOffsetDistance ?? 0)
    .text(general.operator)
    .text(general.comment)
    .bytes();

const supplierBytes = (supplier: Supplier): Uint8Array =>
  named('SupParams')
    .text(supplier.supplier)
    .text(supplier.instrument)
    .text(supplier.serial)
    .text(supplier.module)
    .text(supplier.moduleSerial)
    .text(supplier.software)
    .text(supplier.other)
    .bytes();

function fixedBytes(fixed: Fixed): Uint8Array {
  const writer = named('FxdParams')
    .u32(fixed.measuredAtS)
    .chars(fixed.unit, 2)
    .u16(fixed.wavelength)
    .u32(fixed.acquisitionOffset)
    .u32(fixed.acquisitionOffsetDistance ?? 0)
    .u16(fixed.pulseWidthsNs.length);
  for (const width of fixed.pulseWidthsNs) writer.u16(width);
  for (const spacing of fixed.spacings) writer.u32(spacing);
  for (const count of fixed.sampleCounts) writer.u32(count);
  writer
    .u32(fixed.groupIndex)
    .u16(fixed.backscatter)
    .u32(fixed.averages)
    .u16(fixed.averagingTime ?? 0)
    .u32(fixed.range)
    .u32(fixed.rangeDistance ?? 0)
    .u32(fixed.frontPanelOffset)
    .u16(fixed.noiseFloor)
    .u16(fixed.noiseFloorScale)
    .u16(fixed.powerOffset)
    .u16(fixed.lossThreshold)
    .u16(fixed.reflectanceThreshold)
    .u16(fixed.endThreshold)
    .chars(fixed.traceType, 2);
  for (const corner of fixed.window) writer.u32(corner);
  return writer.bytes();
}

function eventBytes(keyEvents: KeyEvents): Uint8Array {
  const writer = named('KeyEvents').u16(keyEvents.events.length);
  for (const event of keyEvents.events) {
    writer
      .u16(event.number)
      .u32(event.time100ps)
      .u16(event.slopeMdbPerKm)
      .u16(event.lossMdb)
      .u32(event.reflectanceMdb)
      .chars(event.code, 6)
      .chars(event.method, 2);
    for (const time of event.times ?? [0, 0, 0, 0, 0]) writer.u32(time);
    writer.text(event.comment);
  }
  return writer
    .u32(keyEvents.totalLoss)
    .u32(keyEvents.lossStart)
    .u32(keyEvents.lossEnd)
    .u16(keyEvents.returnLoss)
    .u32(keyEvents.returnStart)
    .u32(keyEvents.returnEnd)
    .bytes();
}

function dataBytes(samples: Uint16Array): Uint8Array {
  const head = named('DataPts').u32(samples.length).u16(1).u32(samples.length).u16(1000).bytes();
  const body = new Uint8Array(samples.length * 2);
  const view = new DataView(body.buffer);
  samples.forEach((sample, index) => view.setUint16(index * 2, sample, true));
  return concat([head, body]);
}

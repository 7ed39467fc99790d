import { type Parsed, parsed, refused } from '../../record/parsed.ts';
import { crc16 } from './crc16.ts';
import { Cursor } from './cursor.ts';
import { type SorProblem, TraceError } from './problem.ts';
import type {
  General,
  Supplier,
  Fixed,
  KeyEvent,
  KeyEvents,
  DataPoints,
  SorBlock,
  SorFile,
} from './sorFile.ts';

interface Entry {
  name: string;
  revision: number;
  size: number;
}

/** Names in a Map are short; a longer one is no name. */
const LONGEST_NAME = 64;

/**
 * Reads a trace file (Telcordia SR-4731 issue 2, revision 200, and GR-196, revision 100; the layout from
 * memory). It survives files that are cut off, sizes and counts that lie, blocks that are missing; what
 * cannot be read is refused with block and byte.
 */
export function readSor(bytes: Uint8Array): Parsed<SorFile, SorProblem> {
  try {
    return parsed(new SorReader(bytes).read());
  } catch (error) {
    if (error instanceof TraceError) return refused(error.problem);
    throw error;
  }
}

class SorReader {
  private readonly warnings: SorProblem[] = [];
  private readonly bytes: Uint8Array;
  private named = true;
  private revision = 200;

  constructor(bytes: Uint8Array) {
    // A view of its own: slices of Node's buffers share memory, those of arrays do not.
    this.bytes = new Uint8Array(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  }

  read(): SorFile {
    const { entries, end } = this.readMap();
    const blocks: SorBlock[] = [];
    const found = new Map<string, { start: number; end: number }>();
    let at = end;
    for (const { name, revision, size } of entries) {
      let start = at;
      let stop = start + size;
      if (this.named && !this.isNamed(start, name)) {
        const real = this.seek(name, end);
        if (real < 0) {
          this.warnings.push({ code: 'blockNotThere', block: name, byte: start });
          continue;
        }
        this.warnings.push({ code: 'blockMoved', block: name, byte: start, found: real });
        if (real < at) continue;
        // What lies between belongs to the block before, whose size is what lies.
        const before = blocks.at(-1);
        if (real > at && before) {
          const from = at - before.bytes.length;
          before.bytes = this.bytes.subarray(from, real);
          const known = found.get(before.name);
          if (known?.start === from) known.end = real;
        } else if (real > at)
          blocks.push({ name: '', revision: 0, bytes: this.bytes.subarray(at, real) });
        start = real;
        stop = start + size;
      }
      if (stop > this.bytes.length) {
        const missing = stop - this.bytes.length;
        this.warnings.push({ code: 'blockCutOff', block: name, byte: start, missing });
        stop = this.bytes.length;
      }
      if (start >= this.bytes.length) break;
      blocks.push({ name, revision, bytes: this.bytes.subarray(start, stop) });
      if (!found.has(name)) found.set(name, { start, end: stop });
      at = stop;
    }
    const part = <T>(name: string, read: (cursor: Cursor) => T): T | null => {
      const place = found.get(name);
      if (!place) return null;
      const cursor = new Cursor(this.bytes, name, place.start, place.end);
      if (this.named) cursor.text('name');
      return read(cursor);
    };
    const tolerant = <T>(name: string, read: (cursor: Cursor) => T): T | null => {
      try {
        return part(name, read);
      } catch (error) {
        if (!(error instanceof TraceError)) throw error;
        this.warnings.push(error.problem);
        return null;
      }
    };
    const fixed = part('FxdParams', (cursor) => this.readFixed(cursor));
    // Without it no sample has a place.
    if (!fixed) throw new TraceError({ code: 'blockMissing', block: 'FxdParams', byte: end });
    const data = part('DataPts', (cursor) => this.readData(cursor));
    if (!data) throw new TraceError({ code: 'blockMissing', block: 'DataPts', byte: end });
    if (data.raw.length === 0)
      throw new TraceError({
        code: 'noSamples',
        block: 'DataPts',
        byte: found.get('DataPts')!.start,
      });
    if (!found.has('GenParams'))
      this.warnings.push({ code: 'blockMissing', block: 'GenParams', byte: end });
    return {
      revision: this.revision,
      map: this.bytes.subarray(0, end),
      blocks,
      rest: this.bytes.subarray(at),
      general: tolerant('GenParams', (cursor) => this.readGeneral(cursor)),
      supplier: tolerant('SupParams', readSupplier),
      fixed,
      keyEvents: tolerant('KeyEvents', (cursor) => this.readEvents(cursor)),
      data,
      checksum: tolerant('Cksum', (cursor) => this.readChecksum(cursor)),
      warnings: this.warnings,
    };
  }

  private isNamed(at: number, name: string): boolean {
    if (at + name.length + 1 > this.bytes.length) return false;
    for (let index = 0; index < name.length; index++)
      if (this.bytes[at + index] !== name.charCodeAt(index)) return false;
    return this.bytes[at + name.length] === 0;
  }

  /** Where a block of that name begins behind the Map; -1 where it does not. */
  private seek(name: string, from: number): number {
    const first = name.charCodeAt(0);
    for (let at = this.bytes.indexOf(first, from); at >= 0; at = this.bytes.indexOf(first, at + 1))
      if (this.isNamed(at, name)) return at;
    return -1;
  }

  private readMap(): { entries: Entry[]; end: number } {
    this.named = this.isNamed(0, 'Map');
    const cursor = new Cursor(this.bytes, 'Map', 0, this.bytes.length);
    if (this.named) cursor.text('name');
    this.revision = cursor.u16('revision');
    if (!this.named && (this.revision < 100 || this.revision >= 200))
      throw new TraceError({ code: 'notATraceFile', block: 'Map', byte: 0 });
    const size = cursor.u32('size');
    const count = cursor.u16('number of blocks');
    const stop = size > cursor.at && size <= this.bytes.length ? size : this.bytes.length;
    const entries: Entry[] = [];
    while (entries.length < count - 1 && cursor.at < stop) {
      const start = cursor.at;
      try {
        const name = cursor.text('name of a block');
        if (name === '' || name.length > LONGEST_NAME)
          throw new TraceError({ code: 'blockNameInvalid', block: 'Map', byte: start });
        entries.push({ name, revision: cursor.u16('revision'), size: cursor.u32('size') });
      } catch (error) {
        if (!(error instanceof TraceError)) throw error;
        this.warnings.push(error.problem);
        cursor.at = start;
        break;
      }
    }
    if (entries.length < count - 1)
      this.warnings.push({
        code: 'mapCount',
        block: 'Map',
        byte: 6,
        stated: count,
        found: entries.length + 1,
      });
    if (size !== cursor.at)
      this.warnings.push({
        code: 'mapSize',
        block: 'Map',
        byte: 2,
        stated: size,
        found: cursor.at,
      });
    // Whatever the Map says of its size, what follows begins where its names end, or where it says so.
    const first = entries[0];
    const stated = size >= cursor.at && size < this.bytes.length ? size : cursor.at;
    const end = first && this.named && this.isNamed(stated, first.name) ? stated : cursor.at;
    return { entries, end: this.named ? end : stated };
  }

  private readGeneral(cursor: Cursor): General {
    const issue2 = this.revision >= 200;
    return {
      language: cursor.chars(2, 'language'),
      cableId: cursor.text('cable id'),
      fiberId: cursor.text('fiber id'),
      fiberType: issue2 ? cursor.u16('fiber type') : null,
      wavelengthNm: cursor.u16('wavelength'),
      fromLocation: cursor.text('originating location'),
      toLocation: cursor.text('terminating location'),
      cableCode: cursor.text('cable code'),
      dataFlag: cursor.chars(2, 'data flag'),
      userOffset: cursor.i32('user offset'),
      userOffsetDistance: issue2 ? cursor.i32('user offset distance') : null,
      operator: cursor.text('operator'),
      comment: cursor.text('comment'),
    };
  }

  private readFixed(cursor: Cursor): Fixed {
    const issue2 = this.revision >= 200;
    const at = cursor.u32('date');
    const unit = cursor.chars(2, 'distance unit');
    const wavelength = cursor.u16('wavelength');
    const acquisitionOffset = cursor.i32('acquisition offset');
    const acquisitionOffsetDistance = issue2 ? cursor.i32('acquisition offset distance') : null;
    const start = cursor.at;
    const pulses = cursor.u16('number of pulse widths');
    if (pulses === 0 || pulses * 10 > cursor.left)
      throw new TraceError({
        code: 'pulseWidths',
        block: 'FxdParams',
        byte: start,
        stated: pulses,
      });
    const times = <T>(read: () => T) => Array.from({ length: pulses }, read);
    const fixed: Fixed = {
      measuredAtS: at,
      unit,
      wavelength,
      acquisitionOffset,
      acquisitionOffsetDistance,
      pulseWidthsNs: times(() => cursor.u16('pulse width')),
      spacings: times(() => cursor.u32('sample spacing')),
      sampleCounts: times(() => cursor.u32('number of samples')),
      groupIndex: cursor.u32('group index'),
      backscatter: cursor.u16('backscatter coefficient'),
      averages: cursor.u32('averages'),
      averagingTime: issue2 ? cursor.u16('averaging time') : null,
      range: cursor.u32('range'),
      rangeDistance: issue2 ? cursor.i32('range distance') : null,
      frontPanelOffset: cursor.i32('front panel offset'),
      noiseFloor: cursor.u16('noise floor'),
      noiseFloorScale: cursor.i16('noise floor scale'),
      powerOffset: cursor.u16('power offset'),
      lossThreshold: cursor.u16('loss threshold'),
      reflectanceThreshold: cursor.u16('reflectance threshold'),
      endThreshold: cursor.u16('end threshold'),
      traceType: cursor.chars(2, 'trace type'),
      window: [
        cursor.i32('window'),
        cursor.i32('window'),
        cursor.i32('window'),
        cursor.i32('window'),
      ],
    };
    if (fixed.groupIndex < 100_000 || fixed.groupIndex > 300_000)
      throw new TraceError({
        code: 'groupIndex',
        block: 'FxdParams',
        byte: start,
        index: fixed.groupIndex / 100_000,
      });
    if (fixed.spacings[0] === 0)
      throw new TraceError({ code: 'noSampleSpacing', block: 'FxdParams', byte: start });
    return fixed;
  }

  private readEvents(cursor: Cursor): KeyEvents {
    const issue2 = this.revision >= 200;
    const count = cursor.u16('number of events');
    const events: KeyEvent[] = [];
    for (let index = 0; index < count; index++)
      events.push({
        number: cursor.u16('event number'),
        time100ps: cursor.u32('event position'),
        slopeMdbPerKm: cursor.i16('event slope'),
        lossMdb: cursor.i16('event loss'),
        reflectanceMdb: cursor.i32('event reflectance'),
        code: cursor.chars(6, 'event code'),
        method: cursor.chars(2, 'event method'),
        times: issue2
          ? [
              cursor.u32('event times'),
              cursor.u32('event times'),
              cursor.u32('event times'),
              cursor.u32('event times'),
              cursor.u32('event times'),
            ]
          : null,
        comment: cursor.text('event comment'),
      });
    return {
      events,
      totalLoss: cursor.i32('total loss'),
      lossStart: cursor.i32('start of the total loss'),
      lossEnd: cursor.i32('end of the total loss'),
      returnLoss: cursor.u16('return loss'),
      returnStart: cursor.i32('start of the return loss'),
      returnEnd: cursor.i32('end of the return loss'),
    };
  }

  private readData(cursor: Cursor): DataPoints {
    const stated = cursor.u32('number of samples');
    const factors = cursor.u16('number of scale factors');
    const start = cursor.at;
    if (factors === 0 || factors * 6 > cursor.left)
      throw new TraceError({
        code: 'scaleFactors',
        block: 'DataPts',
        byte: start,
        stated: factors,
      });
    // Each factor stands before its samples.
    const runs: DataPoints['runs'] = [];
    const pieces: Uint16Array[] = [];
    for (let factor = 0; factor < factors && cursor.left >= 6; factor++) {
      const count = cursor.u32('samples of a scale factor');
      const scale = cursor.i16('scale factor');
      const here = Math.min(count, Math.floor(cursor.left / 2));
      if (here < count)
        this.warnings.push({
          code: 'samplesOfFactor',
          block: 'DataPts',
          byte: cursor.at,
          stated: count,
          found: here,
        });
      runs.push({ count: here, scale });
      pieces.push(samplesAt(this.bytes, cursor.at, here));
      cursor.at += here * 2;
    }
    const raw = pieces.length === 1 ? pieces[0]! : joined(pieces);
    if (raw.length !== stated)
      this.warnings.push({
        code: 'samplesInAll',
        block: 'DataPts',
        byte: start,
        stated,
        found: raw.length,
      });
    return { runs, raw, statedCount: stated };
  }

  private readChecksum(cursor: Cursor): NonNullable<SorFile['checksum']> {
    const before = cursor.at;
    const stored = cursor.u16('checksum');
    const computed = crc16(this.bytes, before);
    const ok = stored === computed;
    if (!ok)
      this.warnings.push({ code: 'checksum', block: 'Cksum', byte: before, stored, computed });
    return { stored, computed, ok };
  }
}

function readSupplier(cursor: Cursor): Supplier {
  return {
    supplier: cursor.text('supplier'),
    instrument: cursor.text('instrument'),
    serial: cursor.text('serial number'),
    module: cursor.text('module'),
    moduleSerial: cursor.text('serial number of the module'),
    software: cursor.text('software revision'),
    other: cursor.text('other'),
  };
}

const LITTLE = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1;

/** Samples at a place of the file, copied so that they lie on even bytes. */
function samplesAt(bytes: Uint8Array, at: number, count: number): Uint16Array {
  if (LITTLE) return new Uint16Array(bytes.slice(at, at + count * 2).buffer, 0, count);
  const view = new DataView(bytes.buffer, bytes.byteOffset + at, count * 2);
  return Uint16Array.from({ length: count }, (_, index) => view.getUint16(index * 2, true));
}

function joined(pieces: readonly Uint16Array[]): Uint16Array {
  const all = new Uint16Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}

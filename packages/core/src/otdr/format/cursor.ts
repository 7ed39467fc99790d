import { TraceError } from './problem.ts';

/** Bytes as the format has them: one a character. */
function latin(bytes: Uint8Array): string {
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return text;
}

/** Reads little-endian fields of one block, and never past its end. */
export class Cursor {
  readonly block: string;
  readonly end: number;
  at: number;
  private readonly bytes: Uint8Array;
  private readonly view: DataView;

  /** @param end the byte after the block, no further than the file */
  constructor(bytes: Uint8Array, block: string, start: number, end: number) {
    this.bytes = bytes;
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    this.block = block;
    this.at = start;
    this.end = Math.min(end, bytes.length);
  }

  get left(): number {
    return this.end - this.at;
  }

  private error(code: 'endsBeforeField' | 'fieldWithoutEnd', field: string): TraceError {
    return new TraceError({ code, block: this.block, byte: this.at, field });
  }

  private take(size: number, field: string): number {
    if (this.at + size > this.end) throw this.error('endsBeforeField', field);
    const at = this.at;
    this.at += size;
    return at;
  }

  u16(field: string): number {
    return this.view.getUint16(this.take(2, field), true);
  }

  i16(field: string): number {
    return this.view.getInt16(this.take(2, field), true);
  }

  u32(field: string): number {
    return this.view.getUint32(this.take(4, field), true);
  }

  i32(field: string): number {
    return this.view.getInt32(this.take(4, field), true);
  }

  /** So many characters, without a zero at the end. */
  chars(count: number, field: string): string {
    const at = this.take(count, field);
    return latin(this.bytes.subarray(at, at + count)).replace(/\0+$/, '');
  }

  /** Characters up to a zero byte. */
  text(field: string): string {
    const zero = this.bytes.indexOf(0, this.at);
    if (zero < 0 || zero >= this.end) throw this.error('fieldWithoutEnd', field);
    const text = latin(this.bytes.subarray(this.at, zero));
    this.at = zero + 1;
    return text;
  }
}

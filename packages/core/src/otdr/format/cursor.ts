/** Thrown where a block ends before what is read of it; says the block and the byte of the file. */
export class TraceError extends Error {
  override name = 'TraceError';
  readonly block: string;
  readonly byte: number;

  constructor(block: string, byte: number, message: string) {
    super(`${block}, byte ${byte}: ${message}`);
    this.block = block;
    this.byte = byte;
  }
}

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

  private take(size: number, what: string): number {
    if (this.at + size > this.end)
      throw new TraceError(this.block, this.at, `the block ends before its ${what}.`);
    const at = this.at;
    this.at += size;
    return at;
  }

  u16(what: string): number {
    return this.view.getUint16(this.take(2, what), true);
  }

  i16(what: string): number {
    return this.view.getInt16(this.take(2, what), true);
  }

  u32(what: string): number {
    return this.view.getUint32(this.take(4, what), true);
  }

  i32(what: string): number {
    return this.view.getInt32(this.take(4, what), true);
  }

  /** So many characters, without a zero at the end. */
  chars(count: number, what: string): string {
    const at = this.take(count, what);
    return latin(this.bytes.subarray(at, at + count)).replace(/\0+$/, '');
  }

  /** Characters up to a zero byte. */
  text(what: string): string {
    const zero = this.bytes.indexOf(0, this.at);
    if (zero < 0 || zero >= this.end)
      throw new TraceError(this.block, this.at, `its ${what} has no end.`);
    const text = latin(this.bytes.subarray(this.at, zero));
    this.at = zero + 1;
    return text;
  }
}

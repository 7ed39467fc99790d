import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { once } from 'node:events';
import { dirname, join } from 'node:path';
import { Transform, type Writable } from 'node:stream';
import { finished } from 'node:stream/promises';

/** A file of a package as it is being written: its bytes are counted and hashed on the way. */
export class PackageFile {
  readonly path: string;
  /** What it is, for the manifest. */
  readonly what: string;
  size = 0;
  digest = '';
  private readonly hash = createHash('sha256');
  private readonly stream: Transform;
  private readonly written: Promise<void>;
  private failed: Error | null = null;

  private constructor(folder: string, path: string, what: string) {
    this.path = path;
    this.what = what;
    this.stream = new Transform({
      transform: (chunk: Buffer, _encoding, done) => {
        this.size += chunk.length;
        this.hash.update(chunk);
        done(null, chunk);
      },
    });
    const file = createWriteStream(join(folder, path));
    this.stream.pipe(file);
    file.on('error', (error) => {
      this.failed = error;
      this.stream.destroy(error);
    });
    this.stream.on('error', () => undefined);
    this.written = finished(file);
    // It is awaited at the end; until then nobody looks.
    this.written.catch(() => undefined);
  }

  static async open(folder: string, path: string, what: string): Promise<PackageFile> {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    return new PackageFile(folder, path, what);
  }

  /** Rejects when it cannot be written any more; a library that writes into it may never say so. */
  get failure(): Promise<never> {
    return this.written.then(() => new Promise<never>(() => undefined));
  }

  /** Where a library writes by itself. */
  get writable(): Writable {
    return this.stream;
  }

  /** Writes on, and waits while the disk is behind. */
  async write(content: string | Uint8Array): Promise<void> {
    if (this.failed) throw this.failed;
    if (!this.stream.write(content)) await Promise.race([once(this.stream, 'drain'), this.written]);
    if (this.failed) throw this.failed as Error;
  }

  /** Ends it; throws what went wrong on the way. */
  async close(): Promise<this> {
    if (!this.stream.writableEnded) this.stream.end();
    await this.written;
    if (this.failed) throw this.failed;
    this.digest = this.hash.digest('hex');
    return this;
  }
}

/** Writes a file of a package at once. */
export async function writeWhole(
  folder: string,
  path: string,
  what: string,
  content: string | Uint8Array,
): Promise<PackageFile> {
  const file = await PackageFile.open(folder, path, what);
  await file.write(content);
  return file.close();
}

import { createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/**
 * Writes a file that only whoever runs the server can read. It has its name once it lies on the disk to its last byte;
 * where that fails nothing of it is left.
 */
export async function writeWhole(path: string, content: Readable): Promise<void> {
  const part = `${path}.${process.pid}.part`;
  try {
    await pipeline(content, createWriteStream(part, { mode: 0o600 }));
    const file = await open(part, 'r+');
    await file.sync();
    await file.close();
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type { PackageFile } from './file.ts';

/** The same moment for every file: a package is told apart by what is in it. */
const MOMENT = new Date(1980, 0, 1);
/** What is packed already, packed again, grows. */
const PACKED = /\.(jpg|xlsx|pdf|zip)$/;

/** Puts files into one zip, in their order. */
export async function zipFiles(
  folder: string,
  files: readonly PackageFile[],
  to: string,
): Promise<{ size: number; digest: string }> {
  const zip = new ZipFile();
  for (const { path } of files)
    zip.addFile(join(folder, path), path, {
      mtime: MOMENT,
      mode: 0o100644,
      compress: !PACKED.test(path),
      forceDosTimestamp: true,
    });
  zip.end();
  const hash = createHash('sha256');
  let size = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      size += chunk.length;
      done(null, chunk);
    },
  });
  const broken = new Promise<never>((_, reject) =>
    (zip as unknown as NodeJS.EventEmitter).on('error', reject),
  );
  await Promise.race([pipeline(zip.outputStream, counted, createWriteStream(to)), broken]);
  return { size, digest: hash.digest('hex') };
}

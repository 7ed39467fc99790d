import { Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import { forBackup, route } from '../accounts/access.ts';
import { appendAudit } from '../accounts/audit.ts';
import { answersFile, router } from '../http/router.ts';
import { backupLines } from './writeBackup.ts';

const download = route(forBackup, {
  method: 'get',
  path: '/backup',
  summary: 'Everything that the server has, as one moment had it: lines of JSON, gzipped',
  responses: answersFile('application/gzip', 'The backup'),
});

/** A backup as it lies in a file. */
export const backupFile = (db: Parameters<typeof backupLines>[0]): Readable => {
  const lines = Readable.from(backupLines(db), { objectMode: true, highWaterMark: 1 });
  const zip = createGzip();
  lines.on('error', (error) => zip.destroy(error));
  zip.on('close', () => lines.destroy());
  return lines.pipe(zip);
};

export const backupRoutes = router().openapi(download, async (c) => {
  await appendAudit(c.var.db, c.var.actor, { code: 'backedUp' });
  return c.body(Readable.toWeb(backupFile(c.var.db)) as ReadableStream, 200, {
    'content-type': 'application/gzip',
    'content-disposition': 'attachment; filename="cordel-backup.jsonl.gz"',
  });
});

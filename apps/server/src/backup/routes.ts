import { Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import { forBackup, route } from '../accounts/access.ts';
import { appendAudit } from '../accounts/audit.ts';
import { answers, answersFile, router } from '../http/router.ts';
import { keysOf, keysSchema } from './keys.ts';
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

const keys = route(forBackup, {
  method: 'get',
  path: '/backup/keys',
  summary: 'The keys that a backup leaves out: what the server signs checkpoints with',
  description: 'Whoever has them can sign as this server: keep them apart from the backup.',
  responses: answers(keysSchema, 'The keys'),
});

export const backupRoutes = router()
  .openapi(keys, async (c) => {
    await appendAudit(c.var.db, c.var.actor, { code: 'backedUp' });
    return c.json(await keysOf(c.var.db), 200);
  })
  .openapi(download, async (c) => {
    await appendAudit(c.var.db, c.var.actor, { code: 'backedUp' });
    return c.body(Readable.toWeb(backupFile(c.var.db)) as ReadableStream, 200, {
      'content-type': 'application/gzip',
      'content-disposition': 'attachment; filename="cordel-backup.jsonl.gz"',
    });
  });

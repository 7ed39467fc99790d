import { phrases } from '../phrases.ts';
import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/backup`. */
export const backupProblems = problems({
  notEmpty:
    'There are projects or accounts here already: a backup goes into an empty data folder or database. Nothing was changed.',
  noBackup: 'This is not a backup of Cordel. Nothing was changed.',
  otherVersion:
    'This backup was made by an earlier version of Cordel, and a later one has begun here already: restore it into a data folder or database that no server has started on. Nothing was changed.',
  laterVersion:
    'This backup was made by a later version of Cordel: update this one first. Nothing was changed.',
  damaged: 'This backup is damaged: it is not the file that was written. Nothing was changed.',
  noKeys: 'This file holds no keys of Cordel. Nothing was changed.',
  cutShort: 'This backup ends too early: it was not written to its end. Nothing was changed.',
});

/** Texts of `apps/server/cli/backup.ts` and `restore.ts`. */
export const backupWords = phrases({
  aboutBackup: 'Writes everything that a server has to one file.',
  aboutRestore: 'Restores a backup into an empty data folder or database.',
  file: 'backup file',
  keys: 'file for the keys that sign checkpoints; keep it apart from the backup',
  environment:
    'CORDEL_DATA is the data folder, DATABASE_URL a PostgreSQL database, CORDEL_SERVER the address of a running server.',
  keysWritten: 'The signing keys are in {path}. Keep this file apart from the backup.',
  keysRestored: 'The signing keys of {path} are restored.',
  written: 'The backup is in {path}. Keep a copy on another machine.',
  restored: '{rows, plural, one {# row} other {# rows}} of {path} restored.',
  noServer:
    'Another process uses {folder}, but no server answers at {server}. Set CORDEL_SERVER to the address of the server.',
});

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

/** What the command line says of backups: `apps/server/cli/backup.ts`. */
export const backupWords = phrases({
  usage:
    'npm run backup -- FILE [KEYS] | npm run restore -- FILE [KEYS]\nFILE is everything; KEYS is what the server signs checkpoints with, for whoever may sign as this server: keep it apart.',
  keysWritten: 'What checkpoints are signed with is in {path}. Keep it apart from the backup.',
  keysRestored: 'The server signs checkpoints as before, by {path}.',
  written: 'Everything is in {path}. Keep it somewhere else too.',
  restored: '{rows, plural, one {# row} other {# rows}} of {path} are here.',
  noServer:
    'Another process has {folder}, and no server answers at {server}: say where it is by CORDEL_SERVER.',
});

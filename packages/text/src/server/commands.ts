import { phrases } from '../phrases.ts';

/** Texts of the command line: `apps/server/cli`. */
export const commandWords = phrases({
  exitCodes: 'Exit codes: 0 done, 1 failed, 2 wrong usage.',
  noFile: 'There is no file {path}.',
  emptyFolder: 'The folder {path} has no {extension} file.',
});

/** Texts of `apps/server/cli/otdr.ts`. */
export const otdrWords = phrases({
  about: 'Reads OTDR trace files (SOR). Each file gives one line of JSON.',
  dump: 'Show the fields of each file',
  events: 'Find the events of each file in its samples',
  compare: 'Compare the events found in the samples with the table of the instrument',
  pair: 'Pair the events of two traces shot from both ends',
  copy: 'Write a file again, byte for byte as it was read',
  watch: 'Send each new trace of a folder to a server',
  paths: 'trace files, or folders of .sor files',
  traceA: 'trace from end A',
  traceB: 'trace from end B',
  input: 'trace file',
  output: 'file to write',
  folder: 'folder that the instrument writes into',
  server: 'address of the server',
  project: 'name of the project; needed where the server has several',
  cable: 'cable of files whose name does not say it',
  pattern: 'pattern of the file names, such as {example}',
  account: 'Where people sign in, CORDEL_EMAIL and CORDEL_PASSWORD name the account.',
  noEnd: 'Neither trace shows the end of the fiber. Traces without an end cannot be paired.',
});

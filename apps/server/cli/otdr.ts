import { readFile, writeFile } from 'node:fs/promises';
import { type SorFile, copySor, readSor } from '@cordel/core/otdr';
import { sorProblemText, traceWarningText } from '@cordel/text/files';
import { otdrWords as say } from '@cordel/text/server/commands';
import type { WatchEvent } from '@cordel/text/otdr/watch';
import { filesOf, newCommand, runCommand, withEach } from './command.ts';
import { differencesOf, eventsOf, fieldsOf, pairsOf } from './otdr/reports.ts';

/** Trace files on the command line: lines of JSON on standard output, messages on standard error. */

async function open(path: string): Promise<SorFile> {
  const read = readSor(await readFile(path));
  if (!read.ok) throw new Error(`${path}: ${sorProblemText(read.error)}`);
  for (const warning of read.value.warnings) console.error(`${path}: ${traceWarningText(warning)}`);
  return read.value;
}

const print = (answer: object) => console.log(JSON.stringify(answer));

/** A line for each file: its path, and what a report says of it. */
const reportEach = (report: (file: SorFile) => object) => async (paths: string[]) =>
  withEach(await filesOf(paths, '.sor'), async (file) =>
    print({ file, ...report(await open(file)) }),
  );

async function pair(a: string, b: string): Promise<void> {
  const pairs = pairsOf(await open(a), await open(b));
  if (!pairs) throw new Error(say('noEnd'));
  print(pairs);
}

async function copy(from: string, to: string): Promise<void> {
  const bytes = copySor(await open(from));
  await writeFile(to, bytes);
  print({ bytes: bytes.length });
}

interface WatchFlags {
  server: string;
  project?: string;
  cable?: string;
  pattern?: string;
}

/** Watches a folder until it is stopped: each event as a line of JSON, and in words. */
async function watch(folder: string, flags: WatchFlags): Promise<void> {
  // What watches folders takes as long to load as all the rest.
  const [{ watchText }, { watchFolder }, { CannotWatch }] = await Promise.all([
    import('@cordel/text/otdr/watch'),
    import('./otdr/watch/watchFolder.ts'),
    import('./otdr/watch/server.ts'),
  ]);
  const { CORDEL_EMAIL: email, CORDEL_PASSWORD: password } = process.env;
  const stop = new AbortController();
  for (const name of ['SIGINT', 'SIGTERM'] as const) process.once(name, () => stop.abort());
  const tell = (event: WatchEvent) => {
    print(event);
    console.error(watchText(event));
  };
  await watchFolder(
    {
      folder,
      server: flags.server,
      project: flags.project ?? null,
      cable: flags.cable ?? null,
      pattern: flags.pattern ?? null,
      account: email && password ? { email, password } : null,
    },
    tell,
    stop.signal,
  ).catch((error: unknown) => {
    throw error instanceof CannotWatch ? new Error(watchText(error.event)) : error;
  });
}

const command = newCommand('cordel-otdr', say('about'));
for (const [name, report] of [
  ['dump', fieldsOf],
  ['events', eventsOf],
  ['compare', differencesOf],
] as const)
  command
    .command(name)
    .description(say(name))
    .argument('<paths...>', say('paths'))
    .action(reportEach(report));
command
  .command('pair')
  .description(say('pair'))
  .argument('<a>', say('traceA'))
  .argument('<b>', say('traceB'))
  .action(pair);
command
  .command('copy')
  .description(say('copy'))
  .argument('<input>', say('input'))
  .argument('<output>', say('output'))
  .action(copy);
command
  .command('watch')
  .description(say('watch'))
  .argument('<folder>', say('folder'))
  .requiredOption('--server <url>', say('server'))
  .option('--project <name>', say('project'))
  .option('--cable <name>', say('cable'))
  .option('--pattern <pattern>', say('pattern', { example: '{cable}{fiber}_{dir}_{nm}' }))
  .addHelpText('after', `\n${say('account')}`)
  .action(watch);
await runCommand(command);

import { readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Command, CommanderError } from 'commander';
import { commandWords as say } from '@cordel/text/server/commands';

/** Exit codes of every command. */
const EXIT = { done: 0, failed: 1, usage: 2 };

/** A command by its name, with its help and its exit codes. */
export const newCommand = (name: string, description: string): Command =>
  new Command(name)
    .description(description)
    .helpCommand(false)
    .addHelpText('after', `\n${say('exitCodes')}`)
    .exitOverride();

/** Runs a command by what was typed, and ends the process by its exit code. */
export async function runCommand(command: Command): Promise<void> {
  try {
    await command.parseAsync();
    process.exit(process.exitCode ?? EXIT.done);
  } catch (error) {
    // What was typed wrongly has been said.
    if (error instanceof CommanderError)
      process.exit(error.exitCode === 0 ? EXIT.done : EXIT.usage);
    console.error(error instanceof Error ? error.message : error);
    process.exit(EXIT.failed);
  }
}

/**
 * Does the same with each file. What goes wrong with one is written to standard error; the others go on, and the command
 * fails in the end.
 * @param work its errors name the file
 */
export async function withEach(
  files: readonly string[],
  work: (file: string) => Promise<void>,
): Promise<void> {
  for (const file of files)
    try {
      await work(file);
    } catch (error) {
      console.error((error as Error).message);
      process.exitCode = EXIT.failed;
    }
}

/**
 * Files by paths: a folder stands for the files of an extension in it and below it, by name.
 * @throws Error where there is no such path, or a folder has no such file
 */
export async function filesOf(paths: readonly string[], extension: string): Promise<string[]> {
  const lists = await Promise.all(paths.map((path) => filesAt(path, extension)));
  return lists.flat();
}

async function filesAt(path: string, extension: string): Promise<string[]> {
  const found = await stat(path).catch(() => null);
  if (!found) throw new Error(say('noFile', { path }));
  if (!found.isDirectory()) return [path];
  const entries = await readdir(path, { recursive: true });
  const files = entries.filter((name) => name.toLowerCase().endsWith(extension)).sort();
  if (files.length === 0) throw new Error(say('emptyFolder', { path, extension }));
  return files.map((name) => join(path, name));
}

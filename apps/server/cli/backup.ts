import { backupWords as say } from '@cordel/text/server/backup';
import { newCommand, runCommand } from './command.ts';

await runCommand(
  newCommand('cordel-backup', say('aboutBackup'))
    .argument('<file>', say('file'))
    .argument('[keys]', say('keys'))
    .addHelpText('after', `\n${say('environment')}`)
    // The server's own code takes a while to load: help is there at once.
    .action(async (file: string, keys?: string) =>
      (await import('./backup/backup.ts')).backup(file, keys),
    ),
);

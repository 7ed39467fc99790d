import { parentPort } from 'node:worker_threads';
import type { MakerAnswer, PackageMessage } from '../messages.ts';
import { PackageBuilder } from './builder.ts';
import { wordsOf } from './words.ts';

/** Makes packages on a thread of its own: writing half a million rows must not hold up anybody's record. */
const port = parentPort!;
const builder = new PackageBuilder();

port.on('message', (message: PackageMessage) => {
  builder.take(message).then(
    (made) =>
      port.postMessage(
        (made ? { kind: 'made', ...made } : { kind: 'taken' }) satisfies MakerAnswer,
      ),
    (error: Error) =>
      port.postMessage({ kind: 'failed', words: wordsOf(error) } satisfies MakerAnswer),
  );
});

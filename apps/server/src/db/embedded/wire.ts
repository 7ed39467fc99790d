import { Duplex } from 'node:stream';
import type { EngineClient } from './engine.ts';

/** Types of messages that a client waits for an answer to: Query, Sync, Flush, Terminate, and its copies' ends. */
const ANSWERED = new Set([...'QSHXcf'].map((letter) => letter.charCodeAt(0)));

/** The first message names no type: it begins with its length, of which the highest byte is 0. */
const STARTUP = 0;

const TERMINATE = 'X'.charCodeAt(0);

/**
 * What a client of PostgreSQL takes for its socket, with an embedded database at its other end.
 * @param connect gives the database, which is started anew where it had to stop
 */
export class Wire extends Duplex {
  private readonly open: () => Promise<EngineClient>;
  private engine: EngineClient | null = null;
  private waiting: Buffer[] = [];

  constructor(open: () => Promise<EngineClient>) {
    super();
    this.open = open;
  }

  connect(): this {
    this.open().then(
      (engine) => {
        this.engine = engine;
        this.emit('connect');
      },
      (error: Error) => this.destroy(error),
    );
    return this;
  }

  // What only a socket has.
  setNoDelay(): this {
    return this;
  }
  ref(): this {
    return this;
  }
  unref(): this {
    return this;
  }

  override _read(): void {}

  override _write(message: Buffer, _: BufferEncoding, done: (error?: Error | null) => void): void {
    const [type] = message;
    this.waiting.push(message);
    // Messages of one statement go in one turn.
    if (type !== STARTUP && !ANSWERED.has(type!)) return done();
    const messages = Buffer.concat(this.waiting);
    this.waiting = [];
    if (type === TERMINATE) {
      this.push(null);
      return done();
    }
    // Not at once: the client may still be reading the answer before.
    Promise.resolve()
      .then(() => this.engine!.answer(messages, (piece) => this.push(piece)))
      .then(
        () => done(),
        (error: Error) => done(error),
      );
  }
}

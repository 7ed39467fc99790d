/** Work under way and work that waits for it, by name. */
interface Turn {
  running: Promise<unknown>;
  next: Promise<unknown> | null;
}

const turns = new WeakMap<object, Map<string, Turn>>();

/**
 * Reads once for all who ask the same at the same time. Who asks while it is being read waits for the next reading,
 * which begins later than the question: nobody is given what was there before.
 * @param owner whose names they are, such as a database
 */
export function shared<Result>(
  owner: object,
  name: string,
  read: () => Promise<Result>,
): Promise<Result> {
  const own = turns.get(owner) ?? new Map<string, Turn>();
  turns.set(owner, own);
  const turn = own.get(name);
  if (turn) {
    turn.next ??= turn.running
      .catch(() => undefined)
      .then(() => {
        own.delete(name);
        return shared(owner, name, read);
      });
    return turn.next as Promise<Result>;
  }
  const running = read();
  const mine: Turn = { running, next: null };
  own.set(name, mine);
  const done = () => {
    // Where somebody waits, the next reading takes its place.
    if (mine.next === null && own.get(name) === mine) own.delete(name);
  };
  running.then(done, done);
  return running;
}

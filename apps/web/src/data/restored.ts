import { keep, keptNow, usePersisted } from './storage';

/** Which database answered last. */
const DATABASE = 'cordel.database';
/** How many writes are sent again since the server came back from a backup, until the person has read it. */
const RESTORED = 'cordel.restored';

let whenRestored = (): Promise<number> => Promise.resolve(0);

/** Sets what is done where the server has come back from a backup. */
export const onRestored = (work: () => Promise<number>): void => {
  whenRestored = work;
};

/** Notes which database an answer comes from: another one was restored from a backup, which may be older than what is here. */
export function noteDatabase(headers: Headers): void {
  const id = headers.get('x-cordel-database');
  const before = keptNow(DATABASE);
  if (id === null || id === before) return;
  keep(DATABASE, id);
  if (before === null) return;
  void whenRestored().then((writes) => keep(RESTORED, String(writes)));
}

/** How many writes are sent again since the server came back from a backup; null where it did not, or it was read. */
export function useRestored(): [writes: number | null, dismiss: () => void] {
  const [text, set] = usePersisted(RESTORED, '');
  return [text === '' ? null : Number(text), () => set('')];
}

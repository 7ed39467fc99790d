import pg from 'pg';

/** The channel on which triggers say that there are changes. */
export const CHANNEL = 'cordel_changes';

/** Told the project in which something was written; null where all may have changed. */
type Listener = (projectId: string | null) => void;

/** What the database tells of its own accord (PostgreSQL documentation, NOTIFY), for whoever listens in this process. */
export class Notices {
  private readonly listeners = new Set<Listener>();

  /** @returns what ends the listening */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** @param payload a project's id, or nothing where it is of all projects */
  tell(payload: string): void {
    for (const listener of this.listeners) listener(payload === '' ? null : payload);
  }
}

/** How long a listener that lost its connection waits before it tries again, in ms. */
const LISTEN_AGAIN_MS = 500;

/** Listens on a connection of its own for as long as the process lives. @returns what ends it */
export function listenOn(url: string, notices: Notices): () => Promise<void> {
  let over = false;
  let client: pg.Client | null = null;
  const connect = async (): Promise<void> => {
    const own = new pg.Client({ connectionString: url, keepAlive: true });
    client = own;
    const again = () => {
      if (client !== own) return;
      client = null;
      if (!over) setTimeout(() => void connect(), LISTEN_AGAIN_MS).unref();
    };
    own.on('error', again).on('end', again);
    own.on('notification', ({ payload }) => notices.tell(payload ?? ''));
    try {
      await own.connect();
      await own.query(`listen ${CHANNEL}`);
      // What was told meanwhile nobody heard.
      notices.tell('');
    } catch {
      again();
    }
  };
  void connect();
  return async () => {
    over = true;
    await client?.end().catch(() => undefined);
  };
}

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

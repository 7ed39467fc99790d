/** PostgreSQL's codes of what another transaction caused: the same again goes through (appendix A, class 40). */
const CAUSED_BY_OTHERS = new Set(['40001', '40P01']);
const MOST_TRIES = 8;
const PAUSE_MS = 20;

/** The code of PostgreSQL's own error behind an error, as far down as it lies. */
export function databaseCode(error: unknown): string | undefined {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code, severity } = at as { code?: string; severity?: string };
    if (severity !== undefined) return code;
  }
  return undefined;
}

/** Runs work again that the database gave up because of others: a deadlock, or a change made at the same time. */
export async function retried<Result>(work: () => Promise<Result>): Promise<Result> {
  for (let tries = 1; ; tries++) {
    try {
      return await work();
    } catch (error) {
      if (tries === MOST_TRIES || !CAUSED_BY_OTHERS.has(databaseCode(error) ?? '')) throw error;
      // Not all at the same moment again.
      await new Promise((resolve) => setTimeout(resolve, Math.random() * tries * PAUSE_MS));
    }
  }
}

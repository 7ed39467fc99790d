/** The build that the server sent with its first answer: this page is of it. */
let own: string | null = null;
let isNewer = false;
const listeners = new Set<() => void>();

/** Notes which build the server has, by an answer's headers. */
export function noteBuild(headers: Headers | undefined): void {
  const build = headers?.get('x-cordel-build') ?? null;
  if (build === null) return;
  own ??= build;
  if (build === own || isNewer) return;
  isNewer = true;
  listeners.forEach((listener) => listener());
}

/** Calls back once the server has another build than this page is of. @returns what ends it */
export function onNewerBuild(listener: () => void): () => void {
  if (isNewer) listener();
  listeners.add(listener);
  return () => listeners.delete(listener);
}

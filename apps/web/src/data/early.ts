/** Answers that the page asked for before its scripts were there (see scripts/finishWeb.mjs). */
declare global {
  interface Window {
    cordelEarly?: Map<string, Promise<Response>>;
  }
}

/** The answer to a path that was asked for early; each is handed out once. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const early = typeof window === 'undefined' ? undefined : window.cordelEarly?.get(path);
  if (early) window.cordelEarly?.delete(path);
  return early;
}

/** Forgets those that nobody has asked for yet: they are from before what was written since. */
export const forgetEarly = (): void => window.cordelEarly?.clear();

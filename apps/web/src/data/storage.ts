import { useCallback, useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a small text on this device; storage that is full or forbidden keeps it for this page only. */
const kept = new Map<string, string>();

export function keep(key: string, value: string | null): void {
  if (value === null) kept.delete(key);
  else kept.set(key, value);
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch {
    // The map above holds it while the page is open.
  }
  listeners.forEach((listener) => listener());
}

export const keptNow = (key: string): string | null => read(key) ?? kept.get(key) ?? null;

/** What a kept text says as JSON; the other where it is none, or says nothing. */
export function readKept<Value>(text: string | null, otherwise: Value): Value {
  try {
    return (JSON.parse(text ?? 'null') as Value | null) ?? otherwise;
  } catch {
    return otherwise;
  }
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/** A text kept on this device under a key: it survives a reload. */
export function usePersisted(key: string, initial: string): [string, (value: string) => void] {
  const value = useSyncExternalStore(subscribe, () => keptNow(key));
  const set = useCallback(
    (next: string) => keep(key, next === initial ? null : next),
    [key, initial],
  );
  return [value ?? initial, set];
}

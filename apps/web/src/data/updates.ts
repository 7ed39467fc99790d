import { useSyncExternalStore } from 'react';

/** The build that this page is of; null while it is developed. */
export const ownBuild: string | null =
  typeof document === 'undefined'
    ? null
    : (document.querySelector<HTMLMetaElement>('meta[name="cordel-build"]')?.content ?? null);

/** Whether the server has another build than this page is of, and whether the device has it whole. */
export type Newer = 'none' | 'on server' | 'here';

let newer: Newer = 'none';
const listeners = new Set<() => void>();
let whenOnServer = (): void => undefined;

function set(next: Newer): void {
  if (newer === next) return;
  newer = next;
  listeners.forEach((listener) => listener());
}

/** Notes which build the server has, by an answer's headers. */
export function noteBuild(headers: Headers | undefined): void {
  const build = headers?.get('x-cordel-build') ?? null;
  if (build === null || ownBuild === null || build === ownBuild || newer !== 'none') return;
  set('on server');
  whenOnServer();
}

/** The device has a newer build whole. */
export const noteWaiting = (): void => set('here');

/** Sets what is done once the server has another build. */
export const onNewerBuild = (work: () => void): void => {
  whenOnServer = work;
  if (newer === 'on server') work();
};

export const useNewer = (): Newer =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => newer,
  );

import type { Workbox } from 'workbox-window';
import { noteWaiting } from './updates';

/** The first view comes before what is kept for later, in ms. */
const LATER_MS = 3000;

let workbox: Workbox | null = null;

/** Why this page is not kept on the device; null where it is, or will be. */
export function whyNotKept(): 'plainHttp' | 'notSupported' | null {
  if (typeof window === 'undefined') return null;
  if (!window.isSecureContext) return 'plainHttp';
  return 'serviceWorker' in navigator ? null : 'notSupported';
}

/** Has the device keep the app, so that it starts without a connection. */
export function keepApp(): void {
  // While it is developed there is nothing to keep.
  if (whyNotKept() !== null || !document.querySelector('meta[name="cordel-build"]')) return;
  setTimeout(() => void register().catch(() => undefined), LATER_MS);
}

async function register(): Promise<void> {
  const { Workbox } = await import('workbox-window');
  workbox = new Workbox('/sw.js');
  workbox.addEventListener('waiting', noteWaiting);
  await workbox.register();
}

/** Looks for a newer app; `waiting` tells when it is here. */
export const lookForNewer = (): void => void workbox?.update().catch(() => undefined);

/** Loads the newer app in place of this page. */
export function loadNewer(): void {
  const reload = () => window.location.reload();
  if (!workbox || !navigator.serviceWorker.controller) return reload();
  workbox.addEventListener('controlling', reload);
  workbox.messageSkipWaiting();
}

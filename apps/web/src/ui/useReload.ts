import { useEffect } from 'react';
import { outbox } from '@/data/client';
import { onNewerBuild } from '@/data/updates';

/** How long nobody has touched the page before it is loaded anew, and how often it is looked, in ms. */
const STILL_MS = 4000;
const LOOK_MS = 1000;

/** What is typed into. */
const FIELDS = 'input, textarea, select, [contenteditable="true"]';

/**
 * Loads the page anew once the server has a newer one: when nothing is half-typed, no sheet is open, nobody is at
 * it, and nothing is kept in this page's memory alone.
 */
export function useReload(reload: () => void = () => window.location.reload()): void {
  useEffect(() => {
    const typed = new Set<Element>();
    let touched = performance.now();
    const onInput = ({ target }: Event) => {
      if (target instanceof Element && target.matches(FIELDS)) typed.add(target);
      touched = performance.now();
    };
    const onTouch = () => (touched = performance.now());
    document.addEventListener('input', onInput, true);
    document.addEventListener('pointerdown', onTouch, true);
    document.addEventListener('keydown', onTouch, true);
    let timer: ReturnType<typeof setInterval> | undefined;
    const isBusy = () =>
      performance.now() - touched < STILL_MS ||
      // A field that is gone was sent or left.
      [...typed].some((field) => field.isConnected) ||
      document.querySelector('[role="dialog"]') !== null ||
      outbox.snapshot().writes.some(({ unsafe }) => unsafe);
    const end = onNewerBuild(() => {
      timer = setInterval(() => {
        if (isBusy()) return;
        clearInterval(timer);
        reload();
      }, LOOK_MS);
    });
    return () => {
      end();
      clearInterval(timer);
      document.removeEventListener('input', onInput, true);
      document.removeEventListener('pointerdown', onTouch, true);
      document.removeEventListener('keydown', onTouch, true);
    };
  }, [reload]);
}

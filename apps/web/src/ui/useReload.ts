import { useEffect } from 'react';
import { outbox } from '@/data/client';
import { onNewerBuild } from '@/data/updates';

/** How long nobody has touched the page before it is loaded anew, and how often it is looked, in ms. */
const STILL_MS = 4000;
const LOOK_MS = 1000;

const hasText = (): boolean =>
  [...document.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('input, textarea')].some(
    ({ value }) => value !== '',
  );

/**
 * Loads the page anew once the server has a newer one: when nothing is half-typed, no sheet is open, nothing is
 * being sent by it, nobody is at it, and nothing is kept in this page's memory alone.
 */
export function useReload(reload: () => void = () => window.location.reload()): void {
  useEffect(() => {
    let typedOn: string | null = null;
    let touched = performance.now();
    const onInput = () => {
      typedOn = window.location.pathname;
      touched = performance.now();
    };
    const onTouch = () => (touched = performance.now());
    document.addEventListener('input', onInput, true);
    document.addEventListener('pointerdown', onTouch, true);
    document.addEventListener('keydown', onTouch, true);
    let timer: ReturnType<typeof setInterval> | undefined;
    const isBusy = () =>
      performance.now() - touched < STILL_MS ||
      // Who has left the page, or emptied its fields, has sent what was typed, or does not want it.
      (typedOn === window.location.pathname && hasText()) ||
      document.querySelector('[role="dialog"], [aria-busy="true"]') !== null ||
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

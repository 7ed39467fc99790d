import { useEffect, useRef } from 'react';

/** Sheets that are open, the topmost last; each has an entry of its own in the browser's history. */
const open: { id: number; close(): void }[] = [];
/** Entries of closed sheets that are being taken away. */
let leaving = 0;
let nextId = 1;
let isListening = false;

const sheetOf = (state: unknown): number | null =>
  (state as { sheet?: number } | null)?.sheet ?? null;

/**
 * Comes before the router's own listener: an entry of a sheet shows the page below it, and the router has nothing to do.
 */
function onBack(event: PopStateEvent): void {
  const top = open.at(-1);
  const sheet = sheetOf(event.state);
  if (leaving > 0) {
    leaving--;
    event.stopImmediatePropagation();
  } else if (top && sheet !== top.id) {
    event.stopImmediatePropagation();
    open.pop();
    top.close();
  } else if (!top && sheet !== null) {
    // The entry of a sheet from which the person went on to another page.
    event.stopImmediatePropagation();
    window.history.back();
  }
}

/** Lets the browser's Back, and the back gesture of a phone, close what lies over the page while it is shown. */
export function useBackCloses(close: () => void): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useEffect(() => {
    if (!isListening) {
      isListening = true;
      window.addEventListener('popstate', onBack, { capture: true });
    }
    const own = { id: nextId++, close: () => latest.current() };
    open.push(own);
    window.history.pushState({ ...(window.history.state as object), sheet: own.id }, '');
    return () => {
      const at = open.indexOf(own);
      if (at < 0) return;
      open.splice(at, 1);
      // Where the sheet led to another page, that page's entry is on top by now.
      setTimeout(() => {
        if (sheetOf(window.history.state) !== own.id) return;
        leaving++;
        window.history.back();
      });
    };
  }, []);
}

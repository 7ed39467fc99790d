/** A sheet that is open: it has an entry of its own in the browser's history, so that Back closes it. */
interface OpenSheet {
  id: number;
  close(): void;
}

/** The topmost last. */
const open: OpenSheet[] = [];
/** Steps back of our own that are on their way: the person pressed nothing. */
let leaving = 0;
/** How many there ever were. */
let stepsBack = 0;
let nextId = 1;
let isListening = false;

const shownSheet = (): number | null =>
  (window.history.state as { sheet?: number } | null)?.sheet ?? null;
const isOpen = (id: number): boolean => open.some((sheet) => sheet.id === id);
const stateOf = (id: number) => ({ ...(window.history.state as object | null), sheet: id });

/** Turns of the page, each this many ms, after which a step back has been lost. */
const LOST_TURNS = 10;
const TURN_MS = 100;

/** The browser drops a step back where the router writes an entry of its own at the same moment: nothing tells of it. */
function lookAfterStep(steps: number, turns = LOST_TURNS): void {
  setTimeout(() => {
    if (steps !== stepsBack || leaving === 0) return;
    if (turns > 1) return lookAfterStep(steps, turns - 1);
    leaving = 0;
    settle();
  }, TURN_MS);
}

function stepBack(): void {
  leaving++;
  stepsBack++;
  window.history.back();
  lookAfterStep(stepsBack);
}

/**
 * Brings the entry that is shown and the topmost sheet together again: one may open while the step back of another is on
 * its way, which then ends on the entry of the closed one.
 */
function settle(): void {
  const shown = shownSheet();
  const top = open.at(-1);
  if (shown !== null && !isOpen(shown)) {
    if (top) window.history.replaceState(stateOf(top.id), '');
    else stepBack();
  } else if (top && shown === null) {
    window.history.pushState(stateOf(top.id), '');
  }
}

/**
 * Comes before the router's own listener: an entry of a sheet shows the page below it, and the router has nothing to do.
 */
function onPopState(event: PopStateEvent): void {
  const shown = shownSheet();
  const top = open.at(-1);
  if (leaving > 0) {
    event.stopImmediatePropagation();
    leaving--;
    if (leaving === 0) settle();
  } else if (shown !== null && !isOpen(shown)) {
    // Forward to a sheet that was closed, or Back to one from which the person went on to another page.
    event.stopImmediatePropagation();
    window.history.back();
  } else if (top && shown !== top.id) {
    event.stopImmediatePropagation();
    open.pop();
    top.close();
  }
}

/**
 * Gives a sheet an entry in the browser's history.
 * @param close is called when the person goes back
 * @returns takes the entry away, once the sheet is closed
 */
export function enterHistory(close: () => void): () => void {
  if (!isListening) {
    isListening = true;
    window.addEventListener('popstate', onPopState, { capture: true });
  }
  const own = { id: nextId++, close };
  open.push(own);
  // To push one while a step back is on its way would put an end to it: it comes once that has ended.
  if (leaving === 0) window.history.pushState(stateOf(own.id), '');
  return () => {
    const at = open.indexOf(own);
    if (at < 0) return;
    open.splice(at, 1);
    // Where the sheet led to another page, that page's entry is on top by now.
    setTimeout(() => {
      if (leaving === 0 && shownSheet() === own.id) stepBack();
    });
  };
}

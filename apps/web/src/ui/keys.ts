import { useEffect } from 'react';

/** A shortcut of our own, as the help sheet lists it. */
export interface Shortcut {
  keys: string;
  does: string;
}

export const SHORTCUTS: Record<string, Shortcut[]> = {
  Everywhere: [
    { keys: 'g r', does: 'go to the Route' },
    { keys: 'g b', does: 'go to the Bench' },
    { keys: 'g l', does: 'go to the Ledger' },
    { keys: 'g k', does: 'go to the Kit' },
    { keys: '?', does: 'show this sheet' },
    { keys: 'Esc', does: 'close a sheet' },
  ],
  Bench: [
    { keys: '0 to 9 and .', does: 'type the loss; 2 is 0.02 dB' },
    { keys: '-', does: 'turn the sign of a reading' },
    { keys: 'Enter', does: 'keep, next' },
    { keys: 'r', does: 'record and redo' },
    { keys: 's', does: 'skip with a reason' },
    { keys: 'u', does: 'undo the last entry' },
  ],
  Ledger: [{ keys: '/', does: 'search' }],
};

/** Whether keys are text where they are pressed: fields, and editors that draw their own. */
const isTypedInto = (target: HTMLElement): boolean =>
  /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
  target.isContentEditable ||
  target.closest('[role=textbox],[role=searchbox],[role=combobox],[role=listbox]') !== null;

/** Listens for keys typed outside of fields. The handler says true for a key it took. */
export function useKeys(handler: (key: string) => boolean | void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        event.isComposing ||
        isTypedInto(target)
      )
        return;
      // Enter and space on a focused button press that button.
      if (
        (event.key === 'Enter' || event.key === ' ') &&
        target.closest('[role=button],[role=link],button,a')
      )
        return;
      if (handler(event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [handler]);
}

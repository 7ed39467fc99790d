import { useEffect } from 'react';
import { keys as t } from '@cordel/text/pages/ui/keys';

/** A shortcut of our own, as the help sheet lists it. */
export interface Shortcut {
  keys: string;
  does: string;
}

export const SHORTCUTS: Record<string, Shortcut[]> = {
  Everywhere: [
    { keys: 'g r', does: t('goToTheRoute') },
    { keys: 'g b', does: t('goToTheBench') },
    { keys: 'g l', does: t('goToTheLedger') },
    { keys: 'g k', does: t('goToTheKit') },
    { keys: '?', does: t('showThisSheet') },
    { keys: t('esc'), does: t('closeASheet') },
  ],
  Bench: [
    { keys: t('digitsAndPoint'), does: t('typeTheLoss') },
    { keys: '-', does: t('turnTheSignOfAReading') },
    { keys: t('enter'), does: t('saveNext') },
    { keys: 'r', does: t('recordAndRedo') },
    { keys: 's', does: t('skipWithAReason') },
    { keys: 'u', does: t('undoTheLastEntry') },
  ],
  Ledger: [{ keys: '/', does: t('search') }],
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

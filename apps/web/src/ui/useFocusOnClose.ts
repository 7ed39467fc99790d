import { useEffect } from 'react';

/**
 * Keeps the focus on the page when a sheet closes: where the key that opened it is gone, as that of an outbox without a
 * write left, the page itself gets it.
 */
export function useFocusOnClose(): void {
  useEffect(
    () => () => {
      // After the sheet has given the focus back, where it could.
      requestAnimationFrame(() => {
        if (document.activeElement !== document.body) return;
        const main = document.querySelector<HTMLElement>('[role=main]');
        if (!main) return;
        main.tabIndex = -1;
        main.style.outline = 'none';
        main.focus({ preventScroll: true });
      });
    },
    [],
  );
}

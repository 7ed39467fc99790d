import { useEffect, useRef } from 'react';
import { enterHistory } from './sheetHistory';

/** Lets the browser's Back, and the back gesture of a phone, close what lies over the page while it is shown. */
export function useBackCloses(close: () => void): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useEffect(() => enterHistory(() => latest.current()), []);
}

import { type RefObject, useEffect, useRef } from 'react';

/** The value of the newest view, for what goes on after a wait. */
export function useLatest<Value>(value: Value): RefObject<Value> {
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  return latest;
}

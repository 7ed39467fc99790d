import { type ReactNode, useEffect, useRef } from 'react';
import { View } from 'react-native';

/** What a key brings up further down: the page scrolls as far as it takes to see it whole. */
export function Revealed({ children }: { children: ReactNode }) {
  const box = useRef<View>(null);
  useEffect(() => {
    (box.current as unknown as HTMLElement).scrollIntoView({ block: 'nearest' });
  }, []);
  return <View ref={box}>{children}</View>;
}

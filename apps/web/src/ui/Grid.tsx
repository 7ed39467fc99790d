import { type ReactNode } from 'react';

interface GridProps {
  /** Width from which on an item may stand beside another, px. */
  least?: number;
  gap?: number;
  children: ReactNode;
}

/** Items below each other on a phone, and side by side as far as there is room. */
export function Grid({ least = 340, gap = 8, children }: GridProps) {
  return (
    <div
      style={{
        display: 'grid',
        gap,
        alignItems: 'start',
        gridTemplateColumns: `repeat(auto-fill, minmax(min(${least}px, 100%), 1fr))`,
      }}
    >
      {children}
    </div>
  );
}

/** An item of a grid that takes a row of its own, such as a form that is open. */
export const GridRow = ({ children }: { children: ReactNode }) => (
  <div style={{ gridColumn: '1 / -1' }}>{children}</div>
);

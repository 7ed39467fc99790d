import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/MoreSheet.tsx`. */
export const moreSheet = phrases({
  arcCheck: 'Arc check',
  charts: 'Charts',
  more: 'More',
  oneKey: 'One key per fiber of a ribbon',
  oneKeySays: '3 means 0.03 dB, and the next fiber follows. Select a cell to enter a larger loss.',
  skipFiber: 'Skip fiber',
});

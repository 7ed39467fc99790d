import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/BenchPage.tsx`. */
export const benchPage = phrases({
  nextFiber: 'Next fiber',
  redo: 'Redo',
  saveNext: 'Save, next',
});

import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/words.ts`. */
export const words = phrases({
  meanOfTrayOver: 'mean of tray {trays} over',
  meanOverLimit: 'mean over limit',
  noLossYet: 'no loss yet',
  noPlanYet: 'no plan yet',
  redoToRedo: '{redo} to redo',
  skipped: '{skipped} skipped',
  toBeMeasured: 'to be measured',
  worstMeanDb: 'worst {worst} · mean {mean} dB · {grade}{made}',
});

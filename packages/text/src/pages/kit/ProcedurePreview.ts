import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/ProcedurePreview.tsx`. */
export const procedurePreview = phrases({
  aMadeUpClosureWithOneCable: 'Preview: a made-up closure with one cable',
  closing: 'Closing',
  madeUp: 'made up',
  opening: 'Opening',
  theCableEntersAs: 'The cable enters as',
});

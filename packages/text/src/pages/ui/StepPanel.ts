import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/StepPanel.tsx`. */
export const stepPanel = phrases({
  done: 'Done',
  startWait: 'Start the wait of {clock}',
  stillToWriteDown: 'Still to write down: {open}.',
  waited: 'Waited',
  waiting: 'Wait {clock}',
});

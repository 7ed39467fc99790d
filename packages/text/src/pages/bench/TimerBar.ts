import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/TimerBar.tsx`. */
export const timerBar = phrases({
  clockLeftStop: '{clock} left, stop',
  cooling: 'Cooling',
  heater: 'Heater',
  heaterOnLabel: 'Heater on: {label}',
  takeItOut: 'take it out',
  takeOut: 'take out',
  timers: 'Timers',
});

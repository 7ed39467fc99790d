import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/shift/TimelinePicture.tsx`. */
export const timelinePicture = phrases({
  hands: 'Hands',
  splicer: 'Splicer',
  heater: 'Heater',
  numbered: '{name} {number}',
  minuteMin: '{minute} min',
  solidHandsAtASpliceHatched:
    'Solid: hands at a splice. Hatched: splicer or heater taken, also while it waits. Outline: a tube is opened, a break, an arc check.',
  theFirstHalfHourCloseUp: 'The first half hour, close up',
  tubeByTube: 'Tube by tube',
  whatHandsSplicersAndHeatersDo: 'What hands, splicers and heaters do in the first half hour',
  windowEndsClock: 'window ends {clock}',
  tubesAndRibbonsDoneAtWindow: '{units} tubes and ribbons, done at {done}; window to {window}',
});

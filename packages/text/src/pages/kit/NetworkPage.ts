import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/network/NetworkPage.tsx`. */
export const networkPage = phrases({
  cablesAndClosures: 'Cables and closures',
  cables: 'Cables: {cables}',
  distance: 'Distance',
  fibers14412x24TubesXFibers:
    'Fibers: 144, 12x24 (tubes x fibers), 24 ribbons, drop 12. Enter goes on.',
  hereAlready: 'Here already',
  planName: 'Plan {name}',
  rows: '{rows, plural, one {# row} other {# rows}}',
  rowsToFixFirst: '{rows, plural, one {# row} other {# rows}} to fix first.',
  saveRows: 'Save {rows, plural, one {# row} other {# rows}}',
  saved: 'Saved.',
  splices: '{splices, plural, one {# splice} other {# splices}}',
  distanceFromTheStartInWhere:
    'Distance from the start, in {unit} where no unit is typed; may be left out.',
});

import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/TrayPart.tsx`. */
export const trayPart = phrases({
  addTraysFor: 'Add {trays, plural, one {# tray} other {# trays}} for {method}',
  allSplicesKeepTheirPlaces: 'No splice changes its slot.',
  changeTheTrays: 'Change the trays',
  keepTheirPlaces: 'keep their places',
  laidOutAnew: 'laid out anew',
  letCordelChoose: 'Let Cordel choose',
  noRoom: 'No room.',
  notAdded: 'Not added.',
  nothingPlannedYet: 'Nothing planned yet.',
  onTrayMadeSplicesStayWhere: 'On tray {tray}. Made splices stay where they are.',
  singleFibers: 'single fibers',
  sparePlacesToKeepOnA: 'Spare slots per tray',
  splicesNotMadeYet: 'Splices not made yet',
  splitsOfTubesAndRibbonsNo:
    '{splits, plural, one {# split} other {# splits}} of tubes and ribbons (no layout has fewer than {leastSplits})',
  traysNewlyLaidNoFewerThan:
    '{trays, plural, one {# tray} other {# trays}} newly laid (no fewer than {leastTrays} would do)',
});

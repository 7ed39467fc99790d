import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/CircuitsPage.tsx`. */
export const circuitsPage = phrases({
  aLoop: 'A loop.',
  allCircuitsRunStraight: 'All circuits run straight',
  andProblemsMore: 'and {problems} more',
  circuits: 'Circuits',
  cut: 'Cut.',
  importASpliceListOrAdd: 'Import a splice list, or add cables in the Kit.',
  network: 'Network',
  noCablesYet: 'No cables yet',
  shiftsAndFlipsAgainstTheNeighbours:
    'Shifts and flips against the neighbors, loops, and unassigned ends.',
  theFiberIsCut:
    'The cable goes on, but this fiber is cut where a leg of it is spliced. Its {circuits} pieces carry separate circuits, shown one below the other.',
  theFiberComesBackToWhere:
    'The fiber comes back to where it began: one of these splices joins the wrong fiber.',
  whatLooksWrong: 'What looks wrong',
});

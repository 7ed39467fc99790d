import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/prep/OpenPage.tsx`. */
export const openPage = phrases({
  otherHardware: 'Other hardware',
  addACableThatEnters: 'Add a cable that enters',
  addName: 'Add {name}',
  enterHereToo: 'Enter here too.',
  fromTheClosureToWhereIt: 'Cable length to the splicing place',
  hardware: 'Hardware',
  namePlugs: '{name}: {plugs, plural, one {# plug} other {# plugs}}',
  howDoesItEnter: 'How does {name} enter?',
  itEndsHere: 'It ends here: cut end',
  itPasses: 'It passes through: express',
  noPlanSaysIt:
    'No splice is planned on it here. The sheath of an express cable is opened and the cable is not cut.',
  notHere: 'Not here',
  openTheCables: 'Open the cables',
  plugEveryUnusedHole: 'Plug every unused hole.',
  print: 'Print',
  splicedInThisClosure: '{missing}: spliced in this closure.',
  thereIsNoSuchClosureIn: 'There is no such closure in this project.',
});

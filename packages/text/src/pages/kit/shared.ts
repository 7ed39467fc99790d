import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/kit` share. */
export const kitShared = phrases({
  beingSaved: 'Being saved …',
  cableName: 'Cable {name}',
  cables: '{cables, plural, one {# cable} other {# cables}}',
  closeWithoutSaving: 'Close without saving',
  closureName: 'Closure {name}',
  closures: 'Closures',
  closures2: '{closures, plural, one {# closure} other {# closures}}',
  colourSchemes: 'Color schemes',
  copyName: 'Copy {name}',
  editName: 'Edit {name}',
  hardware: 'Hardware',
  importCables: 'Import cables',
  instruments: 'Instruments',
  isHereAlreadyChooseAnotherName: '{data} is here already: choose another name.',
  nameCopy: '{name}, copy',
  newLimitsJudgeEverySpliceAnew:
    'New limits apply to every splice. Recorded readings do not change.',
  notSaved: 'Not saved.',
  packTheVan: 'Pack the van',
  projectAndLimits: 'Project and limits',
  projectSettings: 'Project settings',
  ribbonSleevesATray: 'Ribbon sleeves a tray',
  save: 'Save',
  singleSleevesATray: 'Single sleeves a tray',
  standsFurtherUpChooseAnotherName: '{data} stands further up: choose another name.',
  whereItsFiguresComeFrom: 'Where its figures come from',
});

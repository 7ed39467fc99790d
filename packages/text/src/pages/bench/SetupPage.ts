import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/SetupPage.tsx`. */
export const setupPage = phrases({
  aSingleFiber: 'a single fiber',
  beginTheSession: 'Begin the session',
  chooseASplicerAndWhatFits:
    'Choose a splicer. Matching programs are set for you. Your own ones are in the Kit, under Instruments.',
  cleaveLength: 'Cleave length',
  cleaver: 'Cleaver',
  countFibers: '{count} fibers',
  doesNotFit: 'Does not fit.',
  fibersAtOnce: '{fibers} fibers at once',
  fits: 'Fits.',
  heaterProgram: 'Heater program',
  holder: 'Holder',
  howItIsJoined: 'How it is joined',
  inHand: 'In hand: {name}, {fibers}, {program}.',
  itsRecordsComeFrom: 'Its records come from',
  program: 'Program',
  programHeaterHolderAndCleaveGo: 'Program, heater, holder and cleave go with what the plan says.',
  sessionWithName: 'Session with {name}',
  splicer: 'Splicer',
  theSimulatedSplicer: 'the simulated splicer',
  theSplicersLine: 'the splicer’s line',
  upToFibers: ', up to {fibers}',
  whatADropsEndUsuallyLoses:
    'What a drop’s end usually loses: splice-on and pigtail {spliced}; mechanical {mechanical}.',
});

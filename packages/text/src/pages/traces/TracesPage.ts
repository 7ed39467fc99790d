import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/import/TracesPage.tsx`. */
export const tracesPage = phrases({
  cablesOnTheirReels: 'Cables on their reels',
  installed: 'As installed',
  onTheReel: 'On the reel, before placing',
  whenTheyWereShot: 'When they were shot',
  cableTheFibersAreCountedIn: 'Cable the fibers are counted in',
  choose: 'choose',
  chooseAFolder: 'Choose a folder',
  chooseFiles: 'Choose files',
  dropAFolderOfSorFiles:
    'Drop a folder of .sor files here, from both ends and at all wavelengths. They are kept byte for byte; nothing is imported before you have checked it.',
  endAIsWhereACircuit:
    'End A is where a circuit begins: the outer end of the cable that comes first in the list of cables.',
  goOnReadingFilesLeft: 'Go on reading: {files, plural, one {# file} other {# files}} left',
  noConnection: 'No connection.',
  nameOrInitials: 'Name or initials',
  notAll: 'Not all.',
  patternOfTheNames: 'Pattern of the names',
  reading: 'Reading',
  seeWhatTheyProve: 'See what they prove',
  sending: 'Sending',
  sentSoFar: 'Sent so far',
  theFilesAreKeptOnThis: 'The files are kept on this device, and are sent by themselves.',
  thatIsMe: 'That is me',
  theFileIsRight: 'the file is right',
  theNameIsRight: 'the name is right',
  whatDoneOfFiles: '{what}: {done} of {files, plural, one {# file} other {# files}}',
  whatTheNamesMean: 'What the names mean',
  whereNameAndFileDisagree: 'Where name and file disagree',
  whereNeitherSaysTheCableFibers: 'Where neither says the cable, fibers are counted in',
  whoImportsThemEveryEntryIs: 'Who imports them? Every entry is signed.',
  wordWasShot: '“{word}” was shot',
  patternHint: '{pattern}, * for anything; empty: the files’ own headers alone',
});

import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/InstrumentsPage.tsx`. */
export const instrumentsPage = phrases({
  instrumentName: 'Instrument “{name}”',
  nameOfTheInstrument: 'Name of the instrument',
  saveTheInstrument: 'Save the instrument',
  theInstrumentsOwnSheetWinsCopy:
    'The instrument’s own sheet wins. Copy the one that is nearest, and set its figures.',
  programsHeaterHoldersCleaveMm:
    'Programs {programs}; heater {heaterPrograms}; holders {holders}; cleave {cleaveLengths} mm.',
  cutsMmPlacesOfTheBlade:
    'Cuts {cleaveLengths} mm; {positions} places of the blade, {cleaves} fibers each.',
});

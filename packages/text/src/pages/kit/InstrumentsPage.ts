import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/InstrumentsPage.tsx`. */
export const instrumentsPage = phrases({
  figures: 'Figures',
  instrumentName: 'Instrument “{name}”',
  jsonCleaveLengthsInTenthsOf:
    'JSON; cleave lengths in tenths of a millimeter, times in seconds, the cleave limit in hundredths of a degree.',
  nameOfTheInstrument: 'Name of the instrument',
  saveTheInstrument: 'Save the instrument',
  theFiguresAreNoJsonLook: 'The figures are no JSON: look for a comma or a quote that is missing.',
  theInstrumentsOwnSheetWinsCopy:
    'The instrument’s own sheet wins. Copy the one that is nearest, and set its figures.',
  programsHeaterHoldersCleaveMm:
    'Programs {programs}; heater {heaterPrograms}; holders {holders}; cleave {cleaveLengths} mm.',
  cutsMmPlacesOfTheBlade:
    'Cuts {cleaveLengths} mm; {positions} places of the blade, {cleaves} fibers each.',
});

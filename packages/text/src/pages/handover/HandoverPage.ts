import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/handover/HandoverPage.tsx`. */
export const handoverPage = phrases({
  failing: 'Failing: {failing}.',
  handOver: 'Hand over',
  thePackageSaysSo: 'The package says so.',
  letter: 'Letter',
  makeThePackage: 'Make the package',
  notMade: 'Not made.',
  notSignedUnsigned: 'Not signed: {unsigned}.',
  package: 'Package',
  paperOfThePdf: 'Paper of the PDF',
  pdfForPeopleVerdictsSpliceSheets:
    'PDF for people: verdicts, splice sheets, losses, inspection, pressure tests, signatures, traces',
  saveTheZip: 'Save the zip, {byte}',
  sha256Match: 'SHA-256 {match}',
  stoppedNothingOfItIsLeft: 'Stopped; nothing of it is left.',
  theWholeProject: 'The whole project',
  tracesAndPhotosByteForByte:
    'Traces and photos byte for byte, what was signed, and a list of SHA-256 to check it all by',
  whatIsHandedOver: 'What is handed over',
  xlsxAndCsvJsonWithIts: 'XLSX and CSV, JSON with its schema, GeoJSON of the route',
  goOnToThePackage: 'Go on to the package',
});

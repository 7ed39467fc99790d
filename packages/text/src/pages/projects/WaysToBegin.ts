import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/projects/WaysToBegin.tsx`. */
export const waysToBegin = phrases({
  csvOrXlsx: 'CSV or XLSX',
  csvOrXlsxClosuresCablesAnd: 'CSV or XLSX: closures, cables and splices at once',
  geojsonClosuresWithTheirDistances: 'GeoJSON: closures with their distances',
  howDoYouBegin: 'How do you begin?',
  importCables: 'Import cables',
  oneAfterTheOtherThenPlan: 'One after the other, then plan each closure',
  theProjectIsEmptyWhatComes:
    'The project is empty. What comes in one way can be completed by another.',
  typeCablesAndClosures: 'Type cables and closures',
});

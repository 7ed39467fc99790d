import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/KitPage.tsx`. */
export const kitPage = phrases({
  allYouRecordedIsOnThe: 'All your work is on the server.',
  asTheSystem: 'As the system',
  csvOrXlsx: 'CSV or XLSX',
  csvOrXlsxWithAPreview: 'CSV or XLSX, with a preview',
  geojson: 'GeoJSON',
  handOver: 'Hand over',
  keys: 'Keys',
  kit: 'Kit',
  light: 'Light',
  night: 'Night',
  oneAfterTheOther: 'one after the other',
  openByLabel: 'Open by label',
  paper: 'Paper',
  profiles: '{profiles, plural, one {# profile} other {# profiles}}',
  schemes: '{schemes, plural, one {# scheme} other {# schemes}}',
  splicersAndCleavers: 'splicers and cleavers',
  theAsBuiltPackage: 'the as-built package',
  thisDevice: 'This device',
  typeCablesAndClosures: 'Type cables and closures',
  whatClosuresTake: 'what closures take',
  withCodesThatOpenAClosure: 'with codes that open a closure',
  writesOnThisDeviceNotOn:
    '{writes, plural, one {# write} other {# writes}} on this device, not on the server yet.',
  yourNameOrInitials: 'Your name or initials',
});

import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/VisitLeaf.tsx`. */
export const visitLeaf = phrases({
  attempts: '{attempts, plural, one {# attempt} other {# attempts}}',
  closeTestsAndSignatures: 'Close tests and signatures',
  itsTestsAndSignatures: 'Its tests and signatures',
  lookedAfter: 'Site safety, looked after: {hazards}',
  noHazards: 'Site safety: none of the usual hazards',
  pointsChecked: '{points, plural, one {# point} other {# points}} checked',
  pressureTests: '{pressureTests, plural, one {# pressure test} other {# pressure tests}}',
  signedByRole: 'signed by {by}, {role}',
  provenDark: 'Proven dark: {detector}; released by {releasedBy}',
  splicesRemoved: '{splices, plural, one {# splice} other {# splices}} removed',
  withInstruments: 'With {instruments}',
});

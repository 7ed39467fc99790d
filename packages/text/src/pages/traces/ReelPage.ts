import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/reel/ReelPage.tsx`. */
export const reelPage = phrases({
  reels: 'Cables on their reels',
  reelOf: 'Reel {number}',
  noReelNoted: 'No reel noted yet: its number and length stand in the cable’s own form.',
  lengthOnSheath: '{length} by its sheath',
  noLength: 'no length noted',
  noteTheReel: 'Note reel and length',
  acceptedOf: '{accepted} of {fibers} fibers accepted',
  rejectedFibers: '{rejected, plural, =0 {none rejected} one {# rejected} other {# rejected}}',
  notShotYet: 'Nothing was shot on the reel of cable {name} yet',
  shootBefore:
    'Before a cable is placed each fiber is shot on its reel: length, attenuation, no step. What is wrong goes back; what is right is the first reading to which later ones are compared.',
  importShots: 'Import shots of the reel',
  chart: 'Attenuation of each fiber at {wavelengthNm} nm, dB/km',
  fiberIs: 'fiber {fiber}: {loss} dB/km, {verdict}',
  atMost: 'at most {most}',
  fiberAtNm: 'Fiber {fiber}, {wavelengthNm} nm, {length}, {attenuation}: ',
  lengthUnknown: 'length not seen',
  attenuationIs: '{loss} ± {error} dB/km',
  attenuationUnknown: 'attenuation not seen',
  verdict: '{verdict, select, accepted {accepted} rejected {rejected} other {check}}',
  allFibers: 'Fibers to look at',
  noneToLookAt: 'Every shot is accepted.',
});

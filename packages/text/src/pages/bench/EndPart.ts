import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/EndPart.tsx`. */
export const endPart = phrases({
  endFace: 'End face',
  faceFail: 'Face fail',
  facePass: 'Face pass',
  lightAndFace: 'Light and end face',
  faceFails: 'Fails',
  facePasses: 'Passes',
  lightSeen: 'Light seen',
  lightThroughIt: 'Light through it',
  neverLookIntoIt:
    'Never look into a fiber or a connector: a card, a meter or a microscope on a dark fiber shows it.',
  noLight: 'No light',
});

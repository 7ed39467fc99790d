import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/labels/ScanPage.tsx`. */
export const scanPage = phrases({
  code: 'Code',
  holdTheLabelBeforeTheCamera:
    'Hold the label before the camera, or type the eight letters and digits under it.',
  notOpened: 'Not opened.',
  open: 'Open',
  openByLabel: 'Open by label',
  theCamerasPicture: 'The camera’s picture',
});

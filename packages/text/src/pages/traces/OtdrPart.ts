import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/import/OtdrPart.tsx`. */
export const otdrPart = phrases({
  launchFiberIncluded: 'launch fiber left in',
  wrongGroupIndex: 'wrong group index',
  rangeTooShort: 'range too short',
  unplugged: 'not plugged in',
  brokenHalfway: 'broken half way',
  aRealOtdrSendsInvisibleLight:
    'A real OTDR sends invisible light: never look into a fiber end or a connector, and be sure the fiber is dark. Follow local codes and your company’s practice.',
  averagesFourTimesAsManyHalf: 'Averages: four times as many, half the noise',
  cableToShoot: 'Cable to shoot',
  laserLight: 'Laser light.',
  notShot: 'Not shot.',
  ofMost: 'of {most}',
  pulseNsShortTellsCloseEvents: 'Pulse, ns: short tells close events apart, long reaches far',
  shoot: 'Shoot',
  shootingFilesOfTasks: 'Shooting {files} of {tasks}',
  wavelengthsNm: 'Wavelengths, nm',
  faultsToSimulate: 'Faults to simulate',
  suchAs11217At: 'Such as 1-12, 17; at most {most}',
});

import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/closing` share. */
export const closingShared = phrases({
  noPicture: 'This is no picture that the browser reads: take a photo, or choose a JPEG or PNG.',
  photoTooLarge: 'The file has {megabytes} MB: a photo of at most 60 MB is read.',
  aPhotoOfKb: 'A photo of {bytes} kB',
  altitudeOrBarometer: '{altitude} or {barometer}',
  bubblesAtBubbling: 'bubbles at {bubbling}',
  down: 'down {down}',
  downSinceMinPlanned: 'down since {since}, {planned} min planned',
  downToMin: ': down {from} to {to}, {minutes} min',
  gaugeFromToInMinutes: 'Gauge from {first} to {last} in {minutes} minutes{alone}',
  isAboveTheLimitOf: '{pascals} is above the limit of {limit}',
  lead: 'Lead',
  releasePressureAtOnce: '{above}: release pressure at once.',
  minutesMin: '{minutes} min',
  notYet: 'Not yet.',
  nothingIsDown: 'nothing is down',
  ofBoltsTight: '{size} of {bolts} bolts tight',
  over: ', {over} over',
  passed: 'Passed.',
  plannedMinPlanned: '{planned} min planned',
  readings: '{readings, plural, one {# reading} other {# readings}}',
  clear: 'Clear',
  signatureOfBy: 'Signature of {by}',
  technician: 'Technician',
  typedInPlace: '{name} (signed by typing the name)',
  indexClockFiberFibersDown: '{index}. {clock} fiber {fibers}: {down}',
  byTemperatureAlone: '; by temperature alone {gauge}',
  downToMinPlanned: 'down {since} to {clock}, {minutes} min; {planned} planned{over}',
  doesTheGaugeShowThenChoose:
    '{above}. Does the gauge show {meant}? Then choose {meant}. If it is so, release pressure at once.',
});

import {
  type CircuitBudget,
  type FiberReason,
  type FiberVerdict,
  type LinkJudgement,
  type Reference,
  formatHalf,
  formatLoss,
} from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

/** Why a fiber is not proven, or not good. */
export const fiberReasonText = catalog<FiberReason>()({
  splices:
    '{splices, plural, one {One splice or end} other {# splices or ends}} on its way: {verdict, select, open {not made} skipped {skipped} provisional {not measured as the limits ask} fail {over the limit} other {called dead}}.',
  notMeasured: 'Not measured both ways at {wavelengthNm} nm.',
  lengthUnknown: 'Its length is not known, so that it has no budget.',
  overBudget: 'Over its budget by {by} at {wavelengthNm} nm.',
  marginUnsure: 'Only {left} left at {wavelengthNm} nm, and that may be {error} off.',
  findings:
    '{findings, plural, one {One finding} other {# findings}} of its traces to be repaired.',
  linkOver: 'The link is over its budget at {wavelengthNm} nm.',
  linkDiffers: 'The link does not lose what its parts do at {wavelengthNm} nm.',
});

export const fiberVerdictText = phrases({
  proven: 'Proven',
  'not proven': 'Not proven',
  fails: 'Fails',
} satisfies Record<FiberVerdict, string>);

/** What stands on the proof of a fiber, on screen and on paper. */
export const fiberProofWords = phrases({
  proofOfFiber: 'Proof of fiber {label}',
  fromTo: '{from} to {to}, {length} of fiber',
  whatWasMeasured: 'Both ends’ connectors included where a meter measured it.',
  spliceTable: 'Splices and ends, dB',
  place: 'Place',
  wavelength: 'nm',
  fromPlace: 'From {name}',
  mean: 'Mean',
  verdict: 'Verdict',
  traySlot: '{name}, tray {tray}',
  endAtPort: '{name}, {port}',
  endToEnd: 'Fiber and splices, end to end',
  meanSigma: '{loss} ± {sigma}',
  oneWay: 'one way',
  notTraced: 'no trace',
  budget: 'Budget, dB',
  budgetRow:
    '{wavelengthNm} nm: {measured, select, true {measured} other {calculated}} {loss} ± {sigma}, at most {most}, {left} left',
  noBudget: 'No budget: its length is not known.',
  link: 'Power meter and source, dB',
  linkRow:
    '{wavelengthNm} nm: {loss} {ways, select, two {both ways} other {one way}} ± {sigma}; {verdict}',
  linkInstruments: '{source} to {meter}, reference {power} of {moment}, calibrated until {until}',
  noLink: 'Not measured with a power meter.',
  linkPass: 'within its budget',
  linkFail: 'over its budget',
  linkOneWay: 'measured one way only',
  linkNoLimit: 'no budget',
  continuity:
    'Checked by light: {seen, select, here {at the right port} none {no light} other {at the port of fiber {fiber}}}, {by}, {moment}',
  notChecked: 'Not checked by light.',
  traces: 'Traces',
  traceOf: 'From {name}, {wavelengthNm} nm, {moment}',
  findings: 'Findings',
  whatItMayBeOff:
    '± is two standard deviations: 95 of 100 figures lie within. A mean of both directions is the loss; one direction has the mode fields’ mismatch in it.',
  verdictOfSplice:
    '{verdict, select, pass {passes} fail {over the limit} accepted {accepted} open {not made} skipped {skipped} dead {dead} other {partly measured}}',
  seeTheProof: 'Proof of this fiber',
  print: 'Print or save as PDF',
  traceView: 'Trace view',
  linkTest: 'Link test',
  unknownDay: 'unknown',
});

/** A circuit's budget at one wavelength, in a line. */
export const budgetRowText = (budget: CircuitBudget): string =>
  fiberProofWords('budgetRow', {
    wavelengthNm: budget.wavelengthNm,
    measured: String(budget.measuredMdb !== null),
    loss: ((budget.measuredMdb ?? budget.madeMdb) / 1000).toFixed(2),
    sigma: ((2 * budget.marginSigmaMdb) / 1000).toFixed(2),
    most: (budget.limitMdb / 1000).toFixed(2),
    left: (budget.marginMdb / 1000).toFixed(2),
  });

const LINK_VERDICTS = {
  pass: 'linkPass',
  fail: 'linkFail',
  'one way': 'linkOneWay',
  'no limit': 'linkNoLimit',
} as const;

/** A link at one wavelength, in a line. */
export const linkRowText = ({
  wavelengthNm,
  lossHalfMdb,
  sigmaMdb,
  isTwoWay,
  verdict,
}: Pick<
  LinkJudgement,
  'wavelengthNm' | 'lossHalfMdb' | 'sigmaMdb' | 'isTwoWay' | 'verdict'
>): string =>
  fiberProofWords('linkRow', {
    wavelengthNm,
    loss: formatHalf(lossHalfMdb),
    ways: isTwoWay ? 'two' : 'one',
    sigma: ((2 * sigmaMdb) / 1000).toFixed(2),
    verdict: fiberProofWords(LINK_VERDICTS[verdict]),
  });

/** What a link was measured with. @param moment of the reference, by the clock of the project */
export const linkInstrumentsText = (reference: Reference, moment: string): string =>
  fiberProofWords('linkInstruments', {
    source: reference.source,
    meter: reference.meter,
    power: `${formatLoss(reference.powerMdbm)} dBm`,
    moment,
    until: reference.calibratedUntil ?? fiberProofWords('unknownDay'),
  });

import { type Hardware, type Project, formatDay, formatTemperature } from '@cordel/core';
import {
  type BubblesSeen,
  type ClosingEntry,
  type PressureRound,
  cutOversOf,
  formatGauge,
  formatLeakRate,
  leakCause,
  roundsOf,
  testTask,
  visitsOf,
} from '@cordel/core/close';
import { leakCauseText, pointText, roundReasonText } from '@cordel/text/close';
import { closingPages as say } from '@cordel/text/handover/closingPages';
import type { PackageClosure } from '../messages.ts';
import { facePicture, gaugePicture, signaturePicture } from './drawings.ts';
import { ACCENT, INK, SECOND, type Sheets } from './paper.ts';
import { type PrepRow, answersText } from './prepRows.ts';

/** What was looked at, tested, done and signed of a closure, this visit's first. */
export function writeClosing(
  sheets: Sheets,
  project: Project,
  own: PackageClosure,
  hardware: Hardware | null,
): void {
  writeInspection(sheets, own, hardware);
  writeRounds(sheets, say('pressureTest'), own.state.rounds, hardware);
  writeVisits(sheets, own);
  writeCutOvers(sheets, own);
  writeSignatures(sheets, own);
  writeEarlier(sheets, project, own, hardware);
}

/** Cable prep as far as something was written down: what was proven dark, tested and released, and by whom. */
export function writePrep(sheets: Sheets, rows: readonly PrepRow[]): void {
  if (rows.length === 0) return;
  sheets.heading(say('cablePrep'), 13);
  sheets.table(
    [
      { title: say('cable'), width: 10 },
      { title: say('step'), width: 40 },
      { title: say('writtenDown'), width: 34 },
      { title: say('byAt'), width: 25 },
    ],
    rows.map(({ cable, step, written, override, by, at }) => [
      cable,
      step,
      [written, override === null ? '' : say('beforeSafetyStep', { why: override })]
        .filter(Boolean)
        .join('; '),
      [by ?? '', at === null ? '' : sheets.moment(at)].filter(Boolean).join(', '),
    ]),
    () => INK,
  );
}

function writeInspection(
  sheets: Sheets,
  { state }: PackageClosure,
  hardware: Hardware | null,
): void {
  const looked = state.points.filter(({ entry, point }) => entry !== null || point.found);
  if (looked.every(({ entry }) => entry === null)) return;
  sheets.heading(say('beforeTheCover'), 13);
  sheets.table(
    [
      { title: say('point'), width: 44 },
      { title: say('writtenDown'), width: 22 },
      { title: say('found'), width: 12 },
      { title: say('byAt'), width: 33 },
    ],
    looked.map(({ point, state: said, entry }) => [
      pointText(point.message, sheets.units),
      entry?.answers ? answersText({ answers: entry.answers }, hardware) : '',
      said === 'bad' ? 'fail' : said === 'open' ? 'check again' : said,
      entry ? `${entry.by}, ${sheets.moment(entry.at)}` : say('fromTheRecord'),
    ]),
    (row) => (row[2] === 'fail' ? ACCENT : INK),
  );
}

function writeRounds(
  sheets: Sheets,
  heading: string,
  rounds: readonly PressureRound[],
  hardware: Hardware | null,
): void {
  if (rounds.length === 0) return;
  sheets.heading(heading, 13);
  rounds.forEach((round, index) => writeRound(sheets, round, index, hardware));
}

/** Tests and signatures from before the closure was opened again. */
function writeEarlier(
  sheets: Sheets,
  { practice, units }: Project,
  { closing }: PackageClosure,
  hardware: Hardware | null,
): void {
  for (const { closing: own, from, signatures } of visitsOf(closing, []).slice(0, -1)) {
    const day = formatDay(from, units.timeZone);
    const rounds = roundsOf(own, testTask(hardware, practice.leakLimit), closing).filter(
      ({ release }) => release,
    );
    writeRounds(sheets, say('pressureTestOfBeforeItWas', { day }), rounds, hardware);
    if (signatures.length === 0) continue;
    sheets.heading(say('signedOnBeforeItWasOpened', { day }), 13);
    for (const signature of signatures) signaturePicture(sheets, signature);
  }
}

function writeRound(
  sheets: Sheets,
  pressed: PressureRound,
  index: number,
  hardware: Hardware | null,
): void {
  const { round, state, bubbles, repairs, release, estimate } = pressed;
  const unit = sheets.units.pressure;
  sheets.paragraph(
    say('testIndexOriginStateMomentBy', {
      index: index + 1,
      origin: pressed.origin === 'simulated' ? say('readingsSimulated') : '',
      state,
      moment: sheets.moment(round.at),
      by: round.by,
      target: formatGauge(round.targetPa, unit),
      limit: formatGauge(round.limitPa, unit, 'down'),
      roundReason: roundReasonText(pressed.reason),
    }),
    { face: 'bold', ink: state === 'passed' ? INK : ACCENT },
  );
  if (estimate.verdict !== 'few')
    sheets.paragraph(
      say('atOneTemperatureItByGive', {
        rate: estimate.rate < 0 ? 'rises' : 'falls',
        leakRate: formatLeakRate(Math.abs(estimate.rate), unit),
        sigma: formatLeakRate(estimate.sigma, unit),
      }),
    );
  gaugePicture(sheets, pressed);
  writeLooked(sheets, pressed);
  if (hardware && bubbles.length > 0) {
    facePicture(sheets, hardware, pressed.looked);
    for (const place of bubbles)
      sheets.paragraph(`${place}: ${leakCauseText(leakCause(hardware, place))}`);
  }
  for (const repair of repairs)
    sheets.paragraph(
      say('repairedAtPlaceWhatBy', { place: repair.place, what: repair.what, by: repair.by }),
    );
  sheets.paragraph(
    release
      ? say('releasedBeforeBeforeMomentBy', {
          before: release.before,
          moment: sheets.moment(release.at),
          by: release.by,
        })
      : say('notReleasedYet'),
    { ink: release ? SECOND : ACCENT },
  );
}

/** What was seen at which places. */
function writeLooked(
  sheets: Sheets,
  { looked, readings, heldMinutes, origin }: PressureRound,
): void {
  const at = (seen: BubblesSeen) =>
    looked.flatMap((one) => (one.seen === seen ? [one.place] : [])).join(', ') || 'none';
  sheets.paragraph(
    say('noBubblesBubblesNotChecked', {
      clear: at('none'),
      bubbles: at('bubbles'),
      unchecked: at('not checked'),
    }),
  );
  if (readings.length > 0)
    sheets.paragraph(
      say('readingsOfTheGaugeTheLast', {
        readings: readings.length,
        origin: origin ?? '',
        heldMinutes: Math.round(heldMinutes),
      }),
    );
}

function writeVisits(sheets: Sheets, { closing }: PackageClosure): void {
  const told = closing.filter(
    (entry): entry is Extract<ClosingEntry, { kind: 'visit' | 'leave' }> =>
      entry.kind === 'visit' || entry.kind === 'leave',
  );
  if (told.length === 0) return;
  sheets.heading(say('visits'), 13);
  for (const entry of told)
    sheets.paragraph(
      entry.kind === 'visit'
        ? `${sheets.moment(entry.at)}: ${entry.crew.join(', ')}, ${entry.purpose}${entry.why ? `: ${entry.why}` : ''}${entry.air.temperature === null ? '' : `; ${formatTemperature(entry.air.temperature, sheets.units.temperature)}`}${entry.sky ? `, ${entry.sky}` : ''}`
        : `${sheets.moment(entry.at)}: ${entry.done} (${entry.by})`,
    );
}

/** Live fibers that were cut over: how long each circuit was to be down, and was. */
function writeCutOvers(sheets: Sheets, { closing }: PackageClosure): void {
  for (const { entry, circuits, plan } of cutOversOf(closing)) {
    sheets.heading(say('cutOver'), 13);
    sheets.paragraph(
      say('sleevesFirstBreakPlannedForBy', {
        sleeves: plan.steps.length,
        moment: sheets.moment(entry.start),
        by: entry.by,
      }),
    );
    sheets.table(
      [
        { title: say('circuit'), width: 30 },
        { title: say('planned'), width: 14 },
        { title: say('downAt'), width: 22 },
        { title: say('backAt'), width: 22 },
        { title: say('wasDown'), width: 14 },
      ],
      circuits.map(({ name, planned, downAt, upAt, minutes }) => [
        name,
        say('plannedMin', { planned }),
        downAt ? sheets.moment(downAt) : '',
        upAt ? sheets.moment(upAt) : '',
        minutes === null ? '' : say('minutesMin', { minutes }),
      ]),
    );
  }
}

/** Height of a heading with one signature, points. */
const SIGNATURE_ROOM = 120;

function writeSignatures(sheets: Sheets, { state, signed }: PackageClosure): void {
  if (state.signatures.length === 0) return;
  // A heading and the first signature below it stay together.
  sheets.room(SIGNATURE_ROOM);
  sheets.heading(say('signatures'), 13);
  for (const signature of state.signatures) signaturePicture(sheets, signature);
  sheets.paragraph(say('whatWasSignedStandsInSigned', { records: signed.length }), { ink: SECOND });
}

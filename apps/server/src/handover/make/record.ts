import {
  type Hardware,
  type Project,
  type Leg,
  type Ruling,
  SPLICE_STAGES,
  formatDistance,
  rollUp,
  spliceStage,
  groupBy,
} from '@cordel/core';
import { wayText } from '@cordel/text/bench';
import {
  type Checkpoint,
  canonicalText,
  digestOf,
  qrPath,
  qrSquares,
  shortDigest,
} from '@cordel/core/close';
import { pointText } from '@cordel/text/close';
import { groupVerdictText, spliceStateText } from '@cordel/text/loss/states';
import { record as say } from '@cordel/text/handover/record';
import type { PackageClosure, PackageMessage, PackageSplice } from '../messages.ts';
import { RULING_TITLES, limitText, lossText, meanText } from '../../exchange/columns.ts';
import type { DescribeFiber } from '../../exchange/describer.ts';
import { type PrepPlant, prepRows } from './prepRows.ts';
import { writeClosing, writePrep } from './closingPages.ts';
import { lossPicture } from './drawings.ts';
import { ACCENT, INK, SECOND, type Sheets } from './paper.ts';
import { Tallies } from './tallies.ts';

type Open = Extract<PackageMessage, { kind: 'open' }>;

/** The first page: what it is of, by what it was judged, and how each closure stands. */
export function writeSummary(
  sheets: Sheets,
  { project, rows, tally, title, checkpoint }: Open,
): void {
  const { limits } = project;
  sheets.heading(title, 22);
  sheets.paragraph(
    say('asBuiltRecordSplicesVerdict', {
      splices: tally.total,
      states: SPLICE_STAGES.filter((state) => tally[state] > 0)
        .map((state) => `${tally[state]} ${spliceStateText(state)}`)
        .join(', '),
      groupVerdict: groupVerdictText(tally.verdict),
    }),
    { face: 'bold', size: 11, ink: tally.verdict === 'fail' ? ACCENT : INK },
  );
  sheets.paragraph(
    say('judgedByFiguresAtNmA', {
      name: limits.name,
      source: limits.source,
      grade: limits.grade,
      wavelengths: limits.wavelengths.join(' and '),
      single: limitText(limits.splice[limits.grade].single),
      ribbon: limitText(limits.splice[limits.grade].mass),
      fiber: limitText(limits.mean.fiber),
      tray: limitText(limits.mean.tray),
      closure: limitText(limits.mean.closure),
    }),
  );
  sheets.y += 6;
  sheets.table(
    [
      { title: say('closure'), width: 26 },
      { title: say('at'), width: 12 },
      { title: say('done'), width: 13 },
      { title: say('worstDb'), width: 10 },
      { title: say('meanDb'), width: 10 },
      { title: say('knownBy'), width: 11 },
      { title: say('verdict'), width: 12 },
      { title: say('closed'), width: 12 },
    ],
    rows.map((row) => [
      row.name,
      row.distance === null ? '' : formatDistance(row.distance, project.units.distance),
      say('doneOfDue', { done: row.done, due: row.due }),
      lossText({ lossHalfMdb: row.maxHalfMdb }),
      meanText(row),
      row.grade ?? '',
      groupVerdictText(row.verdict),
      row.closing === 'done' ? 'signed' : row.closing,
    ]),
    (row) => (row[6] === 'fail' ? ACCENT : INK),
  );
  if (checkpoint) writeCheckpoint(sheets, checkpoint);
}

/** Side of the code, points. */
const CODE = 96;

/** What the server signed of the whole project's record: in words, and as a code that holds all of it. */
function writeCheckpoint(sheets: Sheets, checkpoint: Checkpoint): void {
  sheets.y += 10;
  sheets.room(CODE + 50);
  sheets.paragraph(
    say('checkpoint', {
      entries: checkpoint.number,
      hash: shortDigest(checkpoint.hash),
      key: shortDigest(digestOf(Buffer.from(checkpoint.publicKey, 'base64'))),
      // To the millisecond: the signature is of it.
      moment: checkpoint.at,
    }),
  );
  const squares = qrSquares(canonicalText(checkpoint));
  const { doc, left } = sheets;
  doc.save();
  doc.translate(left, sheets.y + 4);
  doc.scale(CODE / squares.length);
  doc.path(qrPath(squares)).fill(INK);
  doc.restore();
  sheets.y += CODE + 12;
}

/** A closure: its splices by tray, then what was looked at, tested, waived and signed. */
export function writeClosure(
  sheets: Sheets,
  project: Project,
  own: PackageClosure,
  splices: readonly PackageSplice[],
  describe: DescribeFiber,
  hardware: Hardware | null,
  plant: PrepPlant,
): void {
  const { closure, row, state } = own;
  sheets.page();
  sheets.heading(closure.name, 18);
  sheets.paragraph(
    [
      closure.distance === null
        ? ''
        : `At ${formatDistance(closure.distance, project.units.distance)}.`,
      hardware ? `${hardware.name}.` : '',
      say('ofSplicesMadeOnTrays', {
        done: row.done,
        splices: row.due,
        dead: row.dead > 0 ? say('deadDead', { dead: row.dead }) : '',
        trays: closure.trays.length,
      }),
      say('verdictGroupVerdictGrade', {
        groupVerdict: groupVerdictText(row.verdict),
        grade: row.grade ? `, ${row.grade}` : '',
      }),
      state.stage === 'signed' ? say('closedTestedAndSigned') : say('notSigned'),
    ]
      .filter(Boolean)
      .join(' '),
    { face: 'bold' },
  );
  lossPicture(sheets, splices, project.limits);
  writeTrays(sheets, project, splices, describe);
  writeRetired(sheets, own, describe);
  writeWaivers(sheets, own, splices);
  writePrep(sheets, prepRows(own, plant));
  writeClosing(sheets, project, own, hardware);
}

const ROW = 10.5;
const GAP = 16;

/** Splices of each tray in two columns a page: fiber to fiber, loss, how it is known, verdict. */
function writeTrays(
  sheets: Sheets,
  project: Project,
  splices: readonly PackageSplice[],
  describe: DescribeFiber,
): void {
  const half = (sheets.width - GAP) / 2;
  let column = 0;
  let top = sheets.y;
  const x = () => sheets.left + column * (half + GAP);
  const next = () => {
    if (column === 0) {
      column = 1;
      sheets.y = top;
      return;
    }
    sheets.page();
    column = 0;
    top = sheets.y;
  };
  const byTray = groupBy(splices, ({ tray }) => tray);
  const tallies = new Tallies<number>();
  for (const splice of splices) tallies.add(String(splice.tray), splice.tray, splice);
  let deepest = sheets.y;
  for (const [tray, list] of byTray) {
    if (sheets.y + 3 * ROW > sheets.bottom) next();
    const row = rollUp(tallies.get(String(tray)), 'tray', project.limits);
    const mean = meanText(row);
    sheets.put(say('trayNumber', { tray }), x(), sheets.y, { size: 9.5, face: 'bold' });
    sheets.put(
      say('doneOfDueMeanGroupVerdict', {
        done: row.done,
        due: row.due,
        mean: mean ? say('meanMeanDb', { mean }) : '',
        groupVerdict: groupVerdictText(row.verdict),
      }),
      x() + 48,
      sheets.y + 0.8,
      { size: 8, ink: row.verdict === 'fail' ? ACCENT : SECOND },
    );
    sheets.y += ROW + 2;
    for (const splice of list) {
      if (sheets.y + ROW > sheets.bottom) {
        deepest = Math.max(deepest, sheets.y);
        next();
      }
      const a = describe(splice.cableA, splice.fiberA);
      const b = describe(splice.cableB, splice.fiberB);
      const bad = splice.verdict === 'fail' || splice.redo;
      const ink = { size: 7.5, ink: bad ? ACCENT : INK };
      sheets.put(
        sheets.fitted(
          `${splice.slot}   ${endName(a, splice.legA)} – ${endName(b, splice.legB)}${splice.end ? `, ${wayText(splice.end)}` : ''}`,
          half - 108,
          'regular',
          7.5,
        ),
        x(),
        sheets.y,
        ink,
      );
      sheets.put(
        `${lossText(splice)}${splice.lossHalfMdb === null ? '' : ' dB'}   ${spliceStateText(spliceStage(splice))}${splice.tries > 1 ? say('attemptNumber', { attempt: splice.tries }) : ''}${splice.origin === 'simulated' ? say('simulated') : ''}`,
        x() + half - 104,
        sheets.y,
        ink,
      );
      sheets.y += ROW;
    }
    sheets.y += 5;
    deepest = Math.max(deepest, sheets.y);
  }
  if (column === 1) sheets.y = Math.max(deepest, sheets.y);
}

/** A fiber as it is printed, such as `F.in 3 green` on a leg of an express cable, or `T1 port 3`. */
const endName = ({ cable, fiber, colour }: ReturnType<DescribeFiber>, leg: Leg | null): string =>
  `${cable}${leg ? `.${leg}` : ''} ${[fiber, colour].filter(Boolean).join(' ')}`;

/** What lay here and was removed. */
function writeRetired(sheets: Sheets, { retired }: PackageClosure, describe: DescribeFiber): void {
  if (retired.length === 0) return;
  sheets.heading(say('removed'), 13);
  const end = (cable: string, fiber: number, leg: Leg | null) =>
    endName({ ...describe(cable, fiber), colour: '' }, leg);
  const words = groupBy(
    retired,
    ({ retirement: { by, at, why } }) => `${by}, ${sheets.moment(at)}: ${why}`,
  );
  for (const [word, rows] of words) {
    sheets.paragraph(word);
    sheets.table(
      [
        { title: say('splice'), width: 34 },
        { title: say('layIn'), width: 26 },
        { title: say('was'), width: 40 },
      ],
      rows.map((row) => [
        say('endToEnd', {
          a: end(row.cableA, row.fiberA, row.legA),
          b: end(row.cableB, row.fiberB, row.legB),
        }),
        say('traySlot', { tray: row.tray, slot: row.slot }),
        `${row.lossHalfMdb === null ? '' : `${lossText(row)} dB, `}${spliceStateText(spliceStage(row))}`,
      ]),
    );
  }
}

function writeWaivers(
  sheets: Sheets,
  { rulings, retired, state }: PackageClosure,
  splices: readonly PackageSplice[],
): void {
  const byId = new Map([...splices, ...retired].map((splice) => [splice.id, splice]));
  const place = ({ spliceId }: Ruling) => {
    const splice = byId.get(spliceId);
    return splice ? say('traySlot', { tray: splice.tray, slot: splice.slot }) : 'a splice';
  };
  const points = state.points.filter((one) => one.state === 'waived');
  if (rulings.length === 0 && points.length === 0) return;
  sheets.heading(say('decidedByPeople'), 13);
  // What was said of a whole ribbon at once is one line.
  const lines = groupBy(rulings, (ruling) =>
    [place(ruling), ruling.kind, ruling.by, sheets.moment(ruling.at), ruling.why].join('\n'),
  );
  for (const [ruling, ...more] of lines.values())
    sheets.paragraph(
      say('placeRulingTitlesByByMoment', {
        place: place(ruling!),
        rulingTitles: RULING_TITLES[ruling!.kind],
        fibers: more.length + 1,
        by: ruling!.by,
        moment: sheets.moment(ruling!.at),
        why: ruling!.why,
      }),
    );
  for (const { point, entry } of points)
    sheets.paragraph(
      say('pointWaivedByByMomentWhy', {
        point: pointText(point.message, sheets.units),
        by: entry!.by,
        moment: sheets.moment(entry!.at),
        why: entry!.why ?? '',
      }),
    );
}

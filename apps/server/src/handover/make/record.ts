import {
  type Hardware,
  type Project,
  type Ruling,
  SPLICE_STATES,
  formatDistance,
  plural,
  rollUp,
  spliceState,
  groupBy,
} from '@cordel/core';
import { pointText } from '@cordel/text/close';
import { groupVerdictText, spliceStateText } from '@cordel/text/loss/states';
import type { PackageClosure, PackageMessage, PackageSplice } from '../messages.ts';
import { RULING_TITLES, limitText, lossText, meanText } from '../../exchange/columns.ts';
import type { DescribeFiber } from '../../exchange/describer.ts';
import { writeClosing } from './closingPages.ts';
import { lossPicture } from './drawings.ts';
import { ACCENT, INK, SECOND, type Sheets } from './paper.ts';
import { Tallies } from './tallies.ts';

type Open = Extract<PackageMessage, { kind: 'open' }>;

/** The first page: what it is of, by what it was judged, and how each closure stands. */
export function writeSummary(sheets: Sheets, { project, rows, tally, title }: Open): void {
  const { limits } = project;
  sheets.heading(title, 22);
  sheets.paragraph(
    `As-built record. ${plural(tally.total, 'splice')}: ${SPLICE_STATES.filter(
      (state) => tally[state] > 0,
    )
      .map((state) => `${tally[state]} ${spliceStateText(state)}`)
      .join(', ')}. Verdict: ${groupVerdictText(tally.verdict)}.`,
    { face: 'bold', size: 11, ink: tally.verdict === 'fail' ? ACCENT : INK },
  );
  sheets.paragraph(
    `Judged by ${limits.name} (${limits.source}): ${limits.grade} figures at ${limits.wavelengths.join(' and ')} nm; a splice at most ${limitText(limits.splice[limits.grade].single)} single, ${limitText(limits.splice[limits.grade].mass)} ribbon; a mean at most ${limitText(limits.mean.fiber)} for a fiber, ${limitText(limits.mean.tray)} for a tray, ${limitText(limits.mean.closure)} for a closure.`,
  );
  sheets.y += 6;
  sheets.table(
    [
      { title: 'Closure', width: 26 },
      { title: 'At', width: 12 },
      { title: 'Done', width: 13 },
      { title: 'Worst dB', width: 10 },
      { title: 'Mean dB', width: 10 },
      { title: 'Known by', width: 11 },
      { title: 'Verdict', width: 12 },
      { title: 'Closed', width: 12 },
    ],
    rows.map((row) => [
      row.name,
      row.distance === null ? '' : formatDistance(row.distance, project.units.distance),
      `${row.done} of ${row.due}`,
      lossText({ half: row.maxHalf }),
      meanText(row),
      row.grade ?? '',
      groupVerdictText(row.verdict),
      row.closing === 'done' ? 'signed' : row.closing,
    ]),
    (row) => (row[6] === 'fail' ? ACCENT : INK),
  );
}

/** A closure: its splices by tray, then what was looked at, tested, waived and signed. */
export function writeClosure(
  sheets: Sheets,
  project: Project,
  own: PackageClosure,
  splices: readonly PackageSplice[],
  describe: DescribeFiber,
  hardware: Hardware | null,
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
      `${row.done} of ${plural(row.due, 'splice')} made${row.dead > 0 ? `, ${row.dead} dead` : ''}, on ${plural(closure.trays.length, 'tray')}.`,
      `Verdict: ${groupVerdictText(row.verdict)}${row.grade ? `, ${row.grade}` : ''}.`,
      state.stage === 'signed' ? 'Closed, tested and signed.' : 'Not signed.',
    ]
      .filter(Boolean)
      .join(' '),
    { face: 'bold' },
  );
  lossPicture(sheets, splices, project.limits);
  writeTrays(sheets, project, splices, describe);
  writeRetired(sheets, own, describe);
  writeWaivers(sheets, own, splices);
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
    sheets.put(`Tray ${tray}`, x(), sheets.y, { size: 9.5, face: 'bold' });
    sheets.put(
      `${row.done} of ${row.due}${mean ? `, mean ${mean} dB` : ''}, ${groupVerdictText(row.verdict)}`,
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
          `${splice.slot}   ${a.cable} ${splice.fiberA} ${a.colour} – ${b.cable} ${splice.fiberB} ${b.colour}`,
          half - 108,
          'regular',
          7.5,
        ),
        x(),
        sheets.y,
        ink,
      );
      sheets.put(
        `${lossText(splice)}${splice.half === null ? '' : ' dB'}   ${spliceStateText(spliceState(splice))}${splice.tries > 1 ? `, try ${splice.tries}` : ''}${splice.origin === 'simulated' ? ', simulated' : ''}`,
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

/** What lay here and was removed. */
function writeRetired(sheets: Sheets, { retired }: PackageClosure, describe: DescribeFiber): void {
  if (retired.length === 0) return;
  sheets.heading('Removed', 13);
  const end = (cable: string, fiber: number) => `${describe(cable, fiber).cable} ${fiber}`;
  const words = groupBy(
    retired,
    ({ retirement: { by, at, why } }) => `${by}, ${sheets.moment(at)}: ${why}`,
  );
  for (const [word, rows] of words) {
    sheets.paragraph(word);
    sheets.table(
      [
        { title: 'Splice', width: 34 },
        { title: 'Lay in', width: 26 },
        { title: 'Was', width: 40 },
      ],
      rows.map((row) => [
        `${end(row.cableA, row.fiberA)} to ${end(row.cableB, row.fiberB)}`,
        `tray ${row.tray} slot ${row.slot}`,
        `${row.half === null ? '' : `${lossText(row)} dB, `}${spliceStateText(spliceState(row))}`,
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
    return splice ? `tray ${splice.tray} slot ${splice.slot}` : 'a splice';
  };
  const points = state.points.filter((one) => one.state === 'waived');
  if (rulings.length === 0 && points.length === 0) return;
  sheets.heading('Decided by people', 13);
  for (const ruling of rulings)
    sheets.paragraph(
      `${place(ruling)}: ${RULING_TITLES[ruling.kind]}, by ${ruling.by}, ${sheets.moment(ruling.at)}: ${ruling.why}`,
    );
  for (const { point, entry } of points)
    sheets.paragraph(
      `${pointText(point.message, sheets.units)}: waived by ${entry!.by}, ${sheets.moment(entry!.at)}: ${entry!.why}`,
    );
}

import { buffer } from 'node:stream/consumers';
import { PassThrough } from 'node:stream';
import { type Project, formatPlace } from '@cordel/core';
import type { LossFigure } from '@cordel/core/otdr';
import {
  budgetRowText,
  fiberProofWords as say,
  fiberReasonText,
  fiberVerdictText,
  linkInstrumentsText,
  linkRowText,
} from '@cordel/text/fiberProof';
import { linkCauseText } from '@cordel/text/links';
import { findingTitle, whereText } from '@cordel/text/otdr';
import { tracePicture } from '../handover/make/drawings.ts';
import { ACCENT, SECOND, Sheets } from '../handover/make/paper.ts';
import { PRACTICE_MARK } from '../handover/make/words.ts';
import type { FiberProof } from './fiberProof.ts';

const GREEN = '#2B6038';

/** Splices that are shown of a fiber: a sheet has room for no more, and says how many are left. */
const MOST_ROWS = 16;

const figure = (loss: LossFigure | null): string => (loss ? loss.lossDb.toFixed(3) : '–');
const withError = (loss: LossFigure | null): string =>
  loss
    ? say('meanSigma', {
        loss: loss.lossDb.toFixed(3),
        sigma: Math.max(0.001, 2 * loss.sigmaDb).toFixed(3),
      })
    : '–';

/**
 * The proof of one fiber on one page, as PDF.
 * @param filesOf gives the file of a trace
 * @param madeAt the moment of the newest trace or entry that it stands on
 */
export async function proofSheet(
  proof: FiberProof,
  project: Project,
  filesOf: (traceId: string) => Uint8Array | undefined,
  madeAt: string,
): Promise<Uint8Array> {
  const { units } = project;
  const target = new PassThrough();
  const done = buffer(target);
  const title = say('proofOfFiber', { label: proof.label });
  const sheets = new Sheets(target, {
    paper: units.paper,
    title,
    foot: `${project.name} · ${title}`,
    mark: proof.practiceOnly ? PRACTICE_MARK : null,
    moment: new Date(madeAt),
    units,
  });
  sheets.heading(title, 20);
  sheets.paragraph(
    say('fromTo', {
      from: proof.from,
      to: proof.to,
      length: formatPlace(proof.lengthM, units.distance),
    }),
  );
  const ink = proof.verdict === 'fails' ? ACCENT : proof.verdict === 'proven' ? GREEN : SECOND;
  sheets.paragraph(fiberVerdictText(proof.verdict), { size: 15, face: 'bold', ink });
  for (const reason of proof.reasons) sheets.paragraph(fiberReasonText(reason), { indent: 10 });
  writePictures(sheets, proof, filesOf);
  writeSplices(sheets, proof);
  writeBudget(sheets, proof);
  writeLink(sheets, proof);
  if (proof.findings.length > 0) {
    sheets.heading(say('findings'), 11);
    for (const { message, where, weight } of proof.findings)
      sheets.paragraph(`${findingTitle(message, units)}. ${whereText(where, units)}`, {
        ink: weight === 'bad' ? ACCENT : undefined,
      });
  }
  sheets.paragraph(say('whatItMayBeOff'), { size: 8, ink: SECOND });
  sheets.end();
  return new Uint8Array(await done);
}

/** Both directions at the longest wavelength, side by side. */
function writePictures(
  sheets: Sheets,
  { traces, from, to }: FiberProof,
  filesOf: (traceId: string) => Uint8Array | undefined,
): void {
  const nm = Math.max(...traces.map(({ wavelengthNm }) => wavelengthNm));
  const shown = traces.filter(({ wavelengthNm }) => wavelengthNm === nm).slice(0, 2);
  if (shown.length === 0) return;
  const [gap, height] = [14, 110];
  const width = (sheets.width - gap) / 2;
  sheets.room(height + 30);
  sheets.y += 4;
  shown.forEach(({ id, name, direction, wavelengthNm, measuredAt }, index) => {
    const bytes = filesOf(id);
    if (!bytes) return;
    tracePicture(
      sheets,
      { x: sheets.left + index * (width + gap), y: sheets.y, width, height },
      {
        name,
        words: say('traceOf', {
          name: direction === 'AB' ? from : to,
          wavelengthNm,
          moment: measuredAt ? sheets.moment(measuredAt) : say('unknownDay'),
        }),
        bytes,
      },
    );
  });
  sheets.y += height + 26;
}

function writeSplices(sheets: Sheets, { splices, totals, from, to }: FiberProof): void {
  sheets.heading(say('spliceTable'), 11);
  const rows = splices.flatMap(({ name, tray, port, verdict, figures }) => {
    const place =
      port !== null
        ? say('endAtPort', { name, port })
        : tray === null
          ? name
          : say('traySlot', { name, tray });
    const said = say('verdictOfSplice', { verdict });
    if (figures.length === 0) return [[place, '', '–', '–', '–', said]];
    return figures.map(({ wavelengthNm, forward, backward, mean }) => [
      place,
      String(wavelengthNm),
      figure(forward),
      figure(backward),
      mean ? withError(mean) : say('oneWay'),
      said,
    ]);
  });
  const shown = rows.slice(0, MOST_ROWS);
  if (rows.length > shown.length)
    shown.push([`+ ${rows.length - shown.length}`, '', '', '', '', '']);
  for (const { wavelengthNm, AB, BA, mean } of totals)
    shown.push([
      say('endToEnd'),
      String(wavelengthNm),
      figure(AB),
      figure(BA),
      mean ? withError(mean) : say('oneWay'),
      '',
    ]);
  sheets.table(
    [
      { title: say('place'), width: 30 },
      { title: say('wavelength'), width: 7 },
      { title: say('fromPlace', { name: from }), width: 17 },
      { title: say('fromPlace', { name: to }), width: 17 },
      { title: say('mean'), width: 15 },
      { title: say('verdict'), width: 14 },
    ],
    shown,
  );
}

function writeBudget(sheets: Sheets, { budget }: FiberProof): void {
  sheets.heading(say('budget'), 11);
  if (!budget || budget.budgets.length === 0) return sheets.paragraph(say('noBudget'));
  for (const own of budget.budgets)
    sheets.paragraph(budgetRowText(own), { ink: own.marginMdb < 0 ? ACCENT : undefined });
}

function writeLink(sheets: Sheets, { link, state }: FiberProof): void {
  sheets.heading(say('link'), 11);
  if (link.judgements.length === 0) sheets.paragraph(say('noLink'));
  for (const judged of link.judgements) {
    sheets.paragraph(linkRowText(judged), { ink: judged.verdict === 'fail' ? ACCENT : undefined });
    const loss = state.losses.find((one) => one.wavelengthNm === judged.wavelengthNm)!;
    const reference = (loss.AB ?? loss.BA)!.reference;
    sheets.paragraph(linkInstrumentsText(reference, sheets.moment(reference.at)), {
      size: 8,
      ink: SECOND,
      indent: 10,
    });
  }
  for (const cause of link.causes) sheets.paragraph(linkCauseText(cause), { ink: ACCENT });
  const { continuity } = state;
  sheets.paragraph(
    continuity
      ? say('continuity', {
          seen: continuity.seen,
          fiber: continuity.seenFiber ?? 0,
          by: continuity.by,
          moment: sheets.moment(continuity.at),
        })
      : say('notChecked'),
  );
}

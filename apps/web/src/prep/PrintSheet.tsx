import { createPortal } from 'react-dom';
import {
  AT_PORT,
  type Leg,
  type OpenedClosure,
  type OpenedEntry,
  type Splice,
  type Units,
  formatLength,
} from '@cordel/core';
import { addressParts } from '@cordel/text/fiber';
import {
  legText,
  markText,
  prepCautionText,
  prepStepText,
  tapeZeroText,
  wholeText,
} from '@cordel/text/prep';
import { printSheet as t } from '@cordel/text/pages/prep/PrintSheet';
import { common } from '@cordel/text/pages/common';
import { traysOf } from '@/plan/traysOf';
import { type ProjectView, useProjectView } from '@/projects/context';
import { mergedMarks } from './mergedMarks';

const STYLE = `
#print-sheet { display: none; }
@media print {
  @page { margin: 12mm; }
  html, body { overflow: visible !important; height: auto !important; background: #fff; }
  #root { display: none !important; }
  #print-sheet { display: block; color: #000; font: 15pt/1.3 AtkinsonHyperlegibleNext_400Regular, sans-serif; }
  #print-sheet h1 { font: 26pt Bitter_800ExtraBold, serif; margin: 0 0 4pt; }
  #print-sheet h2 { font: 20pt Bitter_800ExtraBold, serif; margin: 14pt 0 4pt; break-after: avoid; }
  #print-sheet table { border-collapse: collapse; width: 100%; }
  #print-sheet th, #print-sheet td { border: 1.2pt solid #000; padding: 3pt 6pt; text-align: left; vertical-align: top; }
  #print-sheet thead { display: table-header-group; }
  #print-sheet tr { break-inside: avoid; }
  #print-sheet .length { font: 22pt Bitter_800ExtraBold, serif; white-space: nowrap; }
  #print-sheet .tick { width: 8mm; white-space: nowrap; }
  #print-sheet .stop { border: 2.5pt solid #000; padding: 4pt 8pt; font-weight: bold; margin: 6pt 0; }
  #print-sheet .page { break-before: page; }
  /* A fixed box is printed on every page. */
  #print-sheet .practice { position: fixed; bottom: 0; left: 0; font-weight: bold; border: 1.2pt solid #000; padding: 1pt 6pt; background: #fff; }
}`;

interface PrintSheetProps {
  name: string;
  opened: OpenedClosure;
  splices: readonly Splice[];
}

/** What the browser prints of a closure: cut plans, tray map and splice sheet, in black on white. */
export function PrintSheet({ name, opened, splices }: PrintSheetProps) {
  const view = useProjectView();
  return createPortal(
    <div id="print-sheet">
      <style>{STYLE}</style>
      {view.project.practiceOnly ? (
        <div className="practice">{t('practiceOnlyFiguresMayBeSimulated')}</div>
      ) : null}
      <h1>{name}</h1>
      <div>{`${view.project.name} · ${opened.hardware?.name ?? t('hardwareNotChosen')}`}</div>
      {opened.entries.map((item) => (
        <CutTable key={item.entry.id} item={item} units={view.project.units} />
      ))}
      <TrayTable view={view} opened={opened} splices={splices} name={name} />
      <SpliceTable view={view} splices={splices} name={name} />
    </div>,
    document.body,
  );
}

function CutTable({ item, units }: { item: OpenedEntry; units: Units }) {
  const unit = units.length;
  const { cable, plan, steps } = item;
  // A cut plan with a length missing is none to cut by.
  if (!plan || plan.missing) return null;
  return (
    <>
      <h2>{t('cableCutPlan', { name: cable.name })}</h2>
      <div>
        {t('tapeZeroOfSheathComesOff', {
          tapeZero: tapeZeroText(plan.zero),
          opening: formatLength(plan.opening, unit),
        })}
      </div>
      {plan.whole.map((whole) => (
        <div key={whole.code} className="stop">
          {t('doNotCut', { whole: wholeText(whole) })}
        </div>
      ))}
      <table>
        <tbody>
          {mergedMarks(plan.marks).map((mark) => (
            <tr key={mark.at}>
              <td className="length">{formatLength(mark.at, unit, mark.round)}</td>
              <td>{mark.messages.map((message) => markText(message, units)).join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table>
        <tbody>
          {steps.map(({ key, leg, message, caution }, index) => (
            <tr key={key}>
              <td className="tick">{index + 1}</td>
              <td>
                {`${leg ? `${legText(leg)}: ` : ''}${prepStepText(message, units)}`}
                {caution ? <b>{` ${prepCautionText(caution)}`}</b> : null}
              </td>
              <td className="tick">{'\u2610'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

interface TableProps {
  view: ProjectView;
  splices: readonly Splice[];
  name: string;
}

function TrayTable({ view, opened, splices, name }: TableProps & { opened: OpenedClosure }) {
  const closure = view.closures.find((entry) => entry.id === opened.assembly.closureId)!;
  const nameOf = (id: string) => view.cable(id)?.name ?? id;
  const placed = splices.map((splice) => ({
    ...splice,
    cableA: nameOf(splice.cableA),
    cableB: nameOf(splice.cableB),
  }));
  const rows = traysOf(placed, closure.trays, view.planCables()).flatMap((tray) => tray.items);
  return (
    <div className="page">
      <h2>{t('nameTrays', { name })}</h2>
      <table>
        <thead>
          <tr>
            <th>{t('tray')}</th>
            <th>{t('slots')}</th>
            <th>{common('from')}</th>
            <th>{t('to')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((item) => (
            <tr key={`${item.tray} ${item.slots[0]}`}>
              <td className="length">{item.tray}</td>
              <td>{t('fromTo', { from: item.slots[0], to: item.slots[1] })}</td>
              <td>{`${item.cable} ${item.words}`}</td>
              <td>{item.onto}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function SpliceTable({ view, splices, name }: TableProps) {
  const words = (cable: string, fiber: number, leg: Leg | null) =>
    [view.fiberName(cable, fiber, leg), ...addressParts(view.address(cable, fiber))].join(' ');
  return (
    <div className="page">
      <h2>{t('nameSpliceSheet', { name })}</h2>
      <table>
        <thead>
          <tr>
            <th>{t('traySlot')}</th>
            <th>{common('from')}</th>
            <th>{t('to')}</th>
            <th>{t('db')}</th>
          </tr>
        </thead>
        <tbody>
          {splices.map((splice) => (
            <tr key={splice.id}>
              <td>{splice.tray === AT_PORT ? t('atItsPort') : `${splice.tray}, ${splice.slot}`}</td>
              <td>{words(splice.cableA, splice.fiberA, splice.legA)}</td>
              <td>{words(splice.cableB, splice.fiberB, splice.legB)}</td>
              <td style={{ minWidth: '22mm' }} />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

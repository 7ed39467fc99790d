import { buffer } from 'node:stream/consumers';
import PDFDocument from 'pdfkit';
import {
  QR_QUIET,
  type WordedLabel,
  type LabelSheet,
  placesOn,
  qrPath,
  qrSquares,
} from '@cordel/core/close';
import { type Face, registerFonts, useFace } from './fonts.ts';

/** Points a millimeter. */
const MM = 72 / 25.4;
/**
 * Labels on a sheet, as PDF at their true size.
 * @param skip places of the first sheet that are used already
 */
export async function labelSheet(
  labels: readonly WordedLabel[],
  sheet: LabelSheet,
  skip: number,
): Promise<Uint8Array> {
  const doc = new PDFDocument({
    size: sheet.paper === 'A4' ? 'A4' : 'LETTER',
    margin: 0,
    autoFirstPage: false,
    lang: 'en',
    info: { Title: 'Labels', Author: 'Cordel', CreationDate: new Date(0) },
  });
  registerFonts(doc);
  const done = buffer(doc as unknown as NodeJS.ReadableStream);
  const places = placesOn(sheet, labels.length + skip).slice(skip);
  let page = -1;
  labels.forEach((label, index) => {
    const place = places[index]!;
    while (page < place.page) {
      doc.addPage();
      page++;
    }
    drawLabel(doc, label, place.x, place.y, sheet);
  });
  doc.end();
  return new Uint8Array(await done);
}

function drawLabel(
  doc: PDFKit.PDFDocument,
  label: WordedLabel,
  x: number,
  y: number,
  { width, height }: LabelSheet,
): void {
  const squares = qrSquares(label.url);
  const side = Math.min(height, width * 0.5);
  const unit = side / (squares.length + 2 * QR_QUIET);
  doc.save();
  doc.translate((x + QR_QUIET * unit) * MM, (y + (height - side) / 2 + QR_QUIET * unit) * MM);
  doc.scale(unit * MM);
  doc.path(qrPath(squares)).fill('#000000');
  doc.restore();
  const left = (x + side + 1) * MM;
  const room = (width - side - 2.5) * MM;
  const line = (said: string, top: number, size: number, face: Face) => {
    const text = useFace(doc, face, said);
    doc.fontSize(size);
    // A long line is set smaller rather than cut off.
    const wide = doc.widthOfString(text);
    if (wide > room) doc.fontSize((size * room) / wide);
    doc.fillColor('#000000').text(text, left, top, { lineBreak: false });
  };
  const size = Math.min(16, height * 0.2 * MM);
  const small = size * 0.62;
  const top = (y + height * 0.08) * MM;
  line(label.title, top, size, 'bold');
  label.lines.forEach((text, index) =>
    line(text, top + size * 1.25 + index * small * 1.3, small, 'regular'),
  );
  line(label.code, (y + height) * MM - small * 2, small * 1.25, 'bold');
}

import PDFDocument from 'pdfkit';
import { type Paper, type Units, formatMomentInZone } from '@cordel/core';
import { type Face, registerFonts, useFace } from '../fonts.ts';

export const INK = '#1C1914';
export const SECOND = '#5A5246';
export const ACCENT = '#9C2C15';
export const RULE = '#CDC2AC';
export const WOOD = '#D9B779';

const MARGIN = 42;
const FOOT = 40;

interface SheetSetting {
  paper: Paper;
  title: string;
  foot: string;
  /** What stands over every page; null for none. */
  mark: string | null;
  /** Of the newest entry in the record: nothing else is known of when it is from. */
  moment: Date;
  /** In which figures and moments are printed. */
  units: Units;
}

/** Paper that fills from the top: everything is put below what is there, on a new page where there is no room. */
export class Sheets {
  readonly doc: PDFKit.PDFDocument;
  readonly left = MARGIN;
  readonly units: Units;
  y = 0;
  private pages = 0;
  private readonly foot: string;
  private readonly mark: string | null;

  /** @param target where the pages are written to; {@link end} ends it */
  constructor(
    target: NodeJS.WritableStream,
    { paper, title, foot, mark, moment, units }: SheetSetting,
  ) {
    this.foot = foot;
    this.mark = mark;
    this.units = units;
    this.doc = new PDFDocument({
      size: paper === 'A4' ? 'A4' : 'LETTER',
      margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: 0 },
      autoFirstPage: false,
      lang: 'en',
      displayTitle: true,
      info: { Title: title, Author: 'Cordel', CreationDate: moment, ModDate: moment },
    });
    registerFonts(this.doc);
    this.doc.pipe(target);
    this.page();
  }

  get width(): number {
    return this.doc.page.width - 2 * MARGIN;
  }

  get bottom(): number {
    return this.doc.page.height - FOOT - 12;
  }

  page(): void {
    this.doc.addPage();
    this.pages++;
    if (this.mark !== null)
      this.put(this.mark, MARGIN, MARGIN - 20, { size: 10, face: 'bold', ink: ACCENT });
    this.put(this.foot, MARGIN, this.doc.page.height - FOOT, { size: 8, ink: SECOND });
    const number = String(this.pages);
    this.doc.font('regular').fontSize(8);
    this.put(
      number,
      MARGIN + this.width - this.doc.widthOfString(number),
      this.doc.page.height - FOOT,
      {
        size: 8,
        ink: SECOND,
      },
    );
    this.y = MARGIN;
  }

  /** A moment by the clock of the project. */
  moment(at: string): string {
    return formatMomentInZone(at, this.units.timeZone);
  }

  /** Makes sure of so much room below. */
  room(height: number): void {
    if (this.y + height > this.bottom) this.page();
  }

  /** A line of text at a place; it is not broken. */
  put(
    text: string,
    x: number,
    y: number,
    { size = 9, face = 'regular', ink = INK }: { size?: number; face?: Face; ink?: string } = {},
  ): void {
    const letters = useFace(this.doc, face, text);
    this.doc.fontSize(size).fillColor(ink).text(letters, x, y, { lineBreak: false });
  }

  heading(text: string, size = 15): void {
    this.room(size * 3);
    this.y += size * 0.5;
    this.put(text, this.left, this.y, { size, face: 'name' });
    this.y += size * 1.5;
  }

  paragraph(
    text: string,
    { size = 9.5, face = 'regular' as Face, ink = INK, indent = 0 } = {},
  ): void {
    const width = this.width - indent;
    const letters = useFace(this.doc, face, text);
    this.doc.fontSize(size);
    const height = this.doc.heightOfString(letters, { width });
    this.room(Math.min(height, 200));
    // A new page has set its foot meanwhile.
    useFace(this.doc, face, text);
    this.doc
      .fontSize(size)
      .fillColor(ink)
      .text(letters, this.left + indent, this.y, { width });
    this.y += height + 3;
  }

  /** Rows of cells under their titles; a page that is full goes on with the titles again. */
  table(
    columns: readonly { title: string; width: number }[],
    rows: readonly (readonly string[])[],
    inkOf: (row: readonly string[]) => string = () => INK,
  ): void {
    const total = columns.reduce((sum, { width }) => sum + width, 0);
    const widths = columns.map(({ width }) => (width / total) * this.width);
    const line = (cells: readonly string[], face: Face, ink: string) => {
      let x = this.left;
      cells.forEach((cell, index) => {
        this.put(this.fitted(cell, widths[index]! - 4, face, 8.5), x, this.y, {
          size: 8.5,
          face,
          ink,
        });
        x += widths[index]!;
      });
      this.y += 12;
    };
    const titles = () => {
      line(
        columns.map(({ title }) => title),
        'bold',
        SECOND,
      );
      this.doc
        .moveTo(this.left, this.y - 1)
        .lineTo(this.left + this.width, this.y - 1)
        .lineWidth(0.7)
        .strokeColor(INK)
        .stroke();
      this.y += 2;
    };
    this.room(40);
    titles();
    for (const row of rows) {
      if (this.y + 12 > this.bottom) {
        this.page();
        titles();
      }
      line(row, 'regular', inkOf(row));
    }
    this.y += 6;
  }

  /** A text cut to a width, with an ellipsis where it was cut. */
  fitted(text: string, width: number, face: Face, size: number): string {
    const letters = useFace(this.doc, face, text);
    this.doc.fontSize(size);
    // Short texts always fit: measuring each of a hundred thousand would take longest of all.
    if (text.length * size * 0.5 < width || this.doc.widthOfString(letters) <= width) return text;
    let cut = letters;
    while (cut.length > 1 && this.doc.widthOfString(`${cut}…`) > width) cut = cut.slice(0, -1);
    return `${cut}…`;
  }

  end(): void {
    this.doc.end();
  }
}

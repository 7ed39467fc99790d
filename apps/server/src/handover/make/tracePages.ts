import { tracePicture } from './drawings.ts';
import type { Sheets } from './paper.ts';
import { tracePages as say } from '@cordel/text/handover/tracePages';

/** Trace pictures in rows of three. */
export class TracePages {
  private readonly sheets: Sheets;
  private count = 0;

  constructor(sheets: Sheets) {
    this.sheets = sheets;
  }

  add(trace: { name: string; words: string; bytes: Uint8Array }): void {
    const { sheets } = this;
    if (this.count === 0) {
      sheets.page();
      sheets.heading(say('traces'), 18);
    }
    const [gap, height] = [12, 84];
    const width = (sheets.width - 2 * gap) / 3;
    const column = this.count % 3;
    if (column === 0) sheets.room(height + 26);
    tracePicture(
      sheets,
      { x: sheets.left + column * (width + gap), y: sheets.y, width, height },
      trace,
    );
    if (column === 2) sheets.y += height + 26;
    this.count++;
  }
}

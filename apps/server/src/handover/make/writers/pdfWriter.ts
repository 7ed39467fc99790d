import { formatDay } from '@cordel/core';
import { builder as say } from '@cordel/text/handover/builder';
import { PackageFile } from '../file.ts';
import { Sheets } from '../paper.ts';
import { writePhotos } from '../photos.ts';
import { writeClosure, writeSummary } from '../record.ts';
import { TracePages } from '../tracePages.ts';
import { PRACTICE_MARK } from '../words.ts';
import type { PackageContext, PackageWriter, TraceMessage, WholeClosure } from './packageWriter.ts';

/** The record for people, as PDF. */
export class PdfWriter implements PackageWriter {
  private readonly context: PackageContext;
  private readonly file: PackageFile;
  private readonly sheets: Sheets;
  private readonly traces: TracePages;

  private constructor(context: PackageContext, file: PackageFile, sheets: Sheets) {
    this.context = context;
    this.file = file;
    this.sheets = sheets;
    this.traces = new TracePages(sheets);
  }

  static async open(context: PackageContext): Promise<PdfWriter> {
    const { folder, paper, title, project, moment } = context.open;
    const { name, practiceOnly, units } = project;
    const file = await PackageFile.open(folder, 'as-built.pdf', say('theRecordForPeople'));
    const sheets = new Sheets(file.writable, {
      paper,
      title,
      foot: say('asBuiltRecordNewestEntry', {
        practiceOnly: practiceOnly ? `${PRACTICE_MARK} · ` : '',
        name,
        moment: formatDay(moment, units.timeZone),
      }),
      mark: practiceOnly ? PRACTICE_MARK : null,
      moment: new Date(moment),
      units,
    });
    writeSummary(sheets, context.open);
    return new PdfWriter(context, file, sheets);
  }

  async wholeClosure({ own, splices, photos }: WholeClosure): Promise<void> {
    const { open, describe } = this.context;
    writeClosure(this.sheets, open.project, own, splices, describe, own.hardware, {
      cables: open.cables,
      schemes: open.schemes,
      units: open.project.units,
    });
    writePhotos(this.sheets, photos);
  }

  async trace({ trace, words }: TraceMessage, bytes: Uint8Array): Promise<void> {
    this.traces.add({ name: trace.name, words, bytes });
  }

  async finish(): Promise<PackageFile[]> {
    this.sheets.end();
    return [await this.file.close()];
  }
}

import { meanMdb } from '@cordel/core';
import { type ClosureRecord, type Photo, canonicalText } from '@cordel/core/close';
import { writeGeoJson } from '@cordel/core/geo';
import { builder as say } from '@cordel/text/handover/builder';
import { README } from '@cordel/text/handover/readme';
import { type PackageFile, writeWhole } from '../file.ts';
import { PRACTICE_MARK } from '../words.ts';
import type {
  OpenMessage,
  PackageContext,
  PackageWriter,
  TraceMessage,
  WholeClosure,
} from './packageWriter.ts';

/** A record that was signed, with the file that has it as it was signed. */
export interface SignedFile {
  closure: string;
  digest: string;
  file: string;
}

/** Files that are written in one go: photos, traces, signed records, the route, and how to read it all. */
export class WholeFiles implements PackageWriter {
  private readonly context: PackageContext;
  private readonly files: PackageFile[] = [];
  readonly signed: SignedFile[] = [];

  constructor(context: PackageContext) {
    this.context = context;
  }

  photo(photo: Photo): Promise<void> {
    return this.add(`photos/${photo.id}.jpg`, say('photo'), Buffer.from(photo.bytes, 'base64'));
  }

  async wholeClosure({ own }: WholeClosure): Promise<void> {
    const { name } = own.closure;
    for (const { digest, content } of own.signed) {
      const rest = `-${digest.slice(0, 12)}.json`;
      const file = `signed/${this.context.fileName(name, rest)}`;
      this.signed.push({ closure: name, digest, file });
      await this.add(file, say('whatWasSignedOfItsSha', { name }), content);
    }
  }

  trace({ trace }: TraceMessage, bytes: Uint8Array): Promise<void> {
    const name = this.context.fileName(trace.name.replace(/\.sor$/i, ''), '.sor');
    return this.add(`traces/${name}`, say('aTraceByteForByte'), bytes);
  }

  record(record: ClosureRecord): Promise<void> {
    const what = say('theClosuresRecordInCanonicalForm');
    return this.add('closure.json', what, canonicalText(record));
  }

  async finish(): Promise<PackageFile[]> {
    const { open } = this.context;
    const route = JSON.stringify(routeOf(open));
    await this.add('route.geojson', say('routeAndClosuresRfc7946'), `${route}\n`);
    const readme = open.project.practiceOnly ? `${PRACTICE_MARK}\n\n${README}` : README;
    await this.add('README.txt', say('howToReadAndCheckAll'), readme);
    return this.files;
  }

  private async add(path: string, what: string, content: string | Uint8Array): Promise<void> {
    this.files.push(await writeWhole(this.context.open.folder, path, what, content));
  }
}

/** The route with what is recorded of its closures. Source: RFC 7946. */
function routeOf({ rows, project, closures }: OpenMessage): object {
  const rowOf = new Map(rows.map((row) => [row.closureId, row]));
  return writeGeoJson(project, closures, ({ id }) => {
    const row = rowOf.get(id)!;
    return {
      verdict: row.verdict,
      splices: row.total,
      done: row.done,
      due: row.due,
      simulated: row.simulated,
      worstDb: row.maxHalfMdb === null ? null : row.maxHalfMdb / 2000,
      meanDb: row.figures === 0 ? null : meanMdb(row.sumHalfMdb, row.figures) / 1000,
      signed: row.closing === 'done',
    };
  });
}

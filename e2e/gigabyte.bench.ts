import { createHash, randomFillSync } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, readFile, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import JSZip from 'jszip';
import { v7 as uuid } from 'uuid';
import { ZipFile } from 'yazl';
import { PACKED_DOCUMENT, type PackedDocument, packedPath } from '@cordel/core/document';
import { crc16, readSor, samplesOf, writeSor } from '@cordel/core/otdr';
import { type Server, readApi, startServer } from './app.ts';
import { attemptOn, openSplices, record } from './evidence.ts';
import { type Figure, reportFigures } from './benchReport.ts';

const TRACES = 4200;
/** As many as an instrument stores that samples every half meter over 64 km. */
const SAMPLES = 128_000;
/** How much slower others may be, and how much memory the server may take, in MB. */
const MOST_SLOWER = 3;
const MOST_MB = 600;

const percentile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)]!;

/** The last block of a file: its name, closed by a zero, and the checksum. */
const CHECKSUM_BYTES = 'Cksum'.length + 1 + 2;

/** Traces like one that is there, with as many samples as asked for, each with noise of its own. */
function tracesLike(given: Uint8Array): () => Uint8Array {
  const read = readSor(given);
  if (!read.ok) throw new Error(read.error.code);
  const { general, supplier, fixed, keyEvents } = read.value;
  const { levels } = samplesOf(read.value);
  const file = writeSor({
    general: general!,
    supplier: supplier!,
    fixed: {
      ...fixed,
      sampleCounts: [SAMPLES],
      spacings: [Math.round((fixed.spacings[0]! * levels.length) / SAMPLES)],
    },
    keyEvents: keyEvents!,
    samples: Uint16Array.from({ length: SAMPLES }, (_, at) =>
      Math.round(1000 * Math.abs(levels[Math.floor((at * levels.length) / SAMPLES)]!)),
    ),
  });
  const noise = new Uint8Array(2 * SAMPLES);
  return () => {
    randomFillSync(noise);
    const own = file.slice();
    const first = own.length - CHECKSUM_BYTES - noise.length;
    for (let at = 0; at < noise.length; at += 2) own[first + at]! ^= noise[at]! & 7;
    new DataView(own.buffer).setUint16(own.length - 2, crc16(own, own.length - 2), true);
    return own;
  };
}

/** Writes a project's zip like one that is there, with many long traces more; gives the project's id. */
async function writeLarge(given: ArrayBuffer, path: string): Promise<string> {
  const opened = await JSZip.loadAsync(given);
  const text = await opened.file(PACKED_DOCUMENT)!.async('string');
  const known = JSON.parse(text) as PackedDocument;
  const id = uuid();
  const template = await opened
    .file(packedPath('traces', known.traces[0]!.id))!
    .async('uint8array');
  const make = tracesLike(template);
  const zip = new ZipFile();
  const traces = Array.from({ length: TRACES }, () => uuid());
  const digests: string[] = [];
  for (const trace of traces)
    zip.addReadStreamLazy(packedPath('traces', trace), { compressionLevel: 1 }, (give) => {
      const bytes = make();
      digests.push(createHash('sha256').update(bytes).digest('hex'));
      give(null, Readable.from([Buffer.from(bytes)]));
    });
  // Last, when all digests are known.
  zip.addReadStreamLazy(PACKED_DOCUMENT, {}, (give) => {
    const kept = new Set(known.traces.map((trace) => trace.id));
    const document = JSON.stringify({
      ...known,
      traces: traces.map((trace, at) => ({
        ...known.traces[0]!,
        id: trace,
        name: `T${at}.sor`,
        digest: digests[at]!,
      })),
      tracePlaces: [],
      signed: [],
      evidence: known.evidence.map((entry) =>
        entry.type === 'reading' && entry.traceId && kept.has(entry.traceId)
          ? { ...entry, traceId: null }
          : entry,
      ),
    }).replaceAll(known.project.id, id);
    // Every other id is its own, too: both projects are on one server.
    give(null, Readable.from([Buffer.from(withOwnIds(document, new Set([id, ...traces])))]));
  });
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
  return id;
}

function withOwnIds(document: string, kept: ReadonlySet<string>): string {
  const ids = new Map<string, string>();
  return document.replace(
    /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g,
    (id) => {
      if (kept.has(id)) return id;
      const own = ids.get(id) ?? uuid();
      ids.set(id, own);
      return own;
    },
  );
}

/** What others wait for a record, and the most memory that the server takes, while it is at work. */
async function beside(
  server: Server,
  ids: readonly string[],
  work: () => Promise<unknown>,
): Promise<{ times: number[]; peakMb: number; seconds: number }> {
  let over = false;
  let peakMb = 0;
  const times: number[] = [];
  const memory = (async () => {
    while (!over) {
      const status = await readFile(`/proc/${server.process.pid}/status`, 'utf8');
      peakMb = Math.max(peakMb, Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  })();
  const others = (async () => {
    for (let count = 0; !over; count++) {
      times.push(await recordOne(server, ids[count % ids.length]!));
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  })();
  const begun = performance.now();
  await work();
  const seconds = (performance.now() - begun) / 1000;
  over = true;
  await Promise.all([memory, others]);
  return { times, peakMb, seconds };
}

async function recordOne(server: Server, spliceId: string): Promise<number> {
  const begun = performance.now();
  const answer = await record(server.url, [attemptOn(spliceId)]);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`A record was answered with ${answer.status}`);
  return performance.now() - begun;
}

function figuresOf(
  name: string,
  idle: readonly number[],
  { times, peakMb, seconds }: Awaited<ReturnType<typeof beside>>,
  size: number,
): Figure[] {
  const gigabytes = (size / 1e9).toFixed(2);
  return [
    {
      name: `${name}-memory`,
      value: peakMb,
      limit: MOST_MB,
      unit: `MB that the server took at most over ${gigabytes} GB of traces in ${Math.round(seconds)} s`,
    },
    {
      name: `${name}-others`,
      value: percentile(times, 0.5) / percentile(idle, 0.5),
      limit: MOST_SLOWER,
      unit: `times the idle median of ${percentile(idle, 0.5).toFixed(1)} ms: the median of ${times.length} records beside it (of the 95th percentiles ${(percentile(times, 0.95) / percentile(idle, 0.95)).toFixed(2)} times)`,
    },
  ];
}

async function main(): Promise<never> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
  const source = await startServer({ demo: true });
  const { project } = await openSplices(source, 1);
  const small = await (
    await fetch(`${source.url}/api/projects/${project}/project.zip`)
  ).arrayBuffer();
  await source.stop();
  await rm(source.folder, { recursive: true });
  const path = join(folder, 'large.zip');
  const large = await writeLarge(small, path);
  const bytes = TRACES * SAMPLES * 2;

  // One that has been at work: what it takes to make up the demo is not counted.
  const data = join(folder, 'data');
  await (await startServer({ folder: data, demo: true })).stop();
  const server = await startServer({ folder: data });
  const { ids } = await openSplices(server, 500);
  const idle: number[] = [];
  for (let count = 0; count < 200; count++) {
    idle.push(await recordOne(server, ids[count]!));
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const imported = await beside(server, ids, async () => {
    const answer = await fetch(`${server.url}/api/documents`, {
      method: 'POST',
      headers: { 'content-length': String((await stat(path)).size), prefer: 'respond-async' },
      body: Readable.toWeb(createReadStream(path)) as ReadableStream,
      duplex: 'half',
    } as RequestInit);
    const text = await answer.text();
    if (!answer.ok) throw new Error(text);
    const isOver = async () => (await readApi<unknown[]>(server, '/imports')).length === 0;
    while (!(await isOver())) await new Promise((resolve) => setTimeout(resolve, 1000));
    await readApi(server, `/projects/${large}`);
  });
  const exported = await beside(server, ids, async () => {
    const answer = await fetch(`${server.url}/api/projects/${large}/project.zip`);
    await pipeline(
      Readable.fromWeb(answer.body as never),
      createWriteStream(join(folder, 'out.zip')),
    );
  });
  await server.stop();
  await rm(folder, { recursive: true, force: true });
  return reportFigures(
    [
      ...figuresOf('import-gigabyte', idle, imported, bytes),
      ...figuresOf('export-gigabyte', idle, exported, bytes),
    ],
    2,
  );
}

void main();

import { readFile, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import {
  type TraceEvent,
  type SorFile,
  analyse,
  compareTables,
  copySor,
  instrumentEvents,
  levelsOf,
  metersOf,
  pairEvents,
  readSor,
  samplesOf,
  spacingOf,
} from '@cordel/core/otdr';
import { sorProblemText, traceWarningText } from '@cordel/text/files';
import { type WatchEvent, watchText } from '@cordel/text/otdr/watch';
import { CannotWatch } from './watch/server.ts';
import { watchFolder } from './watch/watchFolder.ts';

/** Trace files on the command line: JSON on standard output, words on standard error. */
const USAGE = `otdr dump FILE.sor | events FILE.sor | compare FILE.sor | pair A.sor B.sor | copy IN.sor OUT.sor | watch FOLDER --server URL [--project NAME] [--cable NAME] [--pattern PATTERN]`;

class Usage extends Error {}

async function open(path: string | undefined): Promise<SorFile> {
  if (!path) throw new Usage(USAGE);
  const read = readSor(await readFile(path));
  if (!read.ok) throw new Error(`${path}: ${sorProblemText(read.error)}`);
  for (const warning of read.value.warnings) console.error(`${path}: ${traceWarningText(warning)}`);
  return read.value;
}

const rounded = (figure: number | null, digits: number): number | null =>
  figure === null || !Number.isFinite(figure) ? null : Number(figure.toFixed(digits));

function dump(file: SorFile): unknown {
  const { fixed, general, keyEvents, data } = file;
  const levels = levelsOf(data);
  return {
    revision: file.revision,
    general,
    supplier: file.supplier,
    fixed: {
      at: new Date(fixed.measuredAtS * 1000).toISOString(),
      groupIndex: fixed.groupIndex / 100_000,
      wavelengthNm: fixed.wavelength / 10,
      pulseWidthsNs: fixed.pulseWidthsNs,
      sampleSpacingM: rounded(spacingOf(fixed), 6),
      sampleCount: fixed.sampleCounts[0],
      averages: fixed.averages,
      rangeM: rounded(metersOf(fixed.range, fixed.groupIndex), 3),
      backscatterDb: -fixed.backscatter / 10,
      traceType: fixed.traceType,
    },
    events: (keyEvents?.events ?? []).map((event) => ({
      number: event.number,
      positionM: rounded(metersOf(event.time100ps, fixed.groupIndex), 3),
      lossDb: event.lossMdb / 1000,
      reflectanceDb: event.reflectanceMdb / 1000,
      code: event.code,
    })),
    checksum: file.checksum,
    samples: {
      count: levels.length,
      firstDb: rounded(levels[0]!, 3),
      lastDb: rounded(levels.at(-1)!, 3),
    },
    warnings: file.warnings,
  };
}

const placed = ({ positionM, lossDb, sigmaDb, kind, peakDb, isSaturated }: TraceEvent) => ({
  positionM: rounded(positionM, 2),
  lossDb: rounded(lossDb, 4),
  lossSigmaDb: rounded(sigmaDb, 4),
  kind,
  // Height of the peak: what it reflects follows from it, the pulse and the backscatter of the fiber.
  peakDb: rounded(peakDb, 2),
  isSaturated,
});

/** Reflectance of a peak over the backscatter, dB, by the backscatter coefficient and the pulse. */
function reflectanceOf(peak: number | null, { fixed }: SorFile): number | null {
  if (peak === null) return null;
  const backscatter = -fixed.backscatter / 10 + 10 * Math.log10(fixed.pulseWidthsNs[0]!);
  return rounded(backscatter + 10 * Math.log10(10 ** (peak / 5) - 1), 1);
}

/** Watches a folder until it is stopped: events as JSON, a line each, and in words. */
async function watch(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      server: { type: 'string' },
      project: { type: 'string' },
      cable: { type: 'string' },
      pattern: { type: 'string' },
    },
  });
  const [folder] = positionals;
  if (!folder || !values.server) throw new Usage(USAGE);
  const { CORDEL_EMAIL: email, CORDEL_PASSWORD: password } = process.env;
  const stop = new AbortController();
  for (const name of ['SIGINT', 'SIGTERM'] as const) process.once(name, () => stop.abort());
  const tell = (event: WatchEvent) => {
    console.log(JSON.stringify(event));
    console.error(watchText(event));
  };
  await watchFolder(
    {
      folder,
      server: values.server,
      project: values.project ?? null,
      cable: values.cable ?? null,
      pattern: values.pattern ?? null,
      account: email && password ? { email, password } : null,
    },
    tell,
    stop.signal,
  ).catch((error: unknown) => {
    throw error instanceof CannotWatch ? new Error(watchText(error.event)) : error;
  });
}

async function main([command, first, second, ...more]: string[]): Promise<unknown> {
  if (command === 'watch')
    return watch([first, second, ...more].filter((arg) => arg !== undefined));
  if (command === 'dump') return dump(await open(first));
  if (command === 'events') {
    const file = await open(first);
    const { events, endM, fadedM, noiseDb, sharedSamples, storedStepDb } = analyse(file);
    return {
      events: events.map((event) => ({
        ...placed(event),
        reflectanceDb: reflectanceOf(event.peakDb, file),
      })),
      endM: rounded(endM, 2),
      lostInNoiseM: rounded(fadedM, 2),
      noiseDbAtStart: rounded(noiseDb, 5),
      sharedSamples: rounded(sharedSamples, 1),
      storedStepDb: rounded(storedStepDb, 4),
    };
  }
  if (command === 'compare') {
    const file = await open(first);
    const { pulse, spacing } = samplesOf(file);
    const { events, fadedM } = analyse(file);
    const rows = compareTables(events, instrumentEvents(file), fadedM, pulse * spacing);
    return {
      differences: rows.map(({ positionM, kind, byDb, found, instrument }) => ({
        positionM: rounded(positionM, 2),
        kind,
        byDb: rounded(byDb, 4),
        foundDb: rounded(found?.lossDb ?? null, 4),
        instrumentDb: instrument && rounded(instrument.lossDb, 3),
      })),
    };
  }
  if (command === 'pair') {
    const [a, b] = [analyse(await open(first)), analyse(await open(second))];
    const length = a.endM ?? b.endM;
    if (length === null)
      throw new Error(
        'Neither trace sees the end of the fiber: they cannot be laid over each other.',
      );
    return {
      events: pairEvents(a.events, b.events, length).map((pair) => ({
        positionFromAM: rounded(pair.positionM, 2),
        forwardDb: rounded(pair.forwardDb, 4),
        backwardDb: rounded(pair.backwardDb, 4),
        meanDb: rounded(pair.meanDb, 4),
        meanSigmaDb: rounded(pair.sigmaDb, 4),
      })),
    };
  }
  if (command === 'copy' && second) {
    const bytes = copySor(await open(first));
    await writeFile(second, bytes);
    return { bytes: bytes.length };
  }
  throw new Usage(USAGE);
}

main(process.argv.slice(2)).then(
  (answer) => answer !== undefined && console.log(JSON.stringify(answer)),
  (error: Error) => {
    console.error(error.message);
    process.exit(error instanceof Usage ? 2 : 1);
  },
);

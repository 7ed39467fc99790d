import {
  type SorFile,
  type TraceEvent,
  analyse,
  compareTables,
  instrumentEvents,
  levelsOf,
  metersOf,
  pairEvents,
  samplesOf,
  spacingOf,
} from '@cordel/core/otdr';

/** What the command line says of trace files: plain data, units in the names. */

const rounded = (value: number | null, digits: number): number | null =>
  value === null || !Number.isFinite(value) ? null : Number(value.toFixed(digits));

/** The fields of a file, in usual units. */
export function fieldsOf(file: SorFile) {
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

/** Events found in the samples of a file, and its noise. */
export function eventsOf(file: SorFile) {
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
function reflectanceOf(peakDb: number | null, { fixed }: SorFile): number | null {
  if (peakDb === null) return null;
  const backscatterDb = -fixed.backscatter / 10 + 10 * Math.log10(fixed.pulseWidthsNs[0]!);
  return rounded(backscatterDb + 10 * Math.log10(10 ** (peakDb / 5) - 1), 1);
}

/** Events found in the samples of a file, held against the table of its instrument. */
export function differencesOf(file: SorFile) {
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

/** Events of both directions laid over each other; null where neither trace shows the end of the fiber. */
export function pairsOf(fromA: SorFile, fromB: SorFile) {
  const [a, b] = [analyse(fromA), analyse(fromB)];
  const length = a.endM ?? b.endM;
  if (length === null) return null;
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

import type { SorProblem } from './problem.ts';

/** Speed of light in vacuum, m/s: by definition of the meter, SI. */
export const LIGHT = 299_792_458;

/** GenParams: who, where, what fiber. Times in 100 ps one way. */
export interface General {
  language: string;
  cableId: string;
  fiberId: string;
  /** ITU-T recommendation number, such as 652; null in revision 100. */
  fiberType: number | null;
  wavelengthNm: number;
  fromLocation: string;
  toLocation: string;
  cableCode: string;
  dataFlag: string;
  userOffset: number;
  userOffsetDistance: number | null;
  operator: string;
  comment: string;
}

/** SupParams: the instrument. */
export interface Supplier {
  supplier: string;
  instrument: string;
  serial: string;
  module: string;
  moduleSerial: string;
  software: string;
  other: string;
}

/** FxdParams: how it was measured, fields as they stand in the file. */
export interface Fixed {
  /** Seconds since 1970, UTC. */
  measuredAtS: number;
  unit: string;
  /** Tenths of a nm. */
  wavelength: number;
  /** 100 ps one way. */
  acquisitionOffset: number;
  acquisitionOffsetDistance: number | null;
  pulseWidthsNs: number[];
  /** One-way time of 10 000 samples in 100 ps, for each pulse width. */
  spacings: number[];
  sampleCounts: number[];
  /** Group index x 100 000. */
  groupIndex: number;
  backscatter: number;
  averages: number;
  averagingTime: number | null;
  range: number;
  rangeDistance: number | null;
  frontPanelOffset: number;
  noiseFloor: number;
  noiseFloorScale: number;
  powerOffset: number;
  lossThreshold: number;
  reflectanceThreshold: number;
  endThreshold: number;
  traceType: string;
  window: [number, number, number, number];
}

/** A row of KeyEvents: the instrument's own table. */
export interface KeyEvent {
  number: number;
  /** 100 ps one way. */
  time100ps: number;
  /** Thousandths of a dB/km and of a dB. */
  slopeMdbPerKm: number;
  lossMdb: number;
  reflectanceMdb: number;
  code: string;
  method: string;
  /** Ends of the event before, start and end of this, start of the next, peak; null in revision 100. */
  times: [number, number, number, number, number] | null;
  comment: string;
}

export interface KeyEvents {
  events: KeyEvent[];
  totalLoss: number;
  lossStart: number;
  lossEnd: number;
  returnLoss: number;
  returnStart: number;
  returnEnd: number;
}

/** DataPts: the samples, as they stand in the file, with what they are multiplied by. */
export interface DataPoints {
  /** Runs of samples under one scale factor, which stands x 1 000. */
  runs: { count: number; scale: number }[];
  /** The samples that are there; a file that was cut off has fewer than it says. */
  raw: Uint16Array;
  /** How many the block says it has. */
  statedCount: number;
}

/** A part of the file, so that nothing of it is lost: a block, or bytes that belong to none. */
export interface SorBlock {
  name: string;
  revision: number;
  bytes: Uint8Array;
}

/** A trace file as it was read. */
export interface SorFile {
  /** 100 or 200, as the Map says. */
  revision: number;
  /** Blocks after the Map, in their order, and what stood between them. */
  blocks: SorBlock[];
  /** The Map as it stood. */
  map: Uint8Array;
  /** Bytes behind the last block. */
  rest: Uint8Array;
  general: General | null;
  supplier: Supplier | null;
  fixed: Fixed;
  keyEvents: KeyEvents | null;
  data: DataPoints;
  checksum: { stored: number; computed: number; ok: boolean } | null;
  /** What was odd and could be read all the same, each with block and byte. */
  warnings: SorProblem[];
}

/** Level of each sample in dB, the first ones highest: -value x scale / 1000 x 0.001 dB. */
export function levelsOf({ runs, raw }: DataPoints): Float32Array {
  const levels = new Float32Array(raw.length);
  let at = 0;
  for (const { count, scale } of runs) {
    const factor = (-scale / 1000) * 0.001;
    const end = Math.min(raw.length, at + count);
    for (; at < end; at++) levels[at] = raw[at]! * factor;
  }
  return levels;
}

/** Meters of fiber that a one-way time in 100 ps stands for. */
export const metersOf = (time: number, groupIndex: number): number =>
  (time * 1e-10 * LIGHT * 100_000) / groupIndex;

/** Meters from one sample to the next. */
export const spacingOf = ({ spacings, groupIndex }: Fixed): number =>
  (spacings[0]! * 1e-14 * LIGHT * 100_000) / groupIndex;

/** Meters of fiber at the first sample. */
export const firstSampleOf = ({ acquisitionOffset, groupIndex }: Fixed): number =>
  metersOf(acquisitionOffset, groupIndex);

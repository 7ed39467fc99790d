import type { TraceEvent } from '../detect/analyse.ts';
import type { ProofMessage } from '../messages.ts';
import type { AlignedTrace } from './alignTrace.ts';
import type { FittedGroup, RouteFit } from './fitRoutes.ts';

/** A trace with what was found in it and where it belongs. Meters of fiber as its file counts them. */
export interface ProofTrace {
  id: string;
  /** The file's name. */
  name: string;
  circuit: string;
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  events: readonly TraceEvent[];
  endM: number | null;
  /** Where the fiber is lost in noise; null where it is not. */
  fadedM: number | null;
  /** How far the samples go. */
  rangeM: number;
  /** Group index x 100 000. */
  groupIndex: number;
  /** Milliseconds since 1970; null where the instrument's clock was not set. */
  measuredAtMs: number | null;
  /** Digest of its samples: two files may hold the same ones. */
  samplesDigest: string;
}

/** What is odd about traces. */
export interface ProofProblem {
  kind:
    | 'same samples'
    | 'group index'
    | 'noise only'
    | 'no end'
    | 'launch fiber'
    | 'receive fiber'
    | 'scale'
    | 'length unknown'
    | 'direction missing'
    | 'wavelengths'
    | 'mixed up'
    | 'other wavelength'
    | 'cut over since'
    | 'end from one side';
  circuit: string | null;
  traces: string[];
  message: ProofMessage;
}

/** Traces aligned with their routes, before they are measured. */
export interface AlignedTraces {
  traces: ProofTrace[];
  /** Shots of the same fibers, directions and wavelengths that newer ones stand for. */
  earlier: ProofTrace[];
  fit: RouteFit;
  /** By trace. */
  alignments: Map<string, AlignedTrace>;
  group(trace: ProofTrace): FittedGroup;
  /** What a trace's distances are multiplied by, for its group index is not that of its peers. */
  indexRatio: Map<string, number>;
  problems: ProofProblem[];
}

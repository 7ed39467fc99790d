import { z } from 'zod';
import { tapeSchema, lossSchema, placeSchema } from '../../record/message.ts';
import type { Analysis } from '../detect/analyse.ts';
import { type Survey, surveyOf } from '../detect/survey.ts';
import type { TraceSamples } from '../format/samples.ts';
import { measureAt } from '../measure/measureAt.ts';
import type { LossFigure } from '../measure/pairTraces.ts';
import { type ShotChange, changeVerdict } from '../measure/shotChanges.ts';

/** A fiber on its reel as one shot sees it, without the launch fiber before it. */
export interface ReelShot {
  /** Meters of fiber; null where its end is not seen. */
  lengthM: number | null;
  /** dB a kilometer over the whole of it; null where it is too short to tell. */
  attenuation: LossFigure | null;
  /** Steps and reflections within it. dB; m of fiber from where it begins. */
  steps: { positionM: number; lossDb: number; sigmaDb: number }[];
}

/** A reflection in the first part of a trace is where the launch fiber ends. */
const LAUNCH_PART = 0.5;

/**
 * Reads a shot of one fiber on its reel.
 * @param analysis what was found in the samples
 */
export function reelShot(
  samples: TraceSamples,
  { events, endM }: Pick<Analysis, 'events' | 'endM'>,
  survey: Survey = surveyOf(samples.levels, samples.pulse, samples.spacing),
): ReelShot {
  const { levels, spacing, first, pulse } = samples;
  const inside = events.filter(({ kind }) => kind !== 'end' && kind !== 'echo');
  const launch = inside.findLast(
    ({ peakDb, positionM }) => peakDb !== null && endM !== null && positionM < LAUNCH_PART * endM,
  );
  const startM = launch?.positionM ?? 0;
  const toSample = (meters: number) => Math.round((meters - first) / spacing);
  const zones = launch
    ? [{ startIndex: toSample(startM) - 1, endIndex: Math.ceil(toSample(startM) + pulse + 1) }]
    : [];
  const { total } = measureAt(
    levels,
    pulse,
    zones,
    launch ? zones[0]!.endIndex : Math.max(0, toSample(0)),
    survey,
  );
  const lengthM = endM === null ? null : endM - startM;
  const km = lengthM === null ? 0 : lengthM / 1000;
  return {
    lengthM,
    attenuation:
      total && km > 0 ? { lossDb: total.lossDb / km, sigmaDb: total.sigmaDb / km } : null,
    steps: inside
      .filter(({ positionM }) => positionM > startM)
      .map(({ positionM, lossDb, sigmaDb }) => ({
        positionM: positionM - startM,
        lossDb: lossDb ?? 0,
        sigmaDb: sigmaDb ?? 0,
      })),
  };
}

/** What is wrong with a fiber on its reel. */
export const reelProblemSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('reelEndNotSeen') }),
  z.object({ code: z.literal('reelAttenuationUnknown') }),
  z.object({
    code: z.enum(['reelAttenuationOver', 'reelAttenuationUnsure']),
    measured: lossSchema,
    most: lossSchema,
    wavelengthNm: z.int(),
  }),
  z.object({ code: z.literal('reelStep'), at: placeSchema, loss: lossSchema, most: lossSchema }),
  z.object({
    code: z.enum(['reelShort', 'reelLong']),
    byLight: tapeSchema,
    sheath: tapeSchema,
  }),
]);
export type ReelProblem = z.infer<typeof reelProblemSchema>;

export type ReelVerdict = 'accepted' | 'rejected' | 'check';

/** A new fiber has no step of its own over this: ITU-T G.652 and IEC 60793-2-50, from memory. dB. */
const MOST_STEP = 0.05;

/**
 * Length by light and on the sheath differ by no more than this: what the excess of fiber and the group index are
 * off by. Common practice, no source.
 */
const LENGTH_OFF = { part: 0.01, meters: 10 };

/** What a fiber on its reel has to be. */
export interface ReelLimits {
  wavelengthNm: number;
  /** Length on the sheath, m, and meters of fiber in a meter of it; null where nobody has said. */
  sheathM: number | null;
  helix: number;
  /** The most that it may lose, dB a kilometer; null where the project has no figure at this wavelength. */
  mostDbPerKm: number | null;
}

/** Judges a fiber on its reel: by attenuation and steps it is accepted or not; what cannot be told is to be checked. */
export function judgeReel(
  { lengthM, attenuation, steps }: ReelShot,
  { wavelengthNm, sheathM, helix, mostDbPerKm }: ReelLimits,
): { verdict: ReelVerdict; problems: ReelProblem[] } {
  const problems: ReelProblem[] = [];
  let isBad = false;
  if (lengthM === null) problems.push({ code: 'reelEndNotSeen' });
  else if (sheathM !== null) {
    const sheathLike = lengthM / helix;
    if (Math.abs(sheathLike - sheathM) > LENGTH_OFF.meters + LENGTH_OFF.part * sheathM)
      problems.push({
        code: sheathLike < sheathM ? 'reelShort' : 'reelLong',
        byLight: { tapeM: sheathLike },
        sheath: { tapeM: sheathM },
      });
  }
  if (!attenuation) problems.push({ code: 'reelAttenuationUnknown' });
  else if (mostDbPerKm !== null && attenuation.lossDb > mostDbPerKm) {
    const isSure = attenuation.lossDb - 2 * attenuation.sigmaDb > mostDbPerKm;
    isBad ||= isSure;
    problems.push({
      code: isSure ? 'reelAttenuationOver' : 'reelAttenuationUnsure',
      measured: attenuation,
      most: { lossDb: mostDbPerKm, decimals: 2 },
      wavelengthNm,
    });
  }
  for (const { positionM, lossDb, sigmaDb } of steps) {
    if (Math.abs(lossDb) <= MOST_STEP) continue;
    isBad ||= Math.abs(lossDb) - 2 * sigmaDb > MOST_STEP;
    problems.push({
      code: 'reelStep',
      at: { placeM: positionM },
      loss: { lossDb, sigmaDb },
      most: { lossDb: MOST_STEP, decimals: 2 },
    });
  }
  const verdict = isBad ? 'rejected' : problems.length > 0 ? 'check' : 'accepted';
  return { verdict, problems };
}

/** How a fiber's attenuation in a cable changed from its reel to where it lies now. dB. */
export interface ReelChange {
  reelDbPerKm: number;
  nowDbPerKm: number;
  /** Over the length of the span; above zero where it loses more now. */
  byDb: number;
  sigmaDb: number;
  verdict: ShotChange['verdict'];
}

/** Two shots of the same fiber differ by so much a kilometer without a change: temperature and instrument. Common practice, no source. */
const REPEATED_DB_PER_KM = 0.005;

/** Compares a span with its fiber on the reel. */
export function reelChange(reel: LossFigure, nowDbPerKm: number, lengthM: number): ReelChange {
  const km = lengthM / 1000;
  const byDb = (nowDbPerKm - reel.lossDb) * km;
  // The line through the span is no surer than the one through the reel.
  const sigmaDb = km * Math.hypot(Math.SQRT2 * reel.sigmaDb, REPEATED_DB_PER_KM);
  const verdict = changeVerdict(byDb, sigmaDb);
  return { reelDbPerKm: reel.lossDb, nowDbPerKm, byDb, sigmaDb, verdict };
}

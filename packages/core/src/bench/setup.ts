import type { FiberKind } from '../record/fiberType.ts';
import type { Cleaver, SleeveKind, Splicer } from '../record/instrument.ts';

/** How a joint is made. */
export const WAYS = [
  'single',
  'ribbon',
  'ribbonize',
  'splice-on',
  'pigtail',
  'mechanical',
] as const;
export type Way = (typeof WAYS)[number];

export const WAY_WORDS: Record<Way, string> = {
  single: 'Single fiber',
  ribbon: 'Ribbon',
  ribbonize: 'Loose fibers, ribbonized',
  'splice-on': 'Splice-on connector',
  pigtail: 'Pigtail',
  mechanical: 'Mechanical connector',
};

/** What is chosen before the first splice; null where nothing is chosen. */
export interface BenchSetup {
  splicerId: string | null;
  program: string | null;
  heaterProgram: string | null;
  cleaverId: string | null;
  /** Tenths of a millimeter. */
  cleaveLength: number | null;
  /** Fibers of the holder that is in. */
  holder: number | null;
  way: Way;
  sleeve: SleeveKind;
}

/** What the plan says of the joint in hand. */
export interface JointNeeds {
  /** Fibers fused in one arc. */
  fibers: number;
  /** Glass of both sides. */
  glass: readonly [FiberKind, FiberKind];
  /** Whether a side is a drop cable. */
  drop: boolean;
  /** Whether fibers of a side lie loose, so that a mass splice needs ribbonizing. */
  loose: boolean;
}

/** Ways that fit a joint, the usual one first. */
export function waysFor({ fibers, drop, loose }: JointNeeds): Way[] {
  if (fibers > 1) return loose ? ['ribbonize', 'ribbon'] : ['ribbon'];
  return drop ? ['single', 'splice-on', 'pigtail', 'mechanical'] : ['single', 'pigtail'];
}

/** The sleeve that usually goes with a way. */
export const usualSleeve = (way: Way): SleeveKind =>
  way === 'ribbon' || way === 'ribbonize' ? 'ribbon' : way === 'splice-on' ? '27 mm' : '60 mm';

/**
 * The setup that fits a joint on a splicer: its programs for this glass and count, the heater for the
 * sleeve, the smallest holder that takes the fibers.
 */
export function proposeSetup(
  needs: JointNeeds,
  splicer: Splicer,
  cleaver: Cleaver | null,
  way: Way = waysFor(needs)[0]!,
): BenchSetup {
  const sleeve = usualSleeve(way);
  const glass = needs.glass[0];
  const programs = splicer.programs.filter((program) => program.fibers >= needs.fibers);
  const exact = programs.filter((program) => program.glass === glass);
  const fits = (
    exact.length > 0 ? exact : programs.filter(({ glass: kind }) => kind === 'any')
  ).sort((a, b) => a.fibers - b.fibers);
  const lengths = splicer.cleaveLengths.filter(
    (length) => !cleaver || cleaver.cleaveLengths.includes(length),
  );
  return {
    splicerId: splicer.id,
    program: fits[0]?.name ?? null,
    heaterProgram:
      splicer.heaterPrograms.find((program) => program.sleeve === sleeve)?.name ?? null,
    cleaverId: cleaver?.id ?? null,
    cleaveLength: lengths[0] ?? splicer.cleaveLengths[0] ?? null,
    holder:
      [...splicer.holders].sort((a, b) => a - b).find((count) => count >= needs.fibers) ?? null,
    way,
    sleeve,
  };
}

/** A thing that does not fit, and what would. */
export interface SetupWarning {
  about: 'program' | 'heater' | 'cleave' | 'holder' | 'way' | 'glass';
  words: string;
}

/** What of a setup does not fit the joint in hand. Nothing where no splicer is chosen. */
export function setupWarnings(
  setup: BenchSetup,
  needs: JointNeeds,
  splicer: Splicer | null,
  cleaver: Cleaver | null,
): SetupWarning[] {
  const warnings: SetupWarning[] = [];
  const warn = (about: SetupWarning['about'], words: string) => warnings.push({ about, words });
  const [left, right] = needs.glass;
  if (left !== right)
    warn(
      'glass',
      `One side is ${left}, the other ${right}: these cannot be spliced. Check the cables.`,
    );
  if (!waysFor(needs).includes(setup.way))
    warn(
      'way',
      `${WAY_WORDS[setup.way]} does not fit ${needs.fibers === 1 ? 'a single fiber' : `${needs.fibers} fibers`} here: ${waysFor(
        needs,
      )
        .map((way) => WAY_WORDS[way].toLowerCase())
        .join(' or ')}.`,
    );
  if (!splicer || setup.way === 'mechanical') return warnings;
  const program = splicer.programs.find(({ name }) => name === setup.program);
  if (!program) warn('program', `Choose a program of ${splicer.name}.`);
  else {
    if (program.glass !== 'any' && program.glass !== left)
      warn('program', `${program.name} is made for ${program.glass} fiber, and this is ${left}.`);
    if (program.fibers < needs.fibers)
      warn(
        'program',
        `${program.name} fuses at most ${program.fibers} at once; ${needs.fibers} fibers lie in this ribbon.`,
      );
  }
  const heater = splicer.heaterPrograms.find(({ name }) => name === setup.heaterProgram);
  if (!heater) warn('heater', `Choose a heater program of ${splicer.name}.`);
  else if (heater.sleeve !== setup.sleeve)
    warn(
      'heater',
      `The heater is set for ${sleeveWords(heater.sleeve)}, and these are ${sleeveWords(setup.sleeve)}: they would come out ${shrinks(heater.sleeve, setup.sleeve)}.`,
    );
  if ((setup.sleeve === 'ribbon') !== needs.fibers > 1)
    warn(
      'heater',
      needs.fibers > 1
        ? 'A ribbon takes ribbon sleeves.'
        : 'A single fiber takes single-fiber sleeves, not ribbon sleeves.',
    );
  if (setup.holder === null || setup.holder < needs.fibers)
    warn(
      'holder',
      `The holder must take ${needs.fibers}; this one takes ${setup.holder ?? 'none'}.`,
    );
  else if (needs.fibers > 1 && setup.holder !== needs.fibers)
    warn(
      'holder',
      `The holder is for ${setup.holder} fibers, and the ribbon has ${needs.fibers}: grooves stay empty, watch the edge.`,
    );
  if (setup.cleaveLength !== null && !splicer.cleaveLengths.includes(setup.cleaveLength))
    warn('cleave', `${splicer.name} does not take a cleave of ${setup.cleaveLength / 10} mm.`);
  if (cleaver && setup.cleaveLength !== null && !cleaver.cleaveLengths.includes(setup.cleaveLength))
    warn('cleave', `${cleaver.name} does not cut ${setup.cleaveLength / 10} mm.`);
  return warnings;
}

const sleeveWords = (kind: SleeveKind): string =>
  kind === 'ribbon' ? 'ribbon sleeves' : `${kind} sleeves`;

const SIZES: readonly SleeveKind[] = ['27 mm', '40 mm', '60 mm', 'ribbon'];
const shrinks = (heater: SleeveKind, sleeve: SleeveKind): string =>
  SIZES.indexOf(heater) > SIZES.indexOf(sleeve) ? 'burnt' : 'not shrunk through';

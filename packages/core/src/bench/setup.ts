import type { FiberKind, Glass } from '../record/fiberType.ts';
import type { Cleaver, SleeveKind, Splicer } from '../record/instrument.ts';
import type { Practice } from '../record/practice.ts';
import type { EndWay } from '../record/splice.ts';

/** How a joint is made. */
export const WAYS = [
  'single',
  'ribbon',
  'ribbonize',
  'splice-on',
  'pigtail',
  'mechanical',
  'breakout',
] as const;
export type Way = (typeof WAYS)[number];

/** Whether a splicer fuses it, and estimates its loss. */
export const isFusedWay = (way: Way): boolean => way !== 'mechanical' && way !== 'breakout';

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
  /** Outside diameter of the coating of both sides, um. */
  coatings: readonly [Glass['coating'], Glass['coating']];
  /** Sleeves that the trays of its closure hold for single fibers. */
  sleeve: '60 mm' | '40 mm';
  /** Whether a side is a drop cable. */
  drop: boolean;
  /** Whether a drop is ended here, rather than spliced on. */
  ends: boolean;
  /** How the plan has it ended at a port; null where it is spliced. */
  end: EndWay | null;
  /** Whether fibers of a side lie loose, so that a mass splice needs ribbonizing. */
  loose: boolean;
}

/** Ways that fit a joint, the usual one first. */
export function waysFor({ fibers, drop, loose, end }: JointNeeds): Way[] {
  // Pigtails of a module are a ribbon too.
  if (end && (end !== 'pigtail' || fibers === 1)) return [end];
  if (fibers > 1) return loose ? ['ribbonize', 'ribbon'] : ['ribbon'];
  return drop ? ['single', 'splice-on', 'pigtail', 'mechanical'] : ['single', 'pigtail'];
}

/** The way that is taken where nobody chose one: a drop that ends is ended as the project ends drops. */
export const usualWay = (needs: JointNeeds, { dropEnd }: Pick<Practice, 'dropEnd'>): Way =>
  needs.end === null && needs.drop && needs.ends && needs.fibers === 1
    ? dropEnd
    : waysFor(needs)[0]!;

/** The sleeve that goes with a way, in the trays of the joint's closure. */
export const usualSleeve = (way: Way, { sleeve }: Pick<JointNeeds, 'sleeve'>): SleeveKind =>
  way === 'ribbon' || way === 'ribbonize' ? 'ribbon' : way === 'splice-on' ? '27 mm' : sleeve;

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
  const sleeve = usualSleeve(way, needs);
  const glass = needs.glass[0];
  const programs = splicer.programs.filter((program) => program.fibers >= needs.fibers);
  const exact = programs.filter((program) => program.glass === glass);
  const fits = (
    exact.length > 0 ? exact : programs.filter(({ glass: kind }) => kind === 'any')
  ).sort((a, b) => a.fibers - b.fibers);
  const lengths = splicer.cleaveLengths
    .filter((length) => !cleaver || cleaver.cleaveLengths.includes(length))
    .sort((a, b) => a - b);
  return {
    splicerId: splicer.id,
    program: fits[0]?.name ?? null,
    heaterProgram:
      splicer.heaterPrograms.find((program) => program.sleeve === sleeve)?.name ?? null,
    cleaverId: cleaver?.id ?? null,
    cleaveLength:
      lengths.find((length) => reachesChuck(length, needs)) ??
      lengths[0] ??
      splicer.cleaveLengths[0] ??
      null,
    holder:
      [...splicer.holders].sort((a, b) => a - b).find((count) => count >= needs.fibers) ?? null,
    way,
    sleeve,
  };
}

/** A tight buffer in a common holder does not reach the chuck with less: 16 mm (common practice, no source). */
const LEAST_BUFFERED_CLEAVE = 160;

/** Whether a cleave length, in tenths of a millimeter, leaves enough glass for the coating in its holder. */
const reachesChuck = (cleaveLength: number, { coatings }: Pick<JointNeeds, 'coatings'>): boolean =>
  !coatings.includes(900) || cleaveLength >= LEAST_BUFFERED_CLEAVE;

/** A thing that does not fit, and what would. */
export type SetupMessage =
  | { code: 'glassDiffers'; left: FiberKind; right: FiberKind }
  | { code: 'wayDoesNotFit'; way: Way; fibers: number; ways: readonly Way[] }
  | { code: 'chooseProgram' | 'chooseHeater'; splicer: string }
  | { code: 'programGlass'; program: string; made: FiberKind; glass: FiberKind }
  | { code: 'programFibers'; program: string; most: number; fibers: number }
  /** The sleeves would come out burnt, or not shrunk through. */
  | { code: 'heaterBurns' | 'heaterTooCold'; heater: SleeveKind; sleeve: SleeveKind }
  | { code: 'ribbonSleeve' | 'singleSleeve' }
  | { code: 'holderMissing'; fibers: number }
  | { code: 'holderSmall' | 'holderLarge'; holder: number; fibers: number }
  | { code: 'splicerCleave' | 'cleaverCleave'; name: string; cleaveMm: number }
  | { code: 'cleaveShort'; cleaveMm: number; leastMm: number };

export interface SetupWarning {
  about: 'program' | 'heater' | 'cleave' | 'holder' | 'way' | 'glass';
  message: SetupMessage;
}

/** What of a setup does not fit the joint in hand. Nothing where no splicer is chosen. */
export function setupWarnings(
  setup: BenchSetup,
  needs: JointNeeds,
  splicer: Splicer | null,
  cleaver: Cleaver | null,
): SetupWarning[] {
  const warnings: SetupWarning[] = [];
  const warn = (about: SetupWarning['about'], message: SetupMessage) =>
    warnings.push({ about, message });
  const [left, right] = needs.glass;
  if (left !== right) warn('glass', { code: 'glassDiffers', left, right });
  if (!waysFor(needs).includes(setup.way))
    warn('way', {
      code: 'wayDoesNotFit',
      way: setup.way,
      fibers: needs.fibers,
      ways: waysFor(needs),
    });
  if (!splicer || !isFusedWay(setup.way)) return warnings;
  const program = splicer.programs.find(({ name }) => name === setup.program);
  if (!program) warn('program', { code: 'chooseProgram', splicer: splicer.name });
  else {
    if (program.glass !== 'any' && program.glass !== left)
      warn('program', {
        code: 'programGlass',
        program: program.name,
        made: program.glass,
        glass: left,
      });
    if (program.fibers < needs.fibers)
      warn('program', {
        code: 'programFibers',
        program: program.name,
        most: program.fibers,
        fibers: needs.fibers,
      });
  }
  const heater = splicer.heaterPrograms.find(({ name }) => name === setup.heaterProgram);
  if (!heater) warn('heater', { code: 'chooseHeater', splicer: splicer.name });
  else if (heater.sleeve !== setup.sleeve)
    warn('heater', {
      code: burns(heater.sleeve, setup.sleeve) ? 'heaterBurns' : 'heaterTooCold',
      heater: heater.sleeve,
      sleeve: setup.sleeve,
    });
  if ((setup.sleeve === 'ribbon') !== needs.fibers > 1)
    warn('heater', { code: needs.fibers > 1 ? 'ribbonSleeve' : 'singleSleeve' });
  const { fibers } = needs;
  if (setup.holder === null) warn('holder', { code: 'holderMissing', fibers });
  else if (setup.holder < fibers)
    warn('holder', { code: 'holderSmall', holder: setup.holder, fibers });
  else if (fibers > 1 && setup.holder !== fibers)
    warn('holder', { code: 'holderLarge', holder: setup.holder, fibers });
  if (setup.cleaveLength !== null && !splicer.cleaveLengths.includes(setup.cleaveLength))
    warn('cleave', {
      code: 'splicerCleave',
      name: splicer.name,
      cleaveMm: setup.cleaveLength / 10,
    });
  if (setup.cleaveLength !== null && !reachesChuck(setup.cleaveLength, needs))
    warn('cleave', {
      code: 'cleaveShort',
      cleaveMm: setup.cleaveLength / 10,
      leastMm: LEAST_BUFFERED_CLEAVE / 10,
    });
  if (cleaver && setup.cleaveLength !== null && !cleaver.cleaveLengths.includes(setup.cleaveLength))
    warn('cleave', {
      code: 'cleaverCleave',
      name: cleaver.name,
      cleaveMm: setup.cleaveLength / 10,
    });
  return warnings;
}

const SIZES: readonly SleeveKind[] = ['27 mm', '40 mm', '60 mm', 'ribbon'];
const burns = (heater: SleeveKind, sleeve: SleeveKind): boolean =>
  SIZES.indexOf(heater) > SIZES.indexOf(sleeve);

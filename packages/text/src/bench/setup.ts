import type { SetupMessage, Way } from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

/** How a splice is made. */
export const wayText = phrases({
  single: 'Single fiber',
  ribbon: 'Ribbon',
  ribbonize: 'Loose fibers, ribbonized',
  'splice-on': 'Splice-on connector',
  pigtail: 'Pigtail',
  mechanical: 'Mechanical connector',
  breakout: 'Breakout tubing',
} satisfies Record<Way, string>);

const sleeve = (name: string): string =>
  `{${name}, select, ribbon {ribbon sleeves} other {{${name}} sleeves}}`;

type WordedSetup =
  | Exclude<SetupMessage, { code: 'wayDoesNotFit' }>
  | { code: 'wayDoesNotFit'; way: string; fibers: number; ways: string };

const setup = catalog<WordedSetup>()({
  glassDiffers: 'One side is {left}, the other {right}: these cannot be spliced. Check the cables.',
  wayDoesNotFit:
    '{way} does not fit {fibers, plural, one {a single fiber} other {# fibers}} here: {ways}.',
  chooseProgram: 'Choose a program of {splicer}.',
  chooseHeater: 'Choose a heater program of {splicer}.',
  programGlass: '{program} is made for {made} fiber, and this is {glass}.',
  programFibers: '{program} fuses at most {most} at once; {fibers} fibers lie in this ribbon.',
  heaterBurns:
    `The heater is set for ${sleeve('heater')}, and these are ${sleeve('sleeve')}: they would come out burnt.` as string,
  heaterTooCold:
    `The heater is set for ${sleeve('heater')}, and these are ${sleeve('sleeve')}: they would not shrink through.` as string,
  ribbonSleeve: 'A ribbon takes ribbon sleeves.',
  singleSleeve: 'A single fiber takes single-fiber sleeves, not ribbon sleeves.',
  holderMissing: 'The holder must take {fibers}; none is chosen.',
  holderSmall: 'The holder must take {fibers}; this one takes {holder}.',
  holderLarge:
    'The holder is for {holder} fibers, and the ribbon has {fibers}: grooves stay empty, watch the edge.',
  splicerCleave: '{name} does not take a cleave of {cleaveMm} mm.',
  cleaverCleave: '{name} does not cut {cleaveMm} mm.',
  cleaveShort:
    'A cleave of {cleaveMm} mm is too short for a 900 um buffer: it does not reach the chuck. Take {leastMm} mm or more.',
});

/** What of a setup does not fit. */
export const setupText = (message: SetupMessage): string =>
  setup(
    message.code === 'wayDoesNotFit'
      ? {
          ...message,
          way: wayText(message.way),
          ways: message.ways.map((way) => wayText(way).toLowerCase()).join(' or '),
        }
      : message,
  );

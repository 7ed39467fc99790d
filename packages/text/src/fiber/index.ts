import {
  type ColourPlace,
  type FiberAddress,
  type FiberProblem,
  GROUP_SIZE,
  type MakeUp,
  type MakeUpProblem,
  fiberCount,
  ribbonSize,
} from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';
import { issueText } from '../record/issue.ts';

const examples = phrases({
  'loose-tube': '“100”, “9/4” or “tube 9 brown”',
  'grouped-tube': '“100”, “5/1/4” or “tube 5 group 1 brown”',
  ribbon: '“28”, “3/4” or “ribbon 3 brown”',
  drop: '“4” or “brown”',
});

/** With the cable's kind replaced by examples of how a fiber of it is written. */
type WithExamples<M> = M extends { cable: MakeUp['kind'] }
  ? Omit<M, 'cable'> & { cable: string }
  : M;

const fiberProblems = catalog<WithExamples<FiberProblem>>()({
  rangeOfFibers:
    '{from}-{to} is a range of fibers: write one fiber. A slash is for tube {from}, fiber {to}: {from}/{to}.',
  numberMissing: 'A number is missing at the end.',
  colourMissing: 'A number or a colour is missing at the end.',
  nameFiber: 'Name a fiber: {cable}.',
  fiberMissing: 'The fiber is missing: write {cable}.',
  unitMissing: 'Name the {unit} too: {cable}.',
  groupMissing: 'Name the group too, or the groups cannot be told apart: {cable}.',
  noColour: '“{text}” is not a colour of the {scheme}: {colours}.',
  noPlace: '“{text}” has no place in this cable: write {cable}.',
  unitOutside:
    '{unit, select, tube {Tube} other {Ribbon}} {number} is outside the cable: it has {unit, select, tube {tubes} other {ribbons}} 1 to {most}.',
  fiberOutside: 'Fiber {number} is outside the cable: it has fibers 1 to {most}.',
  positionOutside:
    '{number, plural, =0 {The cable} other {{unit, select, tube {Tube} other {Ribbon}} {number}}} has no fiber at {group, plural, =0 {} other {group {group}, }}position {position}: it holds {most}.',
  fiberTwice: 'Fiber {number} is named twice.',
  rangeBackwards: 'Write the smaller number first: {prefix}{from}-{to}.',
  unitsBackwards:
    'Write the smaller number first: {unit, select, tube {tubes} other {ribbons}} {from}-{to}.',
});

/** Why a fiber cannot be read, in words. */
export const fiberProblemText = (problem: FiberProblem): string =>
  fiberProblems('cable' in problem ? { ...problem, cable: examples(problem.cable) } : problem);

const MAKE_UPS = 'such as 144, 12x24 (tubes x fibers), 24 ribbons or drop 12';

const makeUpProblems = catalog<Exclude<MakeUpProblem, { code: 'invalid' }>>()({
  typeMakeUp: `Type the cable’s fibers, ${MAKE_UPS}.`,
  notByTwelves: `“{text}” is not a multiple of twelve: type it ${MAKE_UPS}.`,
  noMakeUp: `“{text}” is not a make-up: type it ${MAKE_UPS}.`,
});

/** Why a make-up cannot be read, in words. */
export const makeUpProblemText = (problem: MakeUpProblem): string =>
  problem.code === 'invalid' ? issueText(problem.issue) : makeUpProblems(problem);

const makeUps = phrases({
  'loose-tube':
    '{fibers, plural, one {# fiber} other {# fibers}}: {units, plural, one {# tube} other {# tubes}} of {size}',
  'grouped-tube':
    '{fibers, plural, one {# fiber} other {# fibers}}: {units, plural, one {# tube} other {# tubes}} of {groups, plural, one {# group} other {# groups}} of {size}',
  ribbon:
    '{fibers, plural, one {# fiber} other {# fibers}}: {units, plural, one {# ribbon} other {# ribbons}} of {size}',
  ribbonsInTubes:
    '{fibers, plural, one {# fiber} other {# fibers}}: {tubes, plural, one {# tube} other {# tubes}} of {units, plural, one {# ribbon} other {# ribbons}} of {size}',
  drop: '{fibers, plural, one {# fiber} other {# fibers}}: drop',
});

/** A make-up in a few words, such as `144 fibers: 12 tubes of 12`. */
export function makeUpText(makeUp: MakeUp): string {
  const fibers = fiberCount(makeUp);
  switch (makeUp.kind) {
    case 'loose-tube':
      return makeUps('loose-tube', { fibers, units: makeUp.tubes, size: makeUp.fibersPerTube });
    case 'grouped-tube':
      return makeUps('grouped-tube', {
        fibers,
        units: makeUp.tubes,
        groups: makeUp.groupsPerTube,
        size: GROUP_SIZE,
      });
    case 'ribbon':
      return makeUp.ribbonsPerTube === undefined
        ? makeUps('ribbon', { fibers, units: makeUp.ribbons, size: ribbonSize(makeUp) })
        : makeUps('ribbonsInTubes', {
            fibers,
            tubes: makeUp.ribbons / makeUp.ribbonsPerTube,
            units: makeUp.ribbonsPerTube,
            size: ribbonSize(makeUp),
          });
    case 'drop':
      return makeUps('drop', { fibers });
  }
}

const colours = phrases({
  tracer: '{name}, {marks, plural, one {{mark} tracer} other {# {mark} tracers}}',
  ring: '{name}, {marks, plural, one {{mark} ring} other {# {mark} rings}}',
});

/** A colour at its place, such as `brown` or `brown, black tracer`. */
export const colourText = ({ colour, marks, mark }: ColourPlace): string =>
  mark ? colours(mark.kind, { name: colour.name, marks, mark: mark.colour }) : colour.name;

const units = phrases({
  tube: 'tube {number} {colour}',
  tubeGroup: 'tube {number} {colour}, group {group}',
  ribbon: 'ribbon {number}',
  ribbonInTube: 'tube {tube} {colour}, ribbon {ribbon}',
  fiber: 'fiber {position} {colour}',
  place: '{unit}, {fiber}',
});

/** The tube or ribbon of a fiber, such as `tube 9 yellow` or `tube 5 slate, group 1`; empty for a drop. */
export function unitText({ place, tube, inTube }: FiberAddress): string {
  if (!place.unit) return '';
  const { number } = place.unit;
  if (!tube) return units('ribbon', { number });
  const colour = colourText(tube);
  if (inTube) return units('ribbonInTube', { ...inTube, colour });
  return place.group === null
    ? units('tube', { number, colour })
    : units('tubeGroup', { number, colour, group: place.group });
}

/** The tube or ribbon and the colour of a fiber, for a line; nothing where there is no address. */
export const addressParts = (address: FiberAddress | null | undefined): string[] =>
  address ? [unitText(address), colourText(address.fiber)].filter(Boolean) : [];

/** Where a fiber lies, such as `tube 9 yellow, fiber 4 brown`. */
export function placeText(address: FiberAddress): string {
  const unit = unitText(address);
  const fiber = units('fiber', {
    position: address.place.position,
    colour: colourText(address.fiber),
  });
  return unit === '' ? fiber : units('place', { unit, fiber });
}

const eye = phrases({ ribbonPlace: 'ribbon of {fibers}, place {place}' });

/** Which fiber of a ribbon is marked, for those who do not see it. */
export const ribbonPlaceText = (marked: { fibers: number; place: number }): string =>
  eye('ribbonPlace', marked);

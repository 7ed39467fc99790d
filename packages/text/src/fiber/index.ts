import {
  type ColourPlace,
  type FiberAddress,
  type FiberProblem,
  GROUP_SIZE,
  type MakeUp,
  type MakeUpProblem,
  fiberCount,
  isDevice,
  placeOf,
  ribbonSize,
  unitSize,
} from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';
import { issueText } from '../record/issue.ts';

const examples = phrases({
  'loose-tube': '“100”, “9/4” or “tube 9 brown”',
  'grouped-tube': '“100”, “5/1/4” or “tube 5 group 1 brown”',
  ribbon: '“28”, “3/4” or “ribbon 3 brown”',
  drop: '“4” or “brown”',
  splitter: '“in” or “out 3”',
  ports: '“port 3”, in an array “port 3/5”',
});

/** With the cable's kind replaced by examples of how a fiber of it is written. */
type WithExamples<M> = M extends { cable: MakeUp['kind'] }
  ? Omit<M, 'cable'> & { cable: string }
  : M;

const fiberProblems = catalog<WithExamples<FiberProblem>>()({
  rangeOfFibers:
    '{from}-{to} is a range of fibers: write one fiber. A slash is for tube {from}, fiber {to}: {from}/{to}.',
  numberMissing: 'A number is missing at the end.',
  colourMissing: 'A number or a color is missing at the end.',
  nameFiber: 'Name a fiber: {cable}.',
  fiberMissing: 'The fiber is missing: write {cable}.',
  unitMissing: 'Name the {unit} too: {cable}.',
  groupMissing: 'Name the group too, or the groups cannot be told apart: {cable}.',
  noColour: '“{text}” is not a color of the {scheme}: {colours}.',
  noPlace: '“{text}” has no place in this cable: write {cable}.',
  unitOutside:
    '{unit, select, tube {Tube} port {Port} output {Output} other {Ribbon}} {number} is outside{unit, select, port {} output {} other { the cable}}: it has {unit, select, tube {tubes} port {ports} output {outputs} other {ribbons}} 1 to {most}.',
  fiberOutside: 'Fiber {number} is outside the cable: it has fibers 1 to {most}.',
  positionOutside:
    '{number, plural, =0 {The cable} other {{unit, select, tube {Tube} port {Port} other {Ribbon}} {number}}} has no fiber at {group, plural, =0 {} other {group {group}, }}position {position}: it holds {most}.',
  fiberTwice: 'Fiber {number} is named twice.',
  rangeBackwards: 'Write the smaller number first: {prefix}{from}-{to}.',
  unitsBackwards:
    'Write the smaller number first: {unit, select, tube {tubes} port {ports} output {outputs} other {ribbons}} {from}-{to}.',
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
    '{fibers, plural, one {# fiber} other {# fibers}}: {units, plural, one {# ribbon} other {# ribbons}} of {size}{rollable, select, yes {, rollable} other {}}',
  ribbonsInTubes:
    '{fibers, plural, one {# fiber} other {# fibers}}: {tubes, plural, one {# tube} other {# tubes}} of {units, plural, one {# ribbon} other {# ribbons}} of {size}{rollable, select, yes {, rollable} other {}}',
  drop: '{fibers, plural, one {# fiber} other {# fibers}}: drop',
  splitter: 'splitter 1:{outputs}',
  tap: 'tap of {tapPercent} %',
  ports:
    '{place, select, terminal {terminal} panel {panel} other {module}}: {ports, plural, one {# port} other {# ports}} {connector, select, array {array} other {{connector}}} {polish}',
});

/** A make-up in a few words, such as `144 fibers: 12 tubes of 12`. */
export function makeUpText(makeUp: MakeUp): string {
  const fibers = fiberCount(makeUp);
  const rollable = makeUp.kind === 'ribbon' && makeUp.rollable ? 'yes' : 'no';
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
        ? makeUps('ribbon', { fibers, units: makeUp.ribbons, size: ribbonSize(makeUp), rollable })
        : makeUps('ribbonsInTubes', {
            fibers,
            tubes: makeUp.ribbons / makeUp.ribbonsPerTube,
            units: makeUp.ribbonsPerTube,
            size: ribbonSize(makeUp),
            rollable,
          });
    case 'drop':
      return makeUps('drop', { fibers });
    case 'splitter':
      return makeUp.tapPercent === undefined
        ? makeUps('splitter', { outputs: makeUp.outputs })
        : makeUps('tap', { tapPercent: makeUp.tapPercent });
    case 'ports': {
      const { place, ports, connector, polish } = makeUp;
      return makeUps('ports', { place, ports, connector, polish });
    }
  }
}

const colours = phrases({
  tracer: '{name}, {marks, plural, one {{mark} tracer} other {# {mark} tracers}}',
  ring: '{name}, {marks, plural, one {{mark} ring} other {# {mark} rings}}',
});

/** A color at its place, such as `brown` or `brown, black tracer`. */
export const colourText = ({ colour, marks, mark }: ColourPlace): string =>
  mark ? colours(mark.kind, { name: colour.name, marks, mark: mark.colour }) : colour.name;

const units = phrases({
  tube: 'tube {number} {colour}',
  tubeGroup: 'tube {number} {colour}, group {group}',
  ribbon: 'ribbon {number}',
  ribbonInTube: 'tube {tube} {colour}, ribbon {ribbon}',
  fiber: 'fiber {position} {colour}',
  place: '{unit}, {fiber}',
  port: 'port {number}',
  portPosition: 'port {number}/{position}',
  output: 'out {number}',
  input: 'in',
});

/** A fiber of a device, such as `port 3`, `out 2` or `in`; null for a cable's. */
export function deviceFiberText(makeUp: MakeUp, fiber: number): string | null {
  if (!isDevice(makeUp)) return null;
  const { unit, position } = placeOf(makeUp, fiber);
  if (unit?.kind === 'port' && unitSize(makeUp) > 1)
    return units('portPosition', { number: unit.number, position });
  return units(unit!.kind as 'port' | 'output' | 'input', { number: unit!.number });
}

const isDevicePlace = ({ place }: FiberAddress): boolean =>
  place.unit !== null && ['port', 'output', 'input'].includes(place.unit.kind);

/** The tube or ribbon of a fiber, such as `tube 9 yellow` or `tube 5 slate, group 1`; empty for a drop. */
export function unitText({ place, tube, inTube }: FiberAddress): string {
  if (!place.unit) return '';
  const { number, kind } = place.unit;
  if (kind === 'port' || kind === 'output' || kind === 'input') return units(kind, { number });
  if (!tube) return units('ribbon', { number });
  const colour = colourText(tube);
  if (inTube) return units('ribbonInTube', { ...inTube, colour });
  return place.group === null
    ? units('tube', { number, colour })
    : units('tubeGroup', { number, colour, group: place.group });
}

/** The tube or ribbon and the color of a fiber, for a line; nothing where there is no address. */
export const addressParts = (address: FiberAddress | null | undefined): string[] => {
  if (!address) return [];
  // What a device's fiber is called says where it is.
  if (isDevicePlace(address)) return [];
  return [unitText(address), colourText(address.fiber)].filter(Boolean);
};

/** Where a fiber lies, such as `tube 9 yellow, fiber 4 brown`. */
export function placeText(address: FiberAddress): string {
  const unit = unitText(address);
  if (isDevicePlace(address)) return unit;
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

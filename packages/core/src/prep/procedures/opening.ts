import type { HardwareForm } from '../../record/hardware.ts';
import type { PrepStepData } from '../../record/procedure.ts';
import { CUT, DROP, END, EXPRESS, ask, onLeg, step } from './build.ts';

/** Until the cable is known and safe to touch. Metal can carry foreign voltage. */
const KNOWN = [
  step('rightCable'),
  step('voltage', {
    when: { traits: ['metallic'] },
    caution: 'qualified',
    asks: [ask('testedBy'), ask('voltageFound')],
  }),
  step('diameter'),
];

/** Messenger, tone or tracer wire: off before the cable goes through a seal. */
const TRACER = step('tracer', { when: { traits: ['tracer'] }, caution: 'blade' });

const ACCESS = step('access', { when: END, caution: 'blade' });
const RING = step('ring', { caution: 'bladeTubes' });
const SHEATH = step('sheath', { caution: 'blade' });
const YARN = step('yarn', { when: CUT });
const SHEATH_OFF = [RING, SHEATH, YARN];

const BOND = onLeg('bond', { when: { traits: ['armoured'] }, caution: 'qualified' });

/** What is cut of an express cable is proven dark just before. */
const UNITS = step('units', {
  when: EXPRESS,
  caution: 'invisibleLight',
  asks: [ask('detector'), ask('numberTwice', 'yes'), ask('releasedBy')],
});

/** Tubes are opened and fibers told apart. */
const OPEN = [UNITS, step('score', { caution: 'shards' }), step('groups', { caution: 'solvent' })];

const PAIRS = step('pairs', { when: { traits: ['ribbon'] } });
const ROUTE = step('route');

const DOME: PrepStepData[] = [
  ...KNOWN,
  step('slitSeal', { when: EXPRESS, caution: 'blade' }),
  TRACER,
  onLeg('seal'),
  step('mark'),
  ACCESS,
  ...SHEATH_OFF,
  step('strengthLong', { when: CUT }),
  step('strength', { key: 'rods', when: DROP }),
  step('centralTube', { when: { entries: ['end'], traits: ['ribbon'] } }),
  step('aramid', { when: CUT }),
  onLeg('bracket', { when: CUT, caution: 'handTools' }),
  onLeg('spacer', { when: DROP }),
  onLeg('hose', { caution: 'handTools' }),
  onLeg('shieldStud', { when: { traits: ['armoured'] }, caution: 'qualified' }),
  onLeg('noneSqueezed', { when: { traits: ['armoured'] } }),
  onLeg('sealIn', { when: CUT }),
  onLeg('groundStud', { when: { traits: ['armoured'] }, caution: 'qualified' }),
  onLeg('sealCap', { when: CUT, caution: 'handTools' }),
  ...OPEN,
  PAIRS,
  ROUTE,
];

const IN_LINE: PrepStepData[] = [
  ...KNOWN,
  TRACER,
  step('mark'),
  ACCESS,
  ...SHEATH_OFF,
  onLeg('strength'),
  onLeg('clamp', { caution: 'handTools' }),
  onLeg('hose', { caution: 'handTools' }),
  BOND,
  step('tubesRound', { when: CUT }),
  ...OPEN,
  PAIRS,
  step('wrap'),
  ROUTE,
  // Its seals are wrapped round the cable once it lies in the case.
  onLeg('fitSeal'),
];

const GEL_DROP: PrepStepData[] = [
  ...KNOWN,
  TRACER,
  step('mark'),
  ...SHEATH_OFF,
  onLeg('strength'),
  onLeg('clamp', { caution: 'handTools' }),
  BOND,
  UNITS,
  step('dropTube', { caution: 'shards' }),
  step('aramidTrim'),
  step('groups', { caution: 'solvent' }),
  onLeg('tieToBracket'),
  step('spliceHolder'),
  ROUTE,
];

const GLAND: PrepStepData[] = [
  ...KNOWN,
  TRACER,
  step('mark'),
  onLeg('seal'),
  onLeg('glandLoose'),
  ...SHEATH_OFF,
  onLeg('strength'),
  onLeg('glandGrease'),
  onLeg('glandClamp', { caution: 'handTools' }),
  BOND,
  onLeg('glandIn'),
  ...OPEN,
  PAIRS,
  ROUTE,
];

const WEDGE: PrepStepData[] = [
  ...KNOWN,
  TRACER,
  onLeg('bushing', { when: { traits: ['thin'] } }),
  step('mark'),
  ACCESS,
  ...SHEATH_OFF,
  onLeg('strength'),
  BOND,
  onLeg('gelChannel'),
  onLeg('wedgeIn', { caution: 'handTools' }),
  ...OPEN,
  PAIRS,
  ROUTE,
];

/** The kit at the rack, and the module behind it. */
const RACK: PrepStepData[] = [
  ...KNOWN,
  step('mark'),
  ...SHEATH_OFF,
  step('strength'),
  step('rackClamp', { caution: 'handTools' }),
  BOND,
  step('cutSleeves', { when: { traits: ['ribbon'] } }),
  step('forks', { when: { traits: ['ribbon'] } }),
  step('score', { caution: 'shards' }),
  step('groups', { caution: 'solvent' }),
  PAIRS,
  step('entryPlate'),
  step('conduit'),
  step('pairsThrough', { when: { traits: ['ribbon'] } }),
  step('pairSleeves', { when: { traits: ['ribbon'] } }),
  step('moduleEntry'),
  step('trunkLoop'),
  step('pigtailLoop'),
  step('workingLength'),
  step('holderOrder', { when: { traits: ['ribbon'] } }),
];

const DROP_END: PrepStepData[] = [
  ...KNOWN,
  TRACER,
  step('edges', { caution: 'blade' }),
  step('split', { key: 'sheath', caution: 'blade' }),
  step('strength'),
  step('coreStrip', { caution: 'shards' }),
  step('aramidTrim'),
  step('warmTools'),
  step('dropConnector', { caution: 'shards' }),
];

/**
 * Opening in the order of each form of hardware; common practice, no source. In all of them the cable is held before
 * a tube or a ribbon of it is opened.
 */
export const GENERIC_OPENING: Readonly<Record<HardwareForm, readonly PrepStepData[]>> = {
  dome: DOME,
  'in-line': IN_LINE,
  drop: GEL_DROP,
  gland: GLAND,
  wedge: WEDGE,
  rack: RACK,
  'drop-end': DROP_END,
};

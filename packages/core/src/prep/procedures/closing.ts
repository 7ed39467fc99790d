import type { HardwareForm } from '../../record/hardware.ts';
import type { ClosingStepData } from '../../record/procedure.ts';
import { ask, point } from './build.ts';

const TRAYS = [
  point('trays', 'trayLaid'),
  point('trays', 'traysStacked', { key: 'trays:stack' }),
  point('trays', 'tubesRouted', { key: 'tubes' }),
];

const CABLES = [
  point('cables', 'cableHeld', { key: 'cable' }),
  point('cables', 'shieldBonded', {
    key: 'bond',
    when: { traits: ['armoured'] },
    caution: 'qualified',
  }),
  point('cables', 'tracerOut', { key: 'tracer', when: { traits: ['tracer'] } }),
];

const PORTS = [point('ports', 'portSealed', { key: 'port' })];
const FACES = [point('faces', 'facesClean', { key: 'faces' })];
/** Bolts in the sheet's order, and then all of them once more. */
const BOLTS = [
  point('bolts', 'bolts', { key: 'bolt' }),
  point('bolts', 'boltsAgain', {
    key: 'bolts:again',
    caution: 'handTools',
    asks: [ask('torqueUsed')],
  }),
];

const VALVE_CAP = point('after', 'valveCap');
const AT_HOME = [
  point('after', 'mounted', { caution: 'height', photo: true }),
  point('after', 'slackStored'),
  point('after', 'labelled', { photo: true }),
];

/** The points of a list that is gone through before and after the cover, in the order of each form; common practice. */
export const GENERIC_CLOSING: Readonly<Record<HardwareForm, readonly ClosingStepData[]>> = {
  dome: [
    ...TRAYS,
    ...CABLES,
    ...PORTS,
    ...FACES,
    point('faces', 'gasketGreased', { key: 'gasket' }),
    // Caps of the end plate are gone round again before the dome goes on.
    ...BOLTS,
    point('cover', 'domeIn'),
    point('cover', 'lipCaptured'),
    point('cover', 'latchClosed'),
    point('cover', 'collarTight'),
    point('after', 'collarLocked'),
    VALVE_CAP,
    ...AT_HOME,
  ],
  'in-line': [
    ...TRAYS,
    ...CABLES,
    ...PORTS,
    point('ports', 'sealPin'),
    ...FACES,
    point('faces', 'sealant'),
    point('cover', 'lidOn'),
    ...BOLTS,
    VALVE_CAP,
    ...AT_HOME,
  ],
  drop: [
    ...TRAYS,
    ...CABLES,
    ...PORTS,
    point('faces', 'filmOff', { timerS: 60 }),
    point('faces', 'gelClean', { key: 'faces' }),
    point('cover', 'slotsHome'),
    point('cover', 'tabsLocked'),
    ...AT_HOME,
  ],
  gland: [
    ...TRAYS,
    ...CABLES,
    ...PORTS,
    ...FACES,
    point('faces', 'gasketSeated', { key: 'gasket' }),
    point('cover', 'lidOn'),
    ...BOLTS,
    ...AT_HOME,
  ],
  wedge: [
    ...TRAYS,
    ...CABLES,
    ...PORTS,
    point('ports', 'wedgeLatched'),
    point('faces', 'strapsOn'),
    point('faces', 'ringClean', { key: 'faces' }),
    point('cover', 'domeTurned'),
    point('cover', 'ringOn'),
    point('cover', 'latchClosed'),
    point('cover', 'pinIn'),
    VALVE_CAP,
    ...AT_HOME,
  ],
  rack: [
    point('trays', 'trayLaid'),
    point('trays', 'holdersIn'),
    point('trays', 'slackLaid'),
    point('trays', 'tubesRouted', { key: 'tubes' }),
    ...CABLES,
    point('cables', 'tiesOn'),
    point('cables', 'housingOn'),
    point('cover', 'lidOn'),
    point('after', 'labelled', { photo: true }),
  ],
  'drop-end': [
    point('trays', 'trayLaid'),
    ...CABLES,
    point('cover', 'lidOn'),
    point('after', 'mounted', { caution: 'height', photo: true }),
    point('after', 'slackStored'),
    point('after', 'labelled', { photo: true }),
  ],
};

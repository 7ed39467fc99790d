import {
  type Cable,
  type CableRun,
  type Closure,
  type EndWay,
  type Glass,
  type Leg,
  type MakeUp,
  type Method,
  type Splice,
  type Tray,
  AT_PORT,
  USUAL_RUN,
  liesOnTray,
} from '@cordel/core';

import { positionAt } from './route.ts';

const KILOMETER = 10_000_000;

/** The cables of the valley, in the order in which they leave the exchange. */
const CABLES: Record<string, MakeUp> = {
  A: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  B: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  C: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  D: { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
  E: { kind: 'drop', fibers: 12 },
  F: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  G: { kind: 'drop', fibers: 4 },
  H: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  J: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  K: { kind: 'drop', fibers: 12 },
  Q: { kind: 'ribbon', ribbons: 24 },
  R: { kind: 'ribbon', ribbons: 24 },
  S: { kind: 'drop', fibers: 12 },
  T: { kind: 'ribbon', ribbons: 24 },
  U: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  V: { kind: 'drop', fibers: 12 },
  W: { kind: 'drop', fibers: 12 },
  L: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  M: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  N: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  P: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
};

/** What stands in closures besides the cables, by the closure. */
const DEVICES: Record<string, Record<string, MakeUp>> = {
  Clinic: {
    SP1: { kind: 'splitter', outputs: 8 },
    T1: { kind: 'ports', place: 'terminal', ports: 12, connector: 'SC', polish: 'APC' },
  },
};

/** Reels whose fields differ from the type's, hundredths of a um; drops are of bend-insensitive fiber. */
const FIELDS: Record<string, number> = { C: 955, D: 900, M: 950 };

/** Outer ends that somebody has said, with their distance, km. */
const ENDS: Record<string, { name: string; km: number }> = {
  A: { name: 'Exchange', km: 0 },
  L: { name: 'Upper hut', km: 41 },
  P: { name: 'Mill loft', km: 54.6 },
};

const runOf = (name: string): CableRun => {
  const end = ENDS[name];
  return {
    ...USUAL_RUN,
    end: end
      ? { name: end.name, distance: Math.round(end.km * KILOMETER), mark: null, coil: 0 }
      : null,
  };
};

const glassOf = (name: string): Glass => ({
  type: CABLES[name]!.kind === 'drop' ? 'G.657.A1' : 'G.652.D',
  mfd: FIELDS[name] ?? 915,
  coating: 250,
});

/** Pigtails of devices. */
const PIGTAILS: Glass = { type: 'G.657.A1', mfd: null, coating: 900 };

interface Range {
  from: string;
  first: number;
  onto: string;
  start: number;
  count: number;
  method: Method;
  /** The leg of an express cable that is spliced. */
  leg?: Leg;
  /** How fibers end at ports. */
  end?: EndWay;
}

interface Site {
  name: string;
  km: number;
  branchOf?: string;
  ranges: Range[];
}

const range = (
  from: string,
  first: number,
  onto: string,
  start: number,
  count: number,
  method: Method = 'single',
): Range => ({
  from,
  first,
  onto,
  start,
  count,
  method,
});

/** Closures along the valley and what meets in them. */
const SITES: Site[] = [
  { name: 'Toll cottage', km: 3.1, ranges: [range('A', 1, 'B', 1, 144)] },
  { name: 'Sluice bridge', km: 7.4, ranges: [range('B', 1, 'C', 1, 144)] },
  {
    name: 'Dairy lane',
    km: 11.8,
    ranges: [range('C', 1, 'D', 1, 132), range('C', 133, 'E', 1, 12)],
  },
  { name: 'Dairy vat house', km: 12.3, branchOf: 'Dairy lane', ranges: [range('E', 1, 'G', 1, 4)] },
  {
    name: 'School rise',
    km: 16.9,
    ranges: [range('D', 1, 'F', 1, 24), range('D', 25, 'H', 25, 108)],
  },
  {
    name: 'School',
    km: 17.3,
    branchOf: 'School rise',
    ranges: [{ ...range('F', 1, 'S', 1, 12), leg: 'in' }],
  },
  {
    name: 'Clinic corner',
    km: 19.2,
    branchOf: 'School rise',
    ranges: [range('F', 13, 'K', 1, 12)],
  },
  {
    name: 'Weir gauge',
    km: 22.6,
    ranges: [range('H', 25, 'W', 1, 12), range('H', 37, 'J', 37, 96)],
  },
  { name: 'Pump house', km: 26.0, ranges: [range('Q', 1, 'R', 1, 288, 'mass')] },
  { name: 'Quarry gate', km: 30.5, ranges: [range('R', 1, 'T', 1, 288, 'mass')] },
  { name: 'Chapel steps', km: 35.2, ranges: [range('T', 1, 'U', 1, 144)] },
  { name: 'Top barn', km: 40.3, ranges: [range('U', 1, 'V', 1, 12)] },
  { name: 'Ferry steps', km: 43.2, ranges: [range('L', 1, 'M', 1, 24)] },
  { name: 'Kiln yard', km: 47.9, ranges: [range('M', 1, 'N', 1, 24)] },
  { name: 'Osier bank', km: 51.3, ranges: [range('N', 1, 'P', 1, 24)] },
  {
    name: 'Clinic',
    km: 19.4,
    branchOf: 'School rise',
    ranges: [
      range('K', 5, 'SP1', 9, 1),
      { ...range('K', 1, 'T1', 1, 4), end: 'mechanical' },
      { ...range('SP1', 1, 'T1', 5, 8), end: 'splice-on' },
    ],
  },
];

/** Sleeves a tray of the demo holds. */
export const TRAY = { single: 12, mass: 6 };

export interface Network {
  cables: Cable[];
  closures: Closure[];
  splices: Splice[];
}

/** Lays the network out as records: tray after tray, tube by tube. */
export function layOut(projectId: string, id: () => string): Network {
  const cables = Object.entries(CABLES).map(([name, makeUp]) => ({
    id: id(),
    projectId,
    name,
    makeUp,
    closureId: null as string | null,
    schemeId: 'tia-598',
    glass: glassOf(name),
    run: runOf(name),
  }));
  const cableId = (name: string) => cables.find((cable) => cable.name === name)!.id;
  const closures: Closure[] = [];
  const splices: Splice[] = [];
  SITES.forEach((site, ordinal) => {
    const closureId = id();
    for (const [name, makeUp] of Object.entries(DEVICES[site.name] ?? {}))
      cables.push({
        ...{ id: id(), projectId, name, makeUp, closureId },
        ...{ schemeId: 'tia-598', glass: PIGTAILS, run: USUAL_RUN },
      });
    let sleeves = 0;
    let trays = 0;
    let ends = 0;
    for (const { from, first, onto, start, count, method, leg, end = null } of site.ranges) {
      const perSleeve = method === 'mass' ? 12 : 1;
      for (let index = 0; index < count; index++) {
        const sleeve = sleeves + Math.floor(index / perSleeve);
        const onTray = liesOnTray(end);
        const tray = onTray ? Math.floor(sleeve / TRAY[method]) + 1 : AT_PORT;
        trays = Math.max(trays, tray);
        splices.push({
          id: id(),
          projectId,
          closureId,
          tray,
          slot: onTray ? (sleeve % TRAY[method]) + 1 : ++ends,
          cableA: cableId(from),
          fiberA: first + index,
          cableB: cableId(onto),
          fiberB: start + index,
          legA: leg ?? null,
          legB: null,
          method,
          end,
          extra: {},
        });
      }
      if (liesOnTray(end)) sleeves += Math.ceil(count / perSleeve);
    }
    closures.push({
      id: closureId,
      projectId,
      name: site.name,
      ordinal,
      distance: Math.round(site.km * KILOMETER),
      branchOf: closures.find((closure) => closure.name === site.branchOf)?.id ?? null,
      position: positionAt(site.km, site.branchOf ? 1 : 0),
      trays: Array.from({ length: trays }, (_, index): Tray => ({ number: index + 1, ...TRAY })),
    });
  });
  return { cables, closures, splices };
}

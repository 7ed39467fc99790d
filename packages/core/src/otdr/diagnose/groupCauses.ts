import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { scaledMad } from '../detect/scaledMad.ts';
import {
  type Finding,
  type SpliceFigures,
  bendOf,
  dB,
  isBad,
  longest,
  withError,
} from './finding.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

const TRAY = 0.03;
const EDGE = 0.035;

/** Closures where fibers read high one way and are good: told, so that nobody breaks a good splice. */
export function unlikeCables(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  for (const closure of groupBy(all, ({ place }) => place.closureId).values()) {
    const high = closure.flatMap((own) => {
      const { oneWay } = own.place.limitDb;
      const figure = own.figures.find(
        ({ forward, backward, mean }) =>
          mean !== null &&
          oneWay !== null &&
          Math.max(forward!.lossDb, backward!.lossDb) > oneWay &&
          mean.lossDb <= (own.place.limitDb.mean ?? Infinity),
      );
      return figure && !isBad(own) ? [{ own, figure }] : [];
    });
    const first = high[0];
    if (!first) continue;
    const { place } = first.own;
    const { forward, backward, mean, wavelengthNm } = first.figure;
    findings.push({
      cause: 'mode field',
      weight: 'look',
      circuits: high.map(({ own }) => own.circuit),
      spliceIds: high.map(({ own }) => own.place.id),
      closureId: place.closureId,
      message: {
        code: 'goodOneWay',
        label: place.label,
        wavelengthNm,
        ab: dB(forward!.lossDb),
        ba: dB(backward!.lossDb),
        mean: withError(mean!),
        high: high.length,
        fibers: closure.length,
        closure: place.closure,
      },
      where: [{ code: 'closure', closure: place.closure }],
      place: null,
    });
  }
  return findings;
}

/** Trays whose fibers are high together. */
export function traysOf(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  for (const closure of groupBy(longest(all), ({ own }) => own.place.closureId).values()) {
    const trays = groupBy(closure, ({ own }) => String(own.place.tray));
    for (const [tray, own] of trays) {
      const others = closure.filter((entry) => String(entry.own.place.tray) !== tray);
      if (own.length < 4 || others.length < 4) continue;
      const [losses, rest] = [own.map(({ loss }) => loss), others.map(({ loss }) => loss)];
      const [high, usual] = [median(losses), median(rest)];
      const error = Math.hypot(
        (1.25 * scaledMad(losses)) / Math.sqrt(own.length),
        (1.25 * scaledMad(rest)) / Math.sqrt(others.length),
      );
      const above = losses.filter((loss) => loss > usual + 2 * scaledMad(rest)).length;
      if (high - usual < Math.max(TRAY, 4 * error) || above * 3 < own.length * 2) continue;
      const { place } = own[0]!.own;
      const bent = own.filter(({ own: splice }) => bendOf(splice) !== null).length;
      findings.push({
        cause: 'tray',
        weight: 'bad',
        circuits: own.map((entry) => entry.own.circuit),
        spliceIds: own.map((entry) => entry.own.place.id),
        closureId: place.closureId,
        message: {
          code: 'trayHigh',
          tray,
          closure: place.closure,
          high: above,
          fibers: own.length,
          median: dB(high),
          usual: dB(usual),
          bent: bent > own.length / 2 ? 'yes' : 'no',
        },
        where: [{ code: 'tray', closure: place.closure, tray }],
        place: null,
      });
    }
  }
  return findings;
}

/** Ribbons whose first and last fibers are high. */
export function edgesOf(all: readonly SpliceFigures[]): Finding[] {
  const findings: Finding[] = [];
  const mass = longest(all).filter(({ own }) => own.place.position !== null);
  for (const closure of groupBy(mass, ({ own }) => own.place.closureId).values()) {
    for (const ribbon of groupBy(
      closure,
      ({ own: { place } }) => `${place.tray} ${place.slot}`,
    ).values()) {
      const edge = ribbon.filter(({ own }) => [1, 2, 11, 12].includes(own.place.position!));
      const outer = ribbon.filter(({ own }) => [1, 12].includes(own.place.position!));
      const inner = ribbon.filter(({ own }) => own.place.position! > 2 && own.place.position! < 11);
      if (outer.length < 2 || inner.length < 4) continue;
      const losses = inner.map(({ loss }) => loss);
      const usual = median(losses);
      const spread = Math.max(0.01, scaledMad(losses));
      const high = outer.every(({ loss }) => loss > usual + Math.max(EDGE, 4 * spread));
      if (!high) continue;
      const { place } = ribbon[0]!.own;
      const worse = edge.filter(({ loss }) => loss > usual + Math.max(EDGE, 3 * spread));
      findings.push({
        cause: 'ribbon edge',
        weight: worse.some(({ own }) => isBad(own)) ? 'bad' : 'look',
        circuits: worse.map(({ own }) => own.circuit),
        spliceIds: worse.map(({ own }) => own.place.id),
        closureId: place.closureId,
        message: {
          code: 'ribbonEdges',
          closure: place.closure,
          positions: worse.map(({ own }) => String(own.place.position)),
          lossesDb: worse.map(({ loss }) => loss.toFixed(3)),
          usual: dB(usual),
        },
        where: [{ code: 'slot', closure: place.closure, tray: place.tray, slot: place.slot }],
        place: null,
      });
    }
  }
  return findings;
}

import {
  BUILT_IN_LIMITS,
  type Cable,
  type Evidence,
  type ReceivedRecord,
  USUAL_GLASS,
  USUAL_RUN,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  unitsOfDistance,
} from '@cordel/core';
import { benchSplices } from '@cordel/core/session';
import { newProjectSnapshot } from '@cordel/client';
import { viewOf } from '@/projects/context';
import { adviceFor } from './advice';
import type { Station } from './useStation';

const cable = (id: string, mfd: number | null): Cable => ({
  id,
  projectId: 'p',
  name: id,
  makeUp: { kind: 'drop', fibers: 12 },
  closureId: null,
  schemeId: 'tia-598',
  glass: { ...USUAL_GLASS, mfd },
  run: USUAL_RUN,
});
const view = (mfdB: number) =>
  viewOf({
    ...newProjectSnapshot({
      id: 'p',
      name: 'Mill line',
      practiceOnly: false,
      units: unitsOfDistance('km'),
      schemeId: 'tia-598',
      limits: BUILT_IN_LIMITS[0]!,
      trayCapacity: { single: 12, mass: 6 },
      practice: USUAL_PRACTICE,
      budget: USUAL_BUDGET,
      route: [],
      createdAt: '2026-05-04T20:15:00.000Z',
    }),
    cables: [cable('A', 920), cable('B', mfdB)],
  });
const attempt = (splice: string, tries: number, estimateMdb: number): Evidence => ({
  type: 'attempt',
  id: `${splice}-${tries}`,
  spliceId: splice,
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
  tryId: `${splice}-${tries}`,
  estimateMdb,
  recordId: null,
  recordPosition: null,
  origin: 'typed',
  supersedes: null,
  void: false,
  why: null,
});
const splicesWith = (evidence: Evidence[]) =>
  benchSplices(
    {
      splices: ['s1', 's2'].map((id, at) => ({
        id,
        projectId: 'p',
        closureId: 'k',
        tray: 1,
        slot: at + 1,
        cableA: 'A',
        fiberA: at + 1,
        cableB: 'B',
        fiberB: at + 1,
        legA: null,
        legB: null,
        end: null,
        method: 'single' as const,
        extra: {},
      })),
      evidence,
    },
    BUILT_IN_LIMITS[0]!,
  );
const record: ReceivedRecord = {
  id: 'r1',
  projectId: 'p',
  splicerId: 'single-splicer',
  number: 7,
  at: '2026-05-04T20:15:00.000Z',
  receivedAt: '2026-05-04T20:15:00.000Z',
  seq: 1,
  label: null,
  program: 'SM',
  heater: null,
  fibers: [
    {
      position: 1,
      cleaveLeft: 2.6,
      cleaveRight: 0.3,
      offset: 0.2,
      gap: 12,
      image: null,
      estimateMdb: 40,
      error: null,
    },
  ],
  fused: true,
  tension: 'passed',
  arcs: 7,
  glass: 125,
  temperature: null,
  pressure: null,
  humidity: null,
  origin: 'instrument',
};
const station = (records: ReceivedRecord[]): Station => ({
  loaded: true,
  live: true,
  instruments: [],
  splicers: [],
  log: [],
  records,
  taken: new Set(),
  aside: new Set(),
});
const advise = (
  estimate: number,
  {
    mfdB = 920,
    evidence = [] as Evidence[],
    recordId = null as string | null,
    left = null as number | null,
  } = {},
) => {
  const all = splicesWith(evidence);
  return adviceFor({
    fibers: [{ splice: all[0]!, estimate }],
    sleeve: [all[0]!],
    recordId,
    splicerId: 'single-splicer',
    all,
    station: station([record]),
    view: view(mfdB),
    secondsLeft: left,
  })!;
};

describe('advice at the Bench', () => {
  it('knows what the reels’ mode fields cost', () => {
    // 9.2 onto 12 um: 0.30 dB by Marcuse, over the 0.10 that is allowed.
    expect(advise(40).floor).toBe(0);
    expect(advise(40, { mfdB: 1200 }).floor).toBeGreaterThan(250);
    expect(advise(120, { mfdB: 1200 }).reason.code).toBe('modeFields');
  });

  it('sees the cleave of the record in hand, and not of one that is not', () => {
    const slanted = advise(40, { recordId: 'r1' });
    expect(slanted.passNow).toBeLessThan(advise(40).passNow);
    expect(slanted.figures).toContainEqual(
      expect.objectContaining({ code: 'cleave', degrees: '2.6' }),
    );
  });

  it('counts the tries of this joint, and the slack they ate', () => {
    const tried = advise(200, { evidence: [attempt('s1', 1, 150), attempt('s2', 1, 20)] });
    expect(tried).toMatchObject({ tries: 2, code: 'last-attempt' });
    expect(tried.redosLeft).toBe(USUAL_PRACTICE.redos - 1);
  });

  it('minds the end of the window', () =>
    expect(advise(200, { left: 30 })).toMatchObject({
      code: 'lead',
      reason: { code: 'windowCloses' },
    }));
});

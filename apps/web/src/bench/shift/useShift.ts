import { benchSplices } from '@cordel/core/session';
import { proxy, wrap } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  type Pace,
  type ShiftOutcome,
  type ShiftSetting,
  USUAL_SHIFT,
  learnPace,
  shiftSettingSchema,
  shiftUnits,
} from '@cordel/core/shift';
import { useWork } from '@/data/queries';
import { usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import type { ShiftAnswer, ShiftPlanner } from './shift.worker';

/** A shift as it is typed. */
export interface ShiftDraft {
  setting: ShiftSetting;
  /** Whether times of hands follow the pace of this shift. */
  learn: boolean;
}

const USUAL: ShiftDraft = { setting: USUAL_SHIFT, learn: true };

function readDraft(text: string): ShiftDraft {
  try {
    const draft = JSON.parse(text) as ShiftDraft;
    return shiftSettingSchema.safeParse(draft.setting).success ? { ...USUAL, ...draft } : USUAL;
  } catch {
    return USUAL;
  }
}

/** Attempts further back than this belong to another shift, ms. */
const SHIFT = 14 * 3_600_000;

/** Times of hands, slower or faster by the pace; machines keep theirs. */
function atPace(setting: ShiftSetting, { factor }: Pace): ShiftSetting {
  const { arc, heat, adhesive, ...hands } = setting.times;
  const scaled = Object.fromEntries(
    Object.entries(hands).map(([key, seconds]) => [key, seconds * factor]),
  ) as typeof hands;
  return { ...setting, times: { ...scaled, arc, heat, adhesive } };
}

/** The shift at one closure: what is left, the setting, the pace so far, and the plan made in a worker. */
export function useShift(closureId: string) {
  const view = useProjectView();
  const work = useWork(closureId);
  const [text, setText] = usePersisted(`cordel.shift.${closureId}`, '');
  const draft = useMemo(() => readDraft(text), [text]);
  const change = (part: Partial<ShiftDraft>) => setText(JSON.stringify({ ...draft, ...part }));
  const splices = useMemo(
    () => (work.data ? benchSplices(work.data, view.project.limits) : []),
    [work.data, view.project.limits],
  );
  const open = splices.filter(({ judgement }) => judgement.verdict === 'open');
  const units = useMemo(() => shiftUnits(open, view.cable), [open, view]);
  const pace = useMemo(() => paceOf(splices, draft.setting), [splices, draft.setting]);
  const policy = view.project.practice.arc;
  const setting = useMemo(
    (): ShiftSetting => ({
      ...(draft.learn && pace.seen > 0 ? atPace(draft.setting, pace) : draft.setting),
      checkEvery: policy.arcs125,
      checkFirst: policy.when !== 'triggers',
    }),
    [draft, pace, policy],
  );
  const plan = usePlanner();
  const { planned, start } = plan;
  // A plan in sight follows the work: what is kept at the Bench changes what is left and the pace.
  const left = `${open.length} ${pace.seen}`;
  const plannedFor = useRef(left);
  useEffect(() => {
    if (plannedFor.current === left || planned.state === 'running') return;
    plannedFor.current = left;
    if (planned.state === 'done') void start(setting, units);
  }, [left, planned.state, start, setting, units]);
  return { work, draft, change, open, units, pace, setting, ...plan };
}

/** The pace of the shift that is under way, by when its sleeves were kept. */
function paceOf(splices: ReturnType<typeof benchSplices>, setting: ShiftSetting): Pace {
  const since = Date.now() - SHIFT;
  const bySleeve = new Map<string, number>();
  for (const { tray, slot, spliceState } of splices)
    for (const attempt of spliceState.tries) {
      const at = Date.parse(attempt.at);
      if (at >= since) bySleeve.set(`${tray}.${slot}`, at);
    }
  const { times, people } = setting;
  const mass = splices.some(({ method }) => method === 'mass');
  const hands =
    (mass ? times.prepRibbon : times.prepSingle) +
    times.load +
    times.test +
    times.move +
    times.seat;
  return learnPace(
    [...bySleeve.values()].sort((a, b) => a - b),
    hands / people,
  );
}

type PlanState =
  | { state: 'none' }
  /** `began`: ms since 1970 at which the planned work begins. */
  | { state: 'running'; began: number; share: number; outcome: ShiftOutcome | null }
  | { state: 'done'; began: number; answer: ShiftAnswer };

function usePlanner() {
  const [worker] = useState(() => new Worker(new URL('./shift.worker', import.meta.url)));
  const planner = useMemo(() => wrap<ShiftPlanner>(worker), [worker]);
  const [planned, setPlanned] = useState<PlanState>({ state: 'none' });
  const run = useRef(0);
  useEffect(() => () => worker.terminate(), [worker]);
  const start = async (setting: ShiftSetting, units: ReturnType<typeof shiftUnits>) => {
    const own = ++run.current;
    const began = Date.now();
    setPlanned({ state: 'running', began, share: 0, outcome: null });
    const answer = await planner.plan(
      setting,
      units,
      proxy((share: number, outcome: ShiftOutcome) => {
        if (own === run.current) setPlanned({ state: 'running', began, share, outcome });
      }),
    );
    if (own === run.current)
      setPlanned(answer ? { state: 'done', began, answer } : { state: 'none' });
  };
  const stop = () => {
    run.current++;
    void planner.stop();
    setPlanned({ state: 'none' });
  };
  return { planned, start, stop };
}

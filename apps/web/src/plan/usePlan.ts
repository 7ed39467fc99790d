import { useCallback, useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import {
  type NoRoom,
  type Pin,
  type Plan,
  type PlanTask,
  type Present,
  withTraysFor,
} from '@cordel/core';
import { commands, isConflict } from '@cordel/client';
import { outbox, queryClient } from '@/data/client';
import { useWork } from '@/data/queries';
import type { ClosureWork } from '@cordel/client';
import { planShared as t } from '@cordel/text/pages/plan/shared';
import { errorText } from '@cordel/text/record';
import { personNow } from '@/data/session';
import { usePersisted } from '@/data/storage';
import { type ProjectView, useProjectView } from '@/projects/context';
import { useEvaluatedPlan } from './useEvaluatedPlan';
import { useStoredPlan } from './useStoredPlan';

/** A plan as it is being written: kept on the device with every key. */
export interface PlanDraft {
  text: string;
  pins: Pin[];
  spare: number;
  /** Whether trays of splices that are not made yet are laid out anew. */
  anew: boolean;
  /** Why splices that are made are removed; null while none may be. */
  retire: string | null;
  /** The plan as it was read; none in drafts that were kept before it was asked for. */
  base?: Pick<Plan, 'text' | 'pins' | 'spare'> | undefined;
}

/** What became of a plan that was sent. */
export type Sent =
  | { state: 'none' }
  | { state: 'sending' }
  | { state: 'done'; added: number; moved: number; dropped: number; retired: number }
  | { state: 'refused'; message: string };

/** The plan of a closure: what is written, what it would change, and the way to apply it. */
export function usePlan(closureId: string) {
  const view = useProjectView();
  const work = useWork(closureId);
  const stored = useStoredPlan(closureId);
  const [kept, keepDraft] = usePersisted(`cordel.plan.${closureId}`, '');
  const [sent, setSent] = useState<Sent>({ state: 'none' });
  const written = useMemo(() => readDraft(kept), [kept]);
  const draft = useMemo(
    (): PlanDraft | null => written ?? (stored.data ? draftOf(stored.data) : null),
    [written, stored.data],
  );
  const change = useCallback(
    (part: Partial<PlanDraft>) => {
      if (!draft) return;
      setSent({ state: 'none' });
      keepDraft(JSON.stringify({ ...draft, ...part }));
    },
    [draft, keepDraft],
  );
  const task = useMemo(
    () => (draft && work.data ? taskOf(draft, work.data, view) : null),
    [draft, work.data, view],
  );
  const evaluated = useEvaluatedPlan(task);
  const [trayError, setTrayError] = useState('');
  const addTrays = async (missing: NoRoom) => {
    const closure = work.data?.closure;
    if (!closure) return;
    const { trays, ...rest } = closure;
    const outcome = await outbox.add(
      commands.saveClosure,
      {
        ...rest,
        trays: withTraysFor(missing, trays, view.project.trayCapacity),
        base: closure,
      },
      t('traysOfName', { name: closure.name }),
    );
    setTrayError('refused' in outcome ? errorText(outcome.refused) : '');
  };
  const carryOut = async () => {
    if (!draft) return;
    setSent({ state: 'sending' });
    const { text, pins, spare, anew, retire, base } = draft;
    const outcome = await outbox.add(
      commands.savePlan,
      {
        closureId,
        text,
        pins,
        spare,
        anew,
        base,
        changeId: uuid(),
        retire:
          retire === null || !evaluated || evaluated.change.retired.length === 0
            ? null
            : { by: personNow(), at: new Date().toISOString(), why: retire.trim() },
      },
      t('planOfName', { name: work.data?.closure.name ?? 'a closure' }),
    );
    if ('refused' in outcome) {
      setSent({ state: 'refused', message: errorText(outcome.refused) });
      if (!isConflict(outcome.refused)) return;
      // What was written stands here; who has seen what others wrote applies over it.
      void outbox.discard(outcome.writeId);
      const now = (await stored.refetch()).data;
      if (now) keepDraft(JSON.stringify({ ...draft, base: baseOf(now) }));
      return;
    }
    // The plan that is stored now is known: nothing older may show through in between.
    queryClient.setQueryData<Plan>(['plan', closureId], outcome.answer.plan);
    keepDraft('');
    setSent({ state: 'done', ...outcome.answer });
  };
  return {
    closure: work.data?.closure ?? null,
    draft,
    edited: written !== null,
    change,
    discard: () => keepDraft(''),
    evaluated,
    carryOut,
    addTrays,
    trayError,
    sent,
    error: stored.error ?? work.error,
    cables: useMemo(() => view.planCables(closureId), [view, closureId]),
  };
}

export type PlanHook = ReturnType<typeof usePlan>;

const baseOf = ({ text, pins, spare }: Plan) => ({ text, pins, spare });

const draftOf = (plan: Plan): PlanDraft => ({
  ...plan,
  anew: false,
  retire: null,
  base: baseOf(plan),
});

/** Drafts from before splices could be removed say nothing of it. */
const NOTHING_CUT: Pick<PlanDraft, 'retire'> = { retire: null };

function readDraft(text: string): PlanDraft | null {
  try {
    return text === '' ? null : { ...NOTHING_CUT, ...(JSON.parse(text) as PlanDraft) };
  } catch {
    return null;
  }
}

function taskOf(draft: PlanDraft, work: ClosureWork, view: ProjectView): PlanTask<Present> {
  const worked = new Set(work.evidence.map((entry) => entry.spliceId));
  const nameOf = (id: string) => view.cable(id)?.name ?? id;
  return {
    ...draft,
    retire: draft.retire !== null,
    cables: view.planCables(work.closure.id),
    trays: work.closure.trays,
    there: work.splices.map((splice) => ({
      ...splice,
      cableA: nameOf(splice.cableA),
      cableB: nameOf(splice.cableB),
      worked: worked.has(splice.id),
    })),
  };
}

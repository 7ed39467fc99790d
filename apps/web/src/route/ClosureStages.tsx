import type { ClosureRow } from '@cordel/core';
import { useOpening } from '@/prep/useOpening';
import { Stages } from '@/ui/Stages';
import { stagesOf } from '@/ui/stagesOf';

/** Where the work on a closure stands, as marks. */
export function ClosureStages({ row, words }: { row: ClosureRow; words?: boolean }) {
  const opening = useOpening(row.closureId);
  return <Stages stages={stagesOf(row, opening)} words={words} />;
}

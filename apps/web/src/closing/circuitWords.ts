import type { CutOverCircuit } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';

/**
 * How long a circuit was to be down, and is or was.
 * @param clock shows ms since 1970
 */
export function circuitWords(
  { planned, downAt, upAt, minutes }: CutOverCircuit,
  clock: (ms: number) => string,
): string {
  const since = downAt && clock(Date.parse(downAt));
  if (since === null) return t('plannedMinPlanned', { planned });
  if (upAt === null || minutes === null) return t('downSinceMinPlanned', { since, planned });
  const over = minutes - planned;
  return t('downToMinPlanned', {
    since,
    clock: clock(Date.parse(upAt)),
    minutes,
    planned,
    over: over > 0 ? t('over', { over }) : '',
  });
}

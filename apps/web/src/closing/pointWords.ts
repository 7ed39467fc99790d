import type { Message } from '@cordel/core';
import type { LookedPoint, ReadWords } from '@cordel/core/close';
import { foundText, splicedSinceText } from '@cordel/text/close';
import { pointRow as t } from '@cordel/text/pages/closing/PointRow';

/**
 * How a point of the list stands, in words.
 * @param clock shows a moment, ms since 1970
 */
export function pointStateText(
  { point, state, entry, splicedSlot }: LookedPoint,
  clock: (ms: number) => string,
): string {
  if (splicedSlot !== null) return splicedSinceText(splicedSlot);
  if (point.found && state !== 'waived') return foundText(point.found.message);
  if (state === 'open') return t('notChecked');
  if (state === 'waived') return t('waivedByWhy', { by: entry?.by ?? '', why: entry?.why ?? '' });
  const who = { by: entry?.by ?? '', at: entry ? clock(Date.parse(entry.at)) : '' };
  if (state === 'good') return t('okByAt', who);
  const slots = entry?.slots.length ? t('slotSlots', { slots: entry.slots.join(', ') }) : '';
  return t('failedByAt', { slots, ...who });
}

/** A message as a person reads it, for what is recorded. */
export function readOf<M extends Message>(message: M, text: string): ReadWords {
  const { code, ...parameters } = message;
  return { code, parameters, text };
}

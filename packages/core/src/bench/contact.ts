import type { ReceivedRecord } from '../record/splicerRecord.ts';

/** A splicer is called live where a record of it came in within so many minutes. Set by us. */
export const LIVE_MINUTES = 10;

/** Whether a splicer was heard from: within the stated time, longer ago, or never. */
export type SplicerContact = { code: 'live' | 'quiet'; minutes: number } | { code: 'none' };

/** When a splicer's last record came over its line, ISO 8601; null where none did. A file says nothing of the line. */
export const lastHeardAt = (
  records: readonly ReceivedRecord[],
  splicerId: string | null,
): string | null =>
  records.findLast((record) => record.splicerId === splicerId && !record.isFromFile)?.receivedAt ??
  null;

/**
 * @param lastReceivedAt when its last record came in, ISO 8601; null where none did
 * @param now ms since 1970
 */
export function splicerContact(lastReceivedAt: string | null, now: number): SplicerContact {
  if (lastReceivedAt === null) return { code: 'none' };
  const minutes = Math.max(0, Math.floor((now - Date.parse(lastReceivedAt)) / 60_000));
  return { code: minutes < LIVE_MINUTES ? 'live' : 'quiet', minutes };
}

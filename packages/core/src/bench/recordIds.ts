import { digestOf } from '../record/canonical.ts';
import type { FileRecord } from './recordFile.ts';

/**
 * The id of a record that came in a file: the same file gives the same ids however often it is imported, so
 * that it is taken in once. A UUID of version 7 in form (RFC 9562); its bits are of what is in the record.
 * @param timed whether the file itself has the record's time; a time given to it on import does not count
 */
export function fileRecordId(
  projectId: string,
  splicerId: string,
  { at, ...record }: FileRecord,
  timed: boolean,
): string {
  const content = JSON.stringify([projectId, splicerId, timed ? at : null, record]);
  const hash = digestOf(content);
  const variant = ((parseInt(hash[15]!, 16) & 0x3) | 0x8).toString(16);
  return `${hash.slice(0, 8)}-${hash.slice(8, 12)}-7${hash.slice(12, 15)}-${variant}${hash.slice(16, 19)}-${hash.slice(19, 31)}`;
}

import { idSchema } from '../record/basics.ts';
import { fileRecordId } from './recordIds.ts';
import { splicerRecord } from './records.testing.ts';

const { id: _id, projectId, splicerId, ...record } = splicerRecord();
const idOf = (part: object = {}, timed = true) =>
  fileRecordId(projectId, splicerId, { ...record, ...part }, timed);

describe('the id of a record from a file', () => {
  it('is the same for the same record, and is an id', () => {
    expect(idSchema.safeParse(idOf()).success).toBe(true);
    expect(idOf()).toBe(idOf());
    expect(idOf({ number: 2 })).not.toBe(idOf());
  });

  it('does not hang on the moment of the import where the file has no times', () => {
    const later = { at: '2026-05-06T08:00:00.000Z' };
    expect(idOf(later, false)).toBe(idOf({}, false));
    expect(idOf(later)).not.toBe(idOf());
  });

  it('is another one for another splicer or project', () => {
    expect(fileRecordId(projectId, 'other', record, true)).not.toBe(idOf());
  });
});

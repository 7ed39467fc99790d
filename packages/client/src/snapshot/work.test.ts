import type { Evidence, Splice } from '@cordel/core';
import { type ClosureWork, withEvidence } from './work.ts';

const splice = (id: string) => ({ id }) as Splice;
const ruling = (id: string, spliceId: string, kind: string) =>
  ({ type: 'ruling', id, spliceId, kind, why: 'Cut-over.' }) as Evidence;
const work: ClosureWork = {
  closure: { id: 'mill' } as ClosureWork['closure'],
  splices: [splice('one'), splice('two')],
  retired: [splice('old')],
  evidence: [ruling('known', 'one', 'waive')],
};

describe('a closure’s work with what waits to be sent', () => {
  it('is the same where nothing of it waits', () => {
    expect(withEvidence(work, [])).toBe(work);
    expect(withEvidence(work, [ruling('known', 'one', 'waive')])).toBe(work);
    expect(withEvidence(work, [ruling('other', 'elsewhere', 'dead')])).toBe(work);
  });

  it('has entries of its splices, of those that were removed too', () => {
    const late = ruling('late', 'old', 'waive');
    const after = withEvidence(work, [ruling('fresh', 'two', 'dead'), late]);
    expect(after.evidence.map(({ id }) => id)).toEqual(['known', 'fresh', 'late']);
    expect(after.splices).toEqual(work.splices);
  });

  it('lets go of a splice as soon as it is removed here', () => {
    const after = withEvidence(work, [ruling('removed', 'one', 'retire')]);
    expect(after.splices.map(({ id }) => id)).toEqual(['two']);
    expect(after.retired.map(({ id }) => id)).toEqual(['old', 'one']);
    expect(after.evidence.map(({ id }) => id)).toEqual(['known', 'removed']);
  });
});

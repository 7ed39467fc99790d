import { budgetAt, bothWays, newReference, stamper } from '../links/links.testing.ts';
import { judgeLink } from '../links/judgeLink.ts';
import { NO_LINK_STATE, linkStates } from '../links/linkState.ts';
import { type FiberParts, fiberVerdict } from './fiberVerdict.ts';

const BUDGETS = [budgetAt(1310, 4100), budgetAt(1550, 2700)];
const NO_LINK = judgeLink(NO_LINK_STATE, [], 250);
const parts = (part: Partial<FiberParts> = {}): FiberParts => ({
  splices: [{ verdict: 'pass' }, { verdict: 'accepted' }],
  wavelengths: [1310, 1550],
  tracedNm: [1310, 1550],
  budgets: BUDGETS,
  badFindings: 0,
  link: NO_LINK,
  ...part,
});
/** The link of a meter, at 1550 nm. */
const linkOf = (lossesMdb: [number, number]) => {
  const stamp = stamper();
  const reference = newReference(stamp, 1550);
  const entries = [reference, ...bothWays(stamp, 1, reference, lossesMdb)];
  return judgeLink(linkStates(entries, () => 'x').get('x')!, BUDGETS, 250);
};

describe('a fiber from port to port', () => {
  it('is proven where every part is measured both ways, within its limits', () =>
    expect(fiberVerdict(parts())).toEqual({ verdict: 'proven', reasons: [] }));

  it.each<[string, Partial<FiberParts>, string, string[]]>([
    ['a splice that fails', { splices: [{ verdict: 'fail' }] }, 'fails', ['splices']],
    ['a dead fiber', { splices: [{ verdict: 'dead' }] }, 'fails', ['splices']],
    [
      'a splice measured one way',
      { splices: [{ verdict: 'provisional' }] },
      'not proven',
      ['splices'],
    ],
    ['a splice that nobody made', { splices: [{ verdict: 'open' }] }, 'not proven', ['splices']],
    ['a wavelength without traces', { tracedNm: [1550] }, 'not proven', ['notMeasured']],
    ['a length that nobody knows', { budgets: [] }, 'not proven', ['lengthUnknown']],
    ['a break in its traces', { badFindings: 1 }, 'fails', ['findings']],
    [
      'more than it may lose',
      { budgets: [budgetAt(1310, 4100), budgetAt(1550, 2700, { marginMdb: -10 })] },
      'fails',
      ['overBudget'],
    ],
    [
      'less left than it may be off',
      { budgets: [budgetAt(1310, 4100), budgetAt(1550, 2700, { marginMdb: 200 })] },
      'not proven',
      ['marginUnsure'],
    ],
    ['a link over its budget', { link: linkOf([5000, 5000]) }, 'fails', ['linkOver']],
    [
      'a link that loses what its parts do not',
      { link: linkOf([3700, 3700]) },
      'not proven',
      ['linkDiffers'],
    ],
  ])('%s', (_, part, verdict, codes) => {
    const judged = fiberVerdict(parts(part));
    expect([judged.verdict, judged.reasons.map(({ code }) => code)]).toEqual([verdict, codes]);
  });

  it('a meter proves a wavelength that was never traced', () =>
    expect(fiberVerdict(parts({ tracedNm: [1310], link: linkOf([2700, 2700]) })).verdict).toBe(
      'proven',
    ));
});

import { nextSleeve, sleevesOf } from './queue.ts';

const splice = (
  tray: number,
  slot: number,
  fiberA: number,
  method: 'single' | 'mass' = 'single',
) => ({ tray, slot, fiberA, method });

describe('the order of work', () => {
  const sleeves = sleevesOf([
    splice(2, 1, 13),
    splice(1, 2, 2),
    splice(1, 1, 1),
    ...Array.from({ length: 12 }, (_, index) => splice(3, 1, 36 - index, 'mass')),
  ]);

  it('goes tray by tray and slot by slot, a ribbon as one sleeve in fiber order', () => {
    expect(sleeves.map((sleeve) => sleeve.key)).toEqual(['1.1', '1.2', '2.1', '3.1']);
    expect(sleeves[3]?.splices.map((entry) => entry.fiberA)).toEqual(
      Array.from({ length: 12 }, (_, index) => 25 + index),
    );
  });

  it('goes on from the sleeve in hand and comes back to those passed over', () => {
    const waits = (done: string[]) => (sleeve: { key: string }) => !done.includes(sleeve.key);
    expect(nextSleeve(sleeves, null, waits([]))?.key).toBe('1.1');
    expect(nextSleeve(sleeves, '1.2', waits(['1.2']))?.key).toBe('2.1');
    expect(nextSleeve(sleeves, '3.1', waits(['1.2', '2.1', '3.1']))?.key).toBe('1.1');
    expect(nextSleeve(sleeves, '3.1', waits(['1.1', '1.2', '2.1', '3.1']))).toBeNull();
  });
});

import { hardwareConflicts } from './hardwareConflicts.ts';

const trays = (count: number, single: number, mass: number) =>
  Array.from({ length: count }, (_, index) => ({ number: index + 1, single, mass }));
const hardware = (single: number, mass: number, most = 4) => ({
  name: 'Ribbon rack',
  trays: { single, mass, most },
});
const on = (method: 'single' | 'mass', slots: number[], tray = 1) =>
  slots.map((slot) => ({ tray, slot, method }));

describe('hardware, trays and plan', () => {
  it('single sleeves on hardware that has no slot for them are told, by sleeves and not by fibers', () => {
    expect(
      hardwareConflicts(hardware(0, 6), trays(2, 24, 6), [
        ...on('single', [1, 2, 3]),
        ...on('mass', [1, 1, 1], 2),
      ]),
    ).toEqual([{ code: 'noSlots', hardware: 'Ribbon rack', sleeve: 'single', sleeves: 3 }]);
  });

  it('trays with more slots than the hardware’s, and more of them than it holds', () => {
    expect(hardwareConflicts(hardware(12, 6), trays(5, 24, 6), [])).toEqual([
      { code: 'tooManyTrays', hardware: 'Ribbon rack', trays: 5, maximum: 4 },
      {
        code: 'tooManySlots',
        hardware: 'Ribbon rack',
        sleeve: 'single',
        slots: 24,
        maximum: 12,
        trays: 5,
      },
    ]);
  });

  it('what lies at ports takes no slot; what fits is not told', () => {
    expect(hardwareConflicts(hardware(0, 6), trays(4, 0, 6), on('single', [1, 2], 0))).toEqual([]);
    expect(hardwareConflicts(hardware(24, 12), trays(4, 24, 12), on('single', [1]))).toEqual([]);
  });
});

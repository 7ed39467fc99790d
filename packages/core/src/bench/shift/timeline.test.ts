import { ShiftRuns } from './runs.ts';
import { type ShiftUnit, USUAL_SHIFT } from './shift.ts';
import { timelineOf } from './timeline.ts';

const SURE = { uniform: () => 0.999, normal: () => 0 };
const units: ShiftUnit[] = [
  { label: 'A tube 1', sleeves: 3, fibers: 1, way: 'single' },
  { label: 'A tube 2', sleeves: 2, fibers: 1, way: 'single' },
];
const picture = (people: number) => {
  const setting = { ...USUAL_SHIFT, people, breaks: [], spread: 0 };
  const { line, stretches, finish } = new ShiftRuns(setting, units, SURE).traced();
  return timelineOf(line, stretches, finish);
};

describe('the picture of a shift', () => {
  it('has a bar for each tube, and lanes of hands, splicer and heater', () => {
    const { units: bars, lanes, finish } = picture(1);
    expect(bars.map(({ label }) => label)).toEqual(['A tube 1', 'A tube 2']);
    expect(lanes.map((lane) => lane.of)).toEqual(['hands', 'splicer', 'heater']);
    expect(Math.max(...bars.map(({ to }) => to))).toBe(finish);
  });

  it('never has one pair of hands at two things, and two people have a lane each', () => {
    for (const people of [1, 2]) {
      const { lanes } = picture(people);
      expect(lanes.filter((lane) => lane.of === 'hands')).toHaveLength(people);
      for (const { segments } of lanes)
        segments
          .slice(1)
          .forEach(({ from }, index) =>
            expect(from).toBeGreaterThanOrEqual(segments[index]!.to - 1e-6),
          );
    }
  });

  it('shows every splice in splicer and heater', () => {
    const { lanes } = picture(1);
    const of = (name: 'splicer' | 'heater', what: string) =>
      lanes.find((lane) => lane.of === name)!.segments.filter((own) => own.what === what);
    expect(of('splicer', 'splice')).toHaveLength(5);
    expect(of('splicer', 'arcCheck')).toHaveLength(1);
    expect(of('heater', 'heat')).toHaveLength(5);
    // Held from loading until it is in the heater: at least load, arc, test and move.
    const { load, arc, test: look, move } = USUAL_SHIFT.times;
    for (const { from, to } of of('splicer', 'splice'))
      expect(to - from).toBeGreaterThanOrEqual(load + arc + look + move - 1e-6);
  });
});

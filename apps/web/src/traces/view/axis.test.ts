import { distanceTicks } from './axis';

const labels = (from: number, to: number, unit: 'km' | 'm' | 'mi' | 'ft') =>
  distanceTicks(from, to, 4, unit).map(({ label }) => label);

describe('the distance axis of a trace', () => {
  it('has round figures of the project’s unit', () => {
    expect(labels(0, 20_000, 'km')).toEqual(['0 km', '5 km', '10 km', '15 km', '20 km']);
    expect(labels(0, 20_000, 'mi')).toEqual(['0 mi', '5 mi', '10 mi']);
    expect(labels(0, 1000, 'ft')).toEqual(['0 ft', '1000 ft', '2000 ft', '3000 ft']);
  });

  it('goes over to the small unit close up', () => {
    expect(labels(5000, 5200, 'km')).toEqual(['5000 m', '5050 m', '5100 m', '5150 m', '5200 m']);
    expect(labels(1609.344, 1670.3, 'mi')).toEqual(['5300 ft', '5350 ft', '5400 ft', '5450 ft']);
  });

  // The foot is 0.3048 m, the mile 1609.344 m, by the international agreement of 1959.
  it('puts each mark where it says', () => {
    for (const { at, label } of distanceTicks(0, 50_000, 5, 'mi'))
      expect(at).toBeCloseTo(Number(label.split(' ')[0]) * 1609.344, 6);
    for (const { at, label } of distanceTicks(900, 1300, 5, 'ft'))
      expect(at).toBeCloseTo(Number(label.split(' ')[0]) * 0.3048, 6);
  });
});

import { shotNames } from './shotName';

test('shots of one name are told apart by their moment, by the clock of the project', () => {
  const shots = [
    { name: 'F001.SOR', measuredAt: '2026-05-04T20:15:00Z' },
    { name: 'F001.SOR', measuredAt: '2026-06-04T20:15:00Z' },
    { name: 'F002.SOR', measuredAt: '2026-05-04T20:15:00Z' },
    { name: 'F003.SOR', measuredAt: null },
    { name: 'F003.SOR', measuredAt: null },
  ];
  const nameOf = shotNames(shots, 'America/Denver');
  expect(shots.map(nameOf)).toEqual([
    'F001.SOR, 2026-05-04 14:15',
    'F001.SOR, 2026-06-04 14:15',
    'F002.SOR',
    'F003.SOR',
    'F003.SOR',
  ]);
});

import { formatTorque, parseTorque } from './torque.ts';

// 1 lbf in = 0.112 984 8 N m, 1 lbf ft = 1.355 818 N m: NIST SP 811, appendix B.9 (from memory).
test.each([
  ['2.8 N m', 2800],
  ['2,8 N·m', 2800],
  ['25 in-lb', 2825],
  ['25 lbf·in', 2825],
  ['2 ft-lb', 2712],
])('%s', (text, milliNm) => expect(parseTorque(text)).toEqual({ ok: true, value: milliNm }));

test.each([
  ['25', 'torqueUnitMissing'],
  ['', 'typeTorque'],
  ['hand tight', 'typeTorque'],
  ['25 psi', 'typeTorque'],
  ['0 N m', 'torqueOutside'],
  ['4000 N m', 'torqueOutside'],
])('%s is refused: %s', (text, code) =>
  expect(parseTorque(text)).toEqual({ ok: false, error: { code } }),
);

test('a torque is shown in the unit of the project and read back', () => {
  expect(formatTorque(2825, 'in')).toBe('25 in·lb');
  expect(formatTorque(2825, 'mm')).toBe('2.8 N·m');
  expect(parseTorque(formatTorque(2800, 'mm'))).toEqual({ ok: true, value: 2800 });
});

import { planNotes } from './planNotes.ts';

test('notes in quotes of any print and remarks are found, also in a plan that cannot be read', () => {
  const text = [
    'splice A 1-12 to B 1-12 on tray 1',
    '  spare A tube 2 "for the pump house"',
    'spare A tube 3 “Tower 4” # ask first',
    '# drop side',
    'splize "half',
  ].join('\n');
  expect(planNotes(text)).toEqual([
    { line: 1, text: 'spare A tube 2 "for the pump house"', note: 'for the pump house' },
    { line: 2, text: 'spare A tube 3 “Tower 4” # ask first', note: 'Tower 4 ask first' },
    { line: 3, text: '# drop side', note: 'drop side' },
  ]);
});

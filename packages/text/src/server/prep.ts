import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/prep`. */
export const prepProblems = problems({
  heldBack:
    'A person or a live fiber depends on {steps, plural, one {a step that comes} other {# steps that come}} before this one. Do what comes first, or give the reason for going on without.',
  portFull:
    '{name} has {holes, plural, one {# hole} other {# holes}}; {cables} cables are put there.',
  legsInOneHole:
    '{name} has one hole: the other leg of an express cable leaves by a port of its own.',
  builtIn: '{name} ships with Cordel and stays as it is: save your own under another name.',
  otherId: 'The id of the body is not that of the path.',
  cableUnknown: 'There is no such cable in the project.',
  hardwareUnknown: 'There is no such hardware profile.',
});

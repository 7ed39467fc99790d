/** Lines as a plan may hold them: its language is the same for all. */
export const PLAN_EXAMPLES = [
  'splice A tubes 1-6 to B tubes 1-6',
  'splice A 73-96 to C 1-24',
  'splice R ribbons 1-12 to T ribbons 1-12',
  'splice R ribbon 5 to T ribbon 5 reversed',
  'splice A 1 to SP1 in "feed"',
  'splice SP1 out 1-8 to D 1-8',
  'terminate E 1-4 on T1 ports 1-4 mechanical',
  'terminate R ribbons 1-6 on M1 ports 1-72 polarity A',
  'through A tubes 7-12',
  'dead A 17 "nicked"',
  'reserve A tube 9 "clinic"',
  'reserve F.out tube 3 "stub"',
];

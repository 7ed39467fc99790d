/** Lines as a plan may hold them: its language is the same for all. */
export const PLAN_EXAMPLES = [
  'splice A tubes 1-6 to B tubes 1-6',
  'splice A 73-96 to C 1-24',
  'splice R ribbons 1-12 to T ribbons 1-12',
  'splice R ribbon 5 to T ribbon 5 reversed',
  'through A tubes 7-12',
  'dead A 17 "nicked"',
  'reserve A tube 9 "clinic"',
];

import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/closures`. */
export const closuresProblems = problems({
  branchesOffItself:
    'A closure cannot branch off from itself: choose the closure nearer the start.',
  closureMoved: 'A closure stays in its project.',
  branchUnknown: 'It branches off from a closure that is not in this project.',
  otherId: 'The id of the body is not that of the path.',
  trayInUse: 'Tray {tray} holds splices: it cannot be removed.',
});

import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/projects`. */
export const projectsProblems = problems({
  otherId: 'The id of the body is not that of the path.',
  practiceOnly:
    'This project is for real work: simulators work in practice projects only. Mark a new project as practice only to try them.',
});

import type { Db } from '../db/client.ts';
import { Problem } from '../http/problem.ts';
import { getProject } from './queries.ts';

/**
 * Lets a simulator work in a practice project.
 * @throws Problem 409 in a project for real work
 */
export async function forPractice(db: Db, projectId: string): Promise<void> {
  const { practiceOnly } = await getProject(db, projectId);
  if (!practiceOnly)
    throw new Problem(
      409,
      'This project is for real work: simulators work in practice projects only. Mark a new project as practice only to try them.',
    );
}

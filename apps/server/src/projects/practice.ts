import type { Db } from '../db/client.ts';
import { Problem } from '../http/problem.ts';
import { getProject } from './queries.ts';
import { projectsProblems as say } from '@cordel/text/server/projects';

/**
 * Lets a simulator work in a practice project.
 * @throws Problem 409 in a project for real work
 */
export async function forPractice(db: Db, projectId: string): Promise<void> {
  const { practiceOnly } = await getProject(db, projectId);
  if (!practiceOnly) throw new Problem(409, say('practiceOnly'));
}

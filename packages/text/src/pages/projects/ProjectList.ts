import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/projects/ProjectList.tsx`. */
export const projectList = phrases({
  atMostDbASplice: ' · at most {limit} dB a splice',
  cordel: 'Cordel',
  deleteOrArchive: 'Delete or archive',
  doneWithDeleting: 'Done with deleting',
  importAProject: 'Import a project',
  makeOneOrImportAnExported: 'Make one, or import an exported project (ZIP or JSON).',
  nameGradeDecidesLimit: '{name} · {grade} decides{limit}',
  noProjectYet: 'No project yet',
  projects: 'Projects',
});

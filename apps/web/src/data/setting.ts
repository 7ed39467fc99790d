import {
  type Assembly,
  BUILT_IN_HARDWARE,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
  type ColourScheme,
  type Evidence,
  type Hardware,
  type Project,
  type Splice,
} from '@cordel/core';

export interface ProjectSetting {
  project: Project;
  cables: Cable[];
  closures: Closure[];
  schemes: ColourScheme[];
  hardware: Hardware[];
  assemblies: Assembly[];
}

export interface Work {
  closure: Closure;
  splices: Splice[];
  evidence: Evidence[];
}

/** What a project holds before the server has told of it. */
export const newSetting = (project: Project): ProjectSetting => ({
  project,
  cables: [],
  closures: [],
  schemes: [...BUILT_IN_SCHEMES],
  hardware: [...BUILT_IN_HARDWARE],
  assemblies: [],
});

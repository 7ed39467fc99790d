// Lists on a path of their own: workers that read them need no more of core than this.
export * from './plan/listColumns.ts';
export * from './plan/listRows.ts';
export * from './plan/network.ts';
export * from './plan/networkProblems.ts';
export * from './plan/proposeMakeUp.ts';
export * from './plan/sameNames.ts';
export * from './plan/spliceList.ts';
export * from './record/parsed.ts';
export * from './record/rowProblem.ts';

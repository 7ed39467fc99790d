export * from './continuity.ts';
export * from './judgeLink.ts';
export * from './linkColumns.ts';
export * from './linkList.ts';
export * from './linkState.ts';
export * from './meter.ts';

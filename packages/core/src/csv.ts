// Reading and writing CSV on a path of its own: pages load its reader only when a file is at hand.
export * from './bench/openRecordFile.ts';
export * from './bench/recordIds.ts';
export * from './plan/cableList.ts';
export * from './record/csv.ts';
export * from './record/titles.ts';

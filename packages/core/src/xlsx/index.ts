// Workbooks on a path of their own: a page loads their reader only when a file is at hand.
export * from './readXlsx.ts';
export * from './openSheet.ts';

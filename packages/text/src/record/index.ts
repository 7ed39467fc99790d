export * from './connection.ts';
export * from './issue.ts';
export { shownSpan } from '../shown.ts';

export * from './issue.ts';

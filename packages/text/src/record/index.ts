export * from './connection.ts';
export * from './issue.ts';

export { API_DIGEST } from './api/paths.ts';
export { type Api, type ApiOptions, answerOf, createApi } from './api/api.ts';
export {
  NoRoom,
  type ProblemPlace,
  Refused,
  ServerFailed,
  SignedOut,
  Stopped,
  UnknownAnswer,
  Unreached,
  isConflict,
  problemOf,
  unreached,
} from './api/problems.ts';
export type { Command } from './commands/command.ts';
export { COMMANDS, commands } from './commands/index.ts';
export { Outbox, type OutboxState, type Outcome } from './outbox/outbox.ts';
export type { CarriedFile } from './outbox/files.ts';
export { TransferError, type TransferredWork, packWork, readWork } from './outbox/transfer.ts';
export { type Write, waitingInputs } from './outbox/write.ts';
export type { ListedProject, Rows, ShownPhoto, ShownTrace, Snapshot } from './snapshot/snapshot.ts';
export { type ProjectSnapshot, newProjectSnapshot, projectWithWrites } from './snapshot/project.ts';
export { AnswerStore } from './snapshot/answers.ts';
export { withChanges } from './snapshot/withChanges.ts';
export { withWrites } from './snapshot/withWrites.ts';
export { type ClosureWork, withEvidence } from './snapshot/work.ts';
export { type Change, ChangeFeed, type Changes, type FeedOptions } from './feed/feed.ts';

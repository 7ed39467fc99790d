import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/uploads`. */
export const uploadProblems = problems({
  fileIncomplete: 'Of the file {received} bytes are here, and not all of it: send the rest first.',
  onlyOneFile: 'Send the bytes, or name the file that was sent in pieces: one of both.',
  pieceNotBytes: 'Send the bytes of the file, as application/octet-stream.',
  pieceEmpty: 'The piece is empty.',
  pieceTooLarge: 'A piece has at most {kilobytes} kB.',
});

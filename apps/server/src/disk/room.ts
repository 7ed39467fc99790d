import { statfs } from 'node:fs/promises';
import { Problem } from '../http/problem.ts';
import { diskProblems as say } from '@cordel/text/server/disk';

const MEGABYTE = 1024 * 1024;

/** Below so much free room nothing is written any more, unless `CORDEL_RESERVE_MB` says otherwise. */
const USUAL_RESERVE = 256 * MEGABYTE;
/** What a start takes: a new database with its log, and one that reads its log after a crash. */
const START = { fresh: 128 * MEGABYTE, known: 48 * MEGABYTE };
/** How long an answer of the system is good for, in ms. */
const FRESH_MS = 500;

/** Room on the disk that the data lies on. */
export interface Room {
  /**
   * Refuses what would leave less than the reserve.
   * @throws Problem 507
   */
  need(bytes: number): Promise<void>;
}

/** Where nobody watches the disk. */
export const ENDLESS_ROOM: Room = { need: () => Promise.resolve() };

/** The disk has too little room to start on. */
export class NoRoom extends Error {
  override name = 'NoRoom';
}

const freeOn = async (folder: string): Promise<number> => {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
};

const inMegabytes = (bytes: number, round: (figure: number) => number): string =>
  `${round(bytes / MEGABYTE)} MB`;

/**
 * @param reserve bytes that are kept back, so that what is recorded can be read and the server goes on by itself
 *   once there is room
 */
export function roomOn(folder: string, reserve = USUAL_RESERVE): Room {
  let free = 0;
  let asked = -Infinity;
  return {
    async need(bytes) {
      if (performance.now() - asked > FRESH_MS) {
        free = await freeOn(folder);
        asked = performance.now();
      }
      if (free - bytes >= reserve) return;
      const wanted = inMegabytes(reserve + bytes, Math.ceil);
      throw new Problem(
        507,
        say('diskNearlyFull', { free: inMegabytes(free, Math.floor), wanted }),
      );
    },
  };
}

/**
 * Refuses to start where a start would run out of room.
 * @param isFresh whether a database has to be made first
 * @throws NoRoom with how much is needed
 */
export async function needRoomToStart(folder: string, isFresh: boolean): Promise<void> {
  const [free, needed] = [await freeOn(folder), isFresh ? START.fresh : START.known];
  if (free >= needed) return;
  throw new NoRoom(
    `There is too little room to start in ${folder}: ${inMegabytes(free, Math.floor)} are free, and ${inMegabytes(needed, Math.ceil)} are needed. Free some, or set CORDEL_DATA to a folder on another disk.`,
  );
}

/** The reserve as the environment sets it, in bytes. */
export function reserveOf(megabytes: string | undefined): number | undefined {
  if (megabytes === undefined || megabytes === '') return undefined;
  const figure = Number(megabytes);
  if (!Number.isFinite(figure) || figure < 0)
    throw new NoRoom('CORDEL_RESERVE_MB is not a number of megabytes, such as 256.');
  return figure * MEGABYTE;
}

import { readFile } from 'node:fs/promises';
import { jest } from '@jest/globals';
import { removeServer, startServer, until } from './app';
import { fuzz } from './fuzz';

jest.setTimeout(900_000);

const COUNT = Number(process.env.CORDEL_FUZZ_COUNT ?? 8_000);
const SEED = Number(process.env.CORDEL_FUZZ_SEED ?? 20_261_128);

describe('the server under requests that nobody means', () => {
  it(`fails over none of ${COUNT}, keeps nobody waiting, and keeps its memory (CORDEL_FUZZ_SEED=${SEED})`, async () => {
    const server = await startServer({ demo: true });
    try {
      const memory = async () => {
        const status = await readFile(`/proc/${server.process.pid}/status`, 'utf8');
        return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
      };
      // What the server keeps for good is there after the first thousands.
      const warm = await fuzz(server.url, { count: Math.round(COUNT * 0.4), seed: SEED });
      const before = await memory();
      const report = await fuzz(server.url, { count: Math.round(COUNT * 0.6), seed: SEED + 1 });
      const after = await until(async () => {
        const now = await memory();
        return now < 1.2 * before && now;
      }, 'the memory given back');
      console.log(
        `seed ${SEED}: ${JSON.stringify(report.statuses)}, longest stop ${Math.round(report.longestStopMs)} ms, ` +
          `memory ${Math.round(before)} MB, then ${Math.round(after)} MB`,
      );
      expect([...warm.failures, ...report.failures].slice(0, 5)).toEqual([]);
      // A third of all get through to the work itself: requests that are refused at the door show little.
      expect(report.statuses[200]).toBeGreaterThan(0.25 * report.requests);
      // A busy machine holds anybody for a second or two: what is caught here is work that stops the server.
      expect(Math.max(warm.longestStopMs, report.longestStopMs)).toBeLessThan(10_000);
      expect(server.process.exitCode).toBeNull();
    } finally {
      await removeServer(server);
    }
  });
});

import type { WithPostgres } from './startPostgres.ts';

export default async function stop(): Promise<void> {
  await (globalThis as WithPostgres).cordelPostgres?.remove();
}

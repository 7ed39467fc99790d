import { loadThread } from '../../threads/loadThread.mjs';

await loadThread('database.worker', new URL('./thread.ts', import.meta.url));

import { loadThread } from '../threads/loadThread.mjs';

await loadThread('heavy.worker', new URL('./thread.ts', import.meta.url));

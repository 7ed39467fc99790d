import { loadThread } from '../../threads/loadThread.mjs';

await loadThread('package.worker', new URL('./worker.ts', import.meta.url));

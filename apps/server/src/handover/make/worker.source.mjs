// The maker's thread from its source, where the server runs unbundled: while developing, in tests and benches.
import { register } from 'tsx/esm/api';

register();
await import('./worker.ts');

// The thread for long work from its source, where the server runs unbundled: in tests and benches.
import { register } from 'tsx/esm/api';

register();
await import('./thread.ts');

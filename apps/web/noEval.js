// The server's content security policy lets nothing be compiled from text: Zod need not try, in the page or a worker.
globalThis.__zod_globalConfig = { jitless: true };

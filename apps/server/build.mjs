import { build } from 'esbuild';

await build({
  entryPoints: {
    main: 'src/main.ts',
    'package.worker': 'src/handover/make/worker.ts',
    'database.worker': 'src/db/embedded/thread.ts',
    'heavy.worker': 'src/heavy/thread.ts',
  },
  outdir: 'dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  external: [
    '@electric-sql/pglite',
    'pg',
    'pg-native',
    'pino',
    'pdfkit',
    'fontkit',
    'exceljs',
    '@node-rs/argon2',
    'better-auth',
    '@better-auth/passkey',
    'prom-client',
  ],
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
});

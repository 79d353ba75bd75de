import { build } from 'esbuild'

/** The thread for long work as it is in use, so that tests start the real one. */
export async function setup(): Promise<void> {
  await build({
    entryPoints: ['src/server/long/worker.ts'],
    outfile: 'dist/long-work.mjs',
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    alias: { '@': './src' },
    external: ['better-sqlite3'],
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    logLevel: 'warning',
  })
}

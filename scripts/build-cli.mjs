import { build } from 'esbuild'

/** Bundles the command line, the server, its thread for long work and the demonstration's seed, so that a call compiles nothing. */
const common = { bundle: true, platform: 'node', format: 'esm', target: 'node20', alias: { '@': './src' }, logLevel: 'warning' }

await build({ ...common, entryPoints: ['src/cli/anvil.ts'], outfile: 'dist/anvil.mjs', minify: true })
/** CommonJS packages in an ESM bundle ask for node's own modules by `require`. */
const node = {
  ...common,
  external: ['better-sqlite3', 'next'],
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
}
await build({ ...node, entryPoints: ['src/server/seed/main.ts'], outfile: 'dist/seed.mjs' })
await build({ ...node, entryPoints: ['src/server/long/worker.ts'], outfile: 'dist/long-work.mjs' })
await build({ ...node, entryPoints: ['src/server/serve/main.ts'], outfile: 'dist/server.mjs' })

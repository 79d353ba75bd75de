import { build } from 'esbuild'

/** Bundles the command line and the demonstration's seed, so that a call compiles nothing. */
const common = { bundle: true, platform: 'node', format: 'esm', target: 'node20', alias: { '@': './src' }, logLevel: 'warning' }

await build({ ...common, entryPoints: ['src/cli/anvil.ts'], outfile: 'dist/anvil.mjs', minify: true })
await build({ ...common, entryPoints: ['src/server/seed/main.ts'], outfile: 'dist/seed.mjs', external: ['better-sqlite3'] })

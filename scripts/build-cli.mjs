import { build } from 'esbuild'

/** Bundles the command line into one file, so that a call compiles nothing. */
await build({
  entryPoints: ['src/cli/anvil.ts'],
  outfile: 'dist/anvil.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  minify: true,
  alias: { '@': './src' },
  logLevel: 'warning',
})

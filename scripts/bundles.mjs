import { build } from 'esbuild'

const common = { bundle: true, platform: 'node', format: 'esm', target: 'node20', alias: { '@': './src' }, logLevel: 'warning' }
/** CommonJS packages in an ESM bundle ask for node's own modules by `require`. */
const node = {
  ...common,
  external: ['better-sqlite3', 'next', 'sharp', 'exifr', '@peculiar/*', 'reflect-metadata'],
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
}

/** In pieces: what only one of the things that a program does needs is a file of its own, loaded when that is done. */
const inPieces = { splitting: true, outExtension: { '.js': '.mjs' } }

/** The command line; what one command alone needs is a file of its own. */
export const buildCommands = (outdir = 'dist') =>
  build({
    ...common,
    external: ['sharp', 'exifr'],
    entryPoints: { anvil: 'src/cli/anvil.ts' },
    outdir,
    ...inPieces,
    minify: true,
  })

/** The thread for long work; what one task alone needs is a file of its own, loaded by that task. */
export const buildLongWork = () =>
  build({
    ...node,
    entryPoints: { 'long-work': 'src/server/long/worker.ts' },
    outdir: 'dist',
    ...inPieces,
  })

/** A program of the server's own that runs by itself. */
export const buildProgram = (entry, name) => build({ ...node, entryPoints: [entry], outfile: `dist/${name}.mjs` })

/** What a browser runs beside the pages, as one file. */
export const buildForBrowser = (entry, name) =>
  build({
    bundle: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
    minify: true,
    logLevel: 'warning',
    entryPoints: [entry],
    outfile: `dist/${name}.js`,
  })

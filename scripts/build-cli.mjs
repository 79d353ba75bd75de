import { rmSync } from 'node:fs'
import { buildCommands, buildForBrowser, buildLongWork, buildProgram } from './bundles.mjs'

/**
 * Bundles the command line, the server, its thread for long work and the demonstration's seed, so that a call compiles nothing. What a build
 * before made goes: its pieces are named by what is in them.
 */
rmSync('dist', { recursive: true, force: true })
await buildCommands()
await buildLongWork()
await buildProgram('src/server/seed/main.ts', 'seed')
await buildProgram('src/server/serve/main.ts', 'server')
await buildForBrowser('src/workers/bench-offline.ts', 'bench-offline')

import { buildCommands, buildForBrowser, buildLongWork, buildProgram } from './bundles.mjs'

/** Bundles the command line, the server, its thread for long work and the demonstration's seed, so that a call compiles nothing. */
await buildCommands()
await buildLongWork()
await buildProgram('src/server/seed/main.ts', 'seed')
await buildProgram('src/server/serve/main.ts', 'server')
await buildForBrowser('src/workers/bench-offline.ts', 'bench-offline')

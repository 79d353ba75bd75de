import { buildIfStale, flag, install, serve } from './lib.mjs'

await install()
buildIfStale()
serve('workshop', flag('port', process.env.PORT ?? '4310'))

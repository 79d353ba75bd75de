import { buildIfStale, flag, install, serve } from './lib.mjs'

install()
buildIfStale()
serve('workshop', flag('port', process.env.PORT ?? '4310'))

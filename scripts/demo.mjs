import { buildIfStale, flag, install, must, serve } from './lib.mjs'

install()
buildIfStale()
must('node', ['dist/seed.mjs', ...(process.argv.includes('--fresh') ? ['--fresh'] : [])])
serve('demo', flag('port', process.env.PORT ?? '4310'))

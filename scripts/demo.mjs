import { buildIfStale, flag, install, must, serve } from './lib.mjs'

await install()
buildIfStale()
must('node', ['dist/seed.mjs', ...(process.argv.includes('--fresh') ? ['--fresh'] : [])])
serve('demo', flag('port', process.env.PORT ?? '4310'))

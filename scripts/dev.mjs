import { must, serve } from './lib.mjs'

/** The program built at each change, for its developers; the same door before it as in use. */
must('node', ['scripts/build-cli.mjs'])
process.env.FOLD_ANVIL_DEV = '1'
process.env.NODE_ENV = 'development'
serve('workshop', process.env.PORT ?? '4310')

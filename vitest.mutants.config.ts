import { defineConfig } from 'vitest/config'
import base from './vitest.config'

/** The tests that answer for forming, geometry, layout and logbook; those of whole pages and of every form are too slow to run for each change. */
export default defineConfig({
  ...base,
  test: {
    include: [
      'src/core/{forming,geometry,layout,logbook,operations,route}/*.test.ts',
      'src/core/drawing/*.test.ts',
      'src/core/forms/common/*.test.ts',
    ],
    exclude: ['src/core/route/ledger.test.ts'],
    testTimeout: 120000,
    bail: 1,
  },
})

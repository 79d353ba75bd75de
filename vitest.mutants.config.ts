import { defineConfig } from 'vitest/config'
import base from './vitest.config'

/**
 * The tests that answer for what is changed: those of the packing for the layout, the quick ones of the core for the rest. Those of
 * whole pages and of every form are too slow to run for each change.
 */
const TESTS: Readonly<Record<string, readonly string[]>> = {
  layout: ['src/core/layout/*.test.ts'],
  rest: ['src/core/{forming,geometry,logbook,operations,route,drawing}/*.test.ts', 'src/core/forms/common/*.test.ts'],
}

export default defineConfig({
  ...base,
  test: {
    include: [...(TESTS[process.env.MUTANTS_OF ?? 'rest'] ?? [])],
    exclude: ['src/core/route/ledger.test.ts'],
    testTimeout: 120000,
    bail: 1,
  },
})

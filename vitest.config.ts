import { readdirSync, readFileSync } from 'node:fs'
import { defineConfig } from 'vitest/config'

/** Tests that put something else in the place of a module, or change the environment: each is run in a process of its own. */
const ALONE = ['src', 'tests'].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.test\.tsx?$/.test(name))
    .map((name) => `${folder}/${name}`)
    .filter((file) => /vi\.(mock|stub|spyOn|useFake)|process\.env\.\w+ = |process\.chdir/.test(readFileSync(file, 'utf8'))),
)

export default defineConfig({
  resolve: {
    alias: {
      '@': new URL('./src', import.meta.url).pathname,
      'server-only': new URL('./tests/support/empty.ts', import.meta.url).pathname,
    },
  },
  test: {
    globalSetup: 'tests/support/build-long-work.ts',
    testTimeout: 30000,
    hookTimeout: 60000,
    maxWorkers: 2,
    projects: [
      // what keeps nothing between calls is loaded once for all its tests
      { extends: true, test: { name: 'together', include: ['{src,tests}/**/*.test.{ts,tsx}'], exclude: ALONE, isolate: false } },
      { extends: true, test: { name: 'alone', include: ALONE } },
    ],
  },
})

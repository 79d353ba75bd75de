import { defineConfig } from 'vitest/config'

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
    maxWorkers: 2,
    projects: [
      // the core keeps nothing between calls, so its tests share what they have loaded
      { extends: true, test: { name: 'core', include: ['src/core/**/*.test.ts', 'tests/published-values/*.test.ts'], isolate: false } },
      {
        extends: true,
        test: {
          name: 'all else',
          include: ['src/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'],
          exclude: ['src/core/**', 'tests/published-values/**'],
        },
      },
    ],
  },
})

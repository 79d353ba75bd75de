import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: {
    alias: {
      '@': new URL('./src', import.meta.url).pathname,
      'server-only': new URL('./tests/support/empty.ts', import.meta.url).pathname,
    },
  },
  test: { include: ['src/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'], globalSetup: 'tests/support/build-long-work.ts', testTimeout: 20000 },
})

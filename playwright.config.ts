import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'
import { BROWSER } from './scripts/browser.mjs'

process.env.E2E_DATA ??= mkdtempSync(join(tmpdir(), 'fold-anvil-e2e-'))
const data = process.env.E2E_DATA

/** The two parts run beside one another, as long as each other: what tries every action and every kind of piece, and all else. */
const OWN_SERVERS = /(few-keys|fuzz|kill|kits|one-folder|shared-sheet|tabs)\.spec\.ts$/
const part = process.env.E2E_PART
const parts = part === 'own' ? { testMatch: OWN_SERVERS } : part === 'shared' ? { testIgnore: OWN_SERVERS } : {}
const results = part === undefined ? 'test-results' : `test-results/${part}`

function server(open: 'demo' | 'workshop', port: number) {
  const seed = open === 'demo' ? 'node dist/seed.mjs && ' : ''
  return {
    command: `${seed}node dist/server.mjs`,
    url: `http://127.0.0.1:${port}/settings`,
    env: { PORT: String(port), FOLD_ANVIL_OPEN: open, FOLD_ANVIL_DATA: join(data, open), NEXT_TELEMETRY_DISABLED: '1' },
    reuseExistingServer: false,
    timeout: 60000,
  }
}

export default defineConfig({
  testDir: 'e2e',
  ...parts,
  outputDir: `${results}/e2e`,
  workers: 1,
  timeout: 180_000,
  expect: { timeout: 25_000 },
  reporter: [['list'], ['json', { outputFile: `${results}/e2e.json` }]],
  use: {
    launchOptions: BROWSER,
    viewport: { width: 1280, height: 800 },
    trace: { mode: 'retain-on-failure', screenshots: false, snapshots: false },
  },
  webServer: part === 'own' ? [] : [server('demo', 4321), server('workshop', 4322)],
})

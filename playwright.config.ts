import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'
import { ALL, PARTS, type PartName } from './e2e/parts.mjs'
import { BROWSER } from './scripts/browser.mjs'

process.env.E2E_DATA ??= mkdtempSync(join(tmpdir(), 'fold-anvil-e2e-'))
const data = process.env.E2E_DATA

/** The part that is asked for; without one all is run, one after another. */
const asked = process.env.E2E_PART as PartName | undefined
const part = asked && PARTS[asked]
const results = asked === undefined ? 'test-results' : `test-results/${asked}`
const ports = part ? part.ports : PARTS.shared.ports

function server(open: 'demo' | 'workshop', port: number) {
  const folder = join(data, open)
  const written = process.env.E2E_SEEDED
  const copied = written ? `cp -r ${written} ${folder}` : 'node dist/seed.mjs'
  const seed = open === 'demo' ? `${copied} && ` : ''
  return {
    command: `${seed}node dist/server.mjs`,
    url: `http://127.0.0.1:${port}/settings`,
    env: { PORT: String(port), FOLD_ANVIL_OPEN: open, FOLD_ANVIL_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' },
    reuseExistingServer: false,
    timeout: 60000,
  }
}

export default defineConfig({
  testDir: 'e2e',
  ...part?.files,
  ...(ALL ? {} : { grepInvert: /@more/ }),
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
  webServer: ports ? [server('demo', ports[0]), server('workshop', ports[1])] : [],
})

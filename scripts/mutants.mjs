import { readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { Stryker } from '@stryker-mutator/core'

/** Changes the core a little in many places, one at a time, and asks whether a test notices: how much the tests bite. */
const { values } = parseArgs({ options: { seed: { type: 'string', default: '1' }, share: { type: 'string', default: '0.3' } } })
const FOLDERS = ['forming', 'geometry', 'layout', 'logbook'].map((name) => `src/core/${name}`)
const REPORT = 'reports/mutants.json'

let state = Number(values.seed) >>> 0
function random() {
  state = (state + 0x6d2b79f5) >>> 0
  let mixed = Math.imul(state ^ (state >>> 15), state | 1)
  mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
}

/** A seeded share of the lines of the core that do something. */
function sampledLines() {
  return FOLDERS.flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts')
      .flatMap((name) => {
        const path = join(folder, name)
        const lines = readFileSync(path, 'utf8').split('\n')
        return lines.flatMap((line, i) => {
          const code = line.trim()
          const idle = code === '' || /^(import|export \{|\/\/|\/\*|\*)/.test(code)
          return !idle && random() < Number(values.share) ? [`${path}:${i + 1}-${i + 1}`] : []
        })
      }),
  )
}

const results = await new Stryker({
  mutate: sampledLines(),
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutants.config.ts', related: false },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 20000,
  ignoreStatic: true,
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: REPORT },
  tempDirName: 'reports/mutants',
  cleanTempDir: 'always',
  disableTypeChecks: true,
  allowEmpty: false,
}).runMutationTest()

const counted = results.filter((mutant) => ['Killed', 'Survived', 'Timeout', 'NoCoverage'].includes(mutant.status))
const killed = counted.filter((mutant) => mutant.status === 'Killed' || mutant.status === 'Timeout')
for (const mutant of counted.filter((one) => !killed.includes(one)))
  process.stdout.write(
    `${mutant.status}  ${mutant.fileName}:${mutant.location.start.line}  ${mutant.mutatorName}  → ${String(mutant.replacement ?? '')
      .replace(/\s+/g, ' ')
      .slice(0, 90)}\n`,
  )
process.stdout.write(
  `${counted.length} mutants (seed ${values.seed}), ${killed.length} noticed: ${((100 * killed.length) / counted.length).toFixed(1)} %\n`,
)
rmSync('reports', { recursive: true, force: true })

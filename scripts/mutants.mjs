import { readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { Stryker } from '@stryker-mutator/core'

/** Changes the core a little in many places, one at a time, and asks whether a test notices: how much the tests bite. */
const { values } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, share: { type: 'string', default: '0.3' }, only: { type: 'string' } },
})
/** Folders of the core that are changed, by the set of tests that answers for them (vitest.mutants.config.ts). */
const GROUPS = { rest: ['forming', 'geometry', 'logbook'], layout: ['layout'] }
const REPORT = 'reports/mutants.json'

let state = Number(values.seed) >>> 0
function random() {
  state = (state + 0x6d2b79f5) >>> 0
  let mixed = Math.imul(state ^ (state >>> 15), state | 1)
  mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
}

/** A seeded share of the lines of the core that do something. */
function sampledLines(folders) {
  return folders.flatMap((name) => {
    const folder = `src/core/${name}`
    return readdirSync(folder)
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts')
      .flatMap((name) => {
        const path = join(folder, name)
        const lines = readFileSync(path, 'utf8').split('\n')
        return lines.flatMap((line, i) => {
          const code = line.trim()
          const idle = code === '' || /^(import|export \{|\/\/|\/\*|\*)/.test(code)
          return !idle && random() < Number(values.share) ? [`${path}:${i + 1}-${i + 1}`] : []
        })
      })
  })
}

function mutantsOf(folders) {
  return new Stryker({
    mutate: sampledLines(folders),
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
}

const COUNTED = ['Killed', 'Survived', 'Timeout', 'NoCoverage']
const isNoticed = ({ status }) => status === 'Killed' || status === 'Timeout'
let [counted, noticed] = [0, 0]
for (const [group, folders] of Object.entries(GROUPS).filter(([name]) => !values.only || name === values.only)) {
  process.env.MUTANTS_OF = group
  const results = (await mutantsOf(folders)).filter(({ status }) => COUNTED.includes(status))
  counted += results.length
  noticed += results.filter(isNoticed).length
  for (const { status, fileName, location, mutatorName, replacement } of results.filter((mutant) => !isNoticed(mutant))) {
    const change = String(replacement ?? '')
      .replace(/\s+/g, ' ')
      .slice(0, 90)
    process.stdout.write(`${status}  ${fileName}:${location.start.line}:${location.start.column}  ${mutatorName}  → ${change}\n`)
  }
  process.stdout.write(`${counted} mutants so far (seed ${values.seed}), ${noticed} noticed: ${((100 * noticed) / counted).toFixed(1)} %\n`)
}
rmSync('reports', { recursive: true, force: true })

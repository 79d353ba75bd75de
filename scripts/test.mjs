import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PARTS } from '../e2e/parts.mjs'
import { beside, install, run } from './lib.mjs'

/** Everything there is to check, in the order that fails soonest; ends with one line of totals. */
const outcome = { passed: 0, failed: 0 }

function section(title, code) {
  process.stdout.write(`\n== ${title}: ${code === 0 ? 'passed' : 'FAILED'}\n`)
  if (code === 0) outcome.passed++
  else outcome.failed++
}

function count(file, read) {
  if (!existsSync(file)) return
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')))
  outcome.passed += passed
  outcome.failed += failed
}

const CHROMIUM = '/usr/bin/chromium'

/** The browser is Debian's own; it is put in where that is allowed, beside what needs none. */
function needBrowser() {
  if (existsSync(CHROMIUM)) return 0
  process.stdout.write('Installing chromium with apt\n')
  return beside('sh', ['-c', 'apt-get update -qq && apt-get install -y -qq chromium'], { DEBIAN_FRONTEND: 'noninteractive' })
}

/** One part of the end-to-end tests, with the lines it says as they come; gives its exit code. */
const endToEnd = (part) => beside('npx', ['playwright', 'test'], { E2E_PART: part })

const browser = needBrowser()
const installed = install()
const parts = Object.keys(PARTS)
rmSync('test-results', { recursive: true, force: true })
/** What reads the sources alone keeps one processor busy; what is built of them the other. */
async function readSources() {
  section('types', (await beside('npx', ['next', 'typegen'])) || (await beside('npx', ['tsc', '--noEmit'])))
  section('lint', await beside('npx', ['biome', 'ci', '.', '--diagnostic-level=error']))
  section('layers', (await beside('npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs'])) || (await beside('npx', ['knip'])))
  section('form docs up to date', await beside('node', ['scripts/build-form-docs.mjs', '--check']))
}
async function build() {
  await installed
  section('build', (await beside('npx', ['next', 'build'])) || (await beside('node', ['scripts/build-cli.mjs'])))
}
await Promise.all([readSources(), build()])
const unit = run('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'])
section('unit', unit)
count('test-results/unit.json', (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }))
// the demonstration is written once, and copied by every test that starts from it
const seeded = mkdtempSync(join(tmpdir(), 'fold-anvil-seeded-'))
process.env.E2E_SEEDED = join(seeded, 'demo')
section('demonstration', run('node', ['dist/seed.mjs'], { FOLD_ANVIL_DATA: process.env.E2E_SEEDED, FOLD_ANVIL_OPEN: 'demo' }))
await browser
if (!existsSync(CHROMIUM))
  process.stdout.write(`The end-to-end tests need ${CHROMIUM}. Install it as root with: apt-get install chromium\n`)
const ends = await Promise.all(parts.map(endToEnd))
rmSync(seeded, { recursive: true, force: true })
for (const [i, part] of parts.entries()) {
  section(`end to end, ${part}`, ends[i])
  count(`test-results/${part}/e2e.json`, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }))
}
process.stdout.write(`\n${outcome.passed} passed, ${outcome.failed} failed\n`)
process.exit(outcome.failed > 0 ? 1 : 0)

import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fuzz } from './fuzz-inputs.mjs'

/** Bad inputs over every route, action and command of the built program: `npm run fuzz -- --count 100000 --seed 1`. */
const flag = (name, preset) => {
  const at = process.argv.indexOf(`--${name}`)
  return at >= 0 ? Number(process.argv[at + 1]) : preset
}
const count = flag('count', 100_000)
const seed = flag('seed', 1)
const PORT = 4396
const data = mkdtempSync(join(tmpdir(), 'fold-anvil-fuzz-'))
const env = { ...process.env, FOLD_ANVIL_OPEN: 'demo', FOLD_ANVIL_DATA: data, PORT: String(PORT), NEXT_TELEMETRY_DISABLED: '1' }
spawnSync('node', ['dist/seed.mjs'], { env })
const server = spawn('node', ['dist/server.mjs'], { env, stdio: ['ignore', 'ignore', 'pipe'] })
let faults = ''
server.stderr.on('data', (text) => {
  faults += text
})
const base = `http://127.0.0.1:${PORT}`
for (let n = 0; n < 100; n++) {
  try {
    await fetch(`${base}/api/v1/forms`)
    break
  } catch {
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
}
const said = await fuzz({ base, count, seed, alive: () => server.exitCode === null })
server.kill()
for (const fault of said.faults.slice(0, 40)) process.stdout.write(`${JSON.stringify(fault).slice(0, 600)}\n`)
if (faults) process.stdout.write(`the program wrote: ${faults.slice(0, 2000)}\n`)
process.stdout.write(
  `seed ${seed}: ${said.asked} asked, ${said.refused} refused, ${said.answered} answered, ${said.faults.length} faults, slowest ${said.slowestMs.toFixed(0)} ms\n`,
)
process.exit(said.faults.length > 0 ? 1 : 0)

import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline/promises'

/** Runs a command to its end with its output shown; gives its exit code. */
export function run(command, args, env = {}) {
  return spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } }).status ?? 1
}

/** Ends the program where a command failed. */
export function must(command, args, env) {
  const code = run(command, args, env)
  if (code !== 0) process.exit(code)
}

/** Runs a command beside what is done meanwhile, its output shown; gives its exit code once it has ended. */
export function beside(command, args, env = {}) {
  const child = spawn(command, args, { stdio: 'inherit', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } })
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1)))
}

/** The database is compiled at -O1: as quick in use, within what can be measured, and ready in half the time of what it asks for itself. */
const COMPILED = { CFLAGS: '-O1 -g0', CXXFLAGS: '-O1 -g0' }

/**
 * Installs what package.json names, unless that has been done for this very lock file. What has to be compiled (the database) goes on until the
 * promise is kept; the rest is there at once.
 */
export async function install() {
  const mark = 'node_modules/.installed-for'
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  must('npm', ['install', '--no-audit', '--no-fund', '--ignore-scripts'])
  const code = await beside('npm', ['rebuild', 'better-sqlite3', 'esbuild'], COMPILED)
  if (code !== 0) process.exit(code)
  writeFileSync(mark, lock)
}

function newest(path) {
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))))
}

/** Builds the application and the command line where a source is newer than the last build. */
export function buildIfStale() {
  const mark = '.next/.built-at'
  const changed = Math.max(...['src', 'package-lock.json', 'next.config.ts'].map(newest))
  if (existsSync(mark) && Number(readFileSync(mark, 'utf8')) >= changed && existsSync('dist/server.mjs')) return
  must('npx', ['next', 'build'])
  must('node', ['scripts/build-cli.mjs'])
  mkdirSync('.next', { recursive: true })
  writeFileSync(mark, String(changed))
}

/** The value after a flag such as --port, or a default. */
export function flag(name, preset) {
  const at = process.argv.indexOf(`--${name}`)
  return at >= 0 ? process.argv[at + 1] : preset
}

/** This machine's addresses on the workshop's own network. */
function ownAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter((address) => address?.family === 'IPv4' && !address.internal)
    .map((address) => address.address)
}

/** Where other devices reach the program, and the code that pairs the first of them. */
async function sayNetwork(port) {
  await fetch(`http://127.0.0.1:${port}/pair`)
  const { code } = JSON.parse(readFileSync(join(process.env.FOLD_ANVIL_DATA ?? 'data', 'paired-devices.json'), 'utf8'))
  for (const address of ['127.0.0.1', ...ownAddresses()]) process.stdout.write(`  http://${address}:${port}/pair?code=${code}\n`)
  process.stdout.write(`Each device is paired once, this machine's browser too. Pairing code: ${code}\n`)
}

/** Whether a living process has the data folder, by the lock it wrote there. */
function holder() {
  try {
    const lock = JSON.parse(readFileSync(join(process.env.FOLD_ANVIL_DATA ?? 'data', 'in-use.json'), 'utf8'))
    process.kill(lock.pid, 0)
    return lock
  } catch {
    return undefined
  }
}

/** Shows the program that has the folder in the browser, where one can be opened from here. */
function openBrowser(address) {
  const opener = { darwin: 'open', win32: 'explorer' }[process.platform] ?? 'xdg-open'
  spawn(opener, [address], { stdio: 'ignore', detached: true })
    .on('error', () => undefined)
    .unref()
}

/** Offers what is running already, instead of starting a second one on the same data. */
async function offer(address) {
  if (!process.stdin.isTTY) return
  const ask = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await ask.question(`Open ${address} in the browser now? (y/n) `)
  ask.close()
  if (/^y/i.test(answer)) openBrowser(address)
}

/** Starts the built server and says where it is: on this machine only, or with --lan on the workshop's own network for paired devices. */
export function serve(workshop, port) {
  const lan = process.argv.includes('--lan')
  const server = spawn('node', ['dist/server.mjs'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NEXT_TELEMETRY_DISABLED: '1',
      PORT: String(port),
      FOLD_ANVIL_OPEN: workshop,
      FOLD_ANVIL_LAN: lan ? '1' : '',
      FOLD_ANVIL_WARM: '1',
    },
  })
  server.stdout.on('data', (text) => {
    process.stdout.write(text)
    if (lan && String(text).includes('Fold Anvil is at')) void sayNetwork(port)
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', async (code) => {
    if (code === 3) await offer(holder()?.address)
    process.exit(code ?? 0)
  })
}

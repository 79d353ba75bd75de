import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Runs a command to its end with its output shown; gives its exit code. */
export function run(command, args, env = {}) {
  return spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } }).status ?? 1
}

/** Ends the program where a command failed. */
export function must(command, args, env) {
  const code = run(command, args, env)
  if (code !== 0) process.exit(code)
}

/** Installs what package.json names, unless that has been done for this very lock file. */
export function install() {
  const mark = 'node_modules/.installed-for'
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  must('npm', ['install', '--no-audit', '--no-fund'])
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
  if (existsSync(mark) && Number(readFileSync(mark, 'utf8')) >= changed && existsSync('dist/anvil.mjs')) return
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

/** Starts the built server on this machine only, and says where it is. */
export function serve(workshop, port) {
  const server = spawn('npx', ['next', 'start', '--hostname', '127.0.0.1', '--port', String(port)], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FOLD_ANVIL_OPEN: workshop },
  })
  server.stdout.on('data', (text) => {
    if (String(text).includes('Ready')) process.stdout.write(`Fold Anvil is at http://127.0.0.1:${port}\n`)
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', (code) => process.exit(code ?? 0))
}

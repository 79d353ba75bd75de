import { spawn } from 'node:child_process'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { build } from 'esbuild'
import { expect, it } from 'vitest'
import { tempFolder } from '../support/temp-db'

const KILLS = Number(process.env.KILLS ?? 12)

/** Runs the writer until a moment after its first acknowledgement, then kill -9; gives every token it was told is kept. */
function writeAndKill(program: string, path: string, afterMs: number): Promise<string[]> {
  return new Promise((resolve) => {
    const writer = spawn('node', [program, path], { stdio: ['ignore', 'pipe', 'inherit'] })
    let said = ''
    writer.stdout.on('data', (text) => {
      if (said === '') setTimeout(() => writer.kill('SIGKILL'), afterMs)
      said += text
    })
    // The last line may be cut in two; what was not said whole was not acknowledged.
    writer.on('close', () => resolve(said.split('\n').slice(0, -1)))
  })
}

it(
  `killed ${KILLS} times at random moments, a workshop has every entry that was acknowledged, and opens whole each time`,
  async () => {
    const folder = tempFolder()
    const program = join('dist', 'write-until-killed.mjs')
    await build({
      entryPoints: ['tests/support/write-until-killed.ts'],
      outfile: program,
      bundle: true,
      platform: 'node',
      format: 'esm',
      alias: { '@': './src' },
      external: ['better-sqlite3'],
      logLevel: 'warning',
    })
    const path = join(folder, 'workshop.db')
    const acknowledged: string[] = []
    for (let n = 0; n < KILLS; n++) acknowledged.push(...(await writeAndKill(program, path, Math.random() * 60)))
    const db = new Database(path)
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok')
    const rows = db.prepare('SELECT token FROM entries').all() as { token: string }[]
    db.close()
    const kept = new Set(rows.map((row) => row.token))
    expect(acknowledged.length).toBeGreaterThan(KILLS)
    expect(acknowledged.filter((token) => !kept.has(token))).toEqual([])
  },
  Math.max(240_000, 4_000 * KILLS),
)

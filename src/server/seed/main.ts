import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { dataFolder } from '../data-folder'
import { databasePath, openDb } from '../db/connection'
import { makeRepositories } from '../db/repositories'
import { seedDemo } from './seed-demo'

/** Makes the demonstration database if it is missing; `--fresh` makes it anew. */
function main(): void {
  const path = databasePath('demo')
  if (process.argv.includes('--fresh')) for (const side of ['', '-wal', '-shm']) rmSync(`${path}${side}`, { force: true })
  if (existsSync(path)) return
  mkdirSync(dataFolder(), { recursive: true })
  const db = openDb(path)
  seedDemo(makeRepositories(db))
  db.close()
  process.stdout.write(`Demonstration data written to ${path}\n`)
}

main()

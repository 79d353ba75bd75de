import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { dataFolder } from '../data-folder'
import { databasePath } from '../db/connection'
import { openDb } from '../db/open'
import { makeRepositories } from '../db/repositories'
import { FolderTaken, holdFolder, letFolderGo } from '../folder-lock'
import { seedDemo } from './seed-demo'

/** Makes the demonstration database if it is missing; `--fresh` makes it anew. */
function seed(): void {
  const path = databasePath('demo')
  if (process.argv.includes('--fresh')) for (const side of ['', '-wal', '-shm']) rmSync(`${path}${side}`, { force: true })
  if (existsSync(path)) return
  mkdirSync(dataFolder(), { recursive: true })
  const db = openDb(path)
  seedDemo(makeRepositories(db))
  db.close()
  process.stdout.write(`Demonstration data written to ${path}\n`)
}

/** The folder is held while its database is made: a program that has it open is not written under. */
function main(): void {
  try {
    holdFolder()
    seed()
    letFolderGo()
  } catch (error) {
    if (!(error instanceof FolderTaken)) throw error
    process.stderr.write(`${error.message}\n`)
    if (process.argv.includes('--fresh')) process.exitCode = 3
  }
}

main()

import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDb } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'

/** A folder of its own for one test. */
export function tempFolder(): string {
  return mkdtempSync(join(tmpdir(), 'fold-anvil-'))
}

/** An empty, migrated workshop in a folder of its own. */
export function tempWorkshop() {
  const path = join(tempFolder(), 'workshop.db')
  const db = openDb(path)
  return { path, db, repositories: makeRepositories(db) }
}

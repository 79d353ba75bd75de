import { copyFileSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDb } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'
import { seedDemo } from '@/server/seed/seed-demo'

/** A folder of its own for one test. */
export function tempFolder(): string {
  return mkdtempSync(join(tmpdir(), 'fold-anvil-'))
}

let empty = ''

/** An empty, migrated workshop that is written once; what is opened is a copy of it. */
function emptyWorkshop(): string {
  if (empty === '') {
    empty = join(tempFolder(), 'empty.db')
    openDb(empty).close()
  }
  return empty
}

/** A workshop in a folder of its own, as another was when it was closed. */
export function workshopLike(closed: string) {
  const path = join(tempFolder(), 'workshop.db')
  copyFileSync(closed, path)
  const db = openDb(path)
  return { path, db, repositories: makeRepositories(db) }
}

/** An empty, migrated workshop in a folder of its own. */
export function tempWorkshop() {
  const made = workshopLike(emptyWorkshop())
  made.db.prepare('UPDATE workshop SET uid = lower(hex(randomblob(16)))').run()
  return made
}

let demonstration = ''

/** The demonstration in a folder of its own: written once, what is opened is a copy of it. */
export function demoWorkshop() {
  if (demonstration === '') {
    const { path, db, repositories } = workshopLike(emptyWorkshop())
    seedDemo(repositories)
    db.close()
    demonstration = path
  }
  return workshopLike(demonstration)
}

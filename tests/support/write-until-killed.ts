import { openDb } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'
import { keepEntry } from '@/server/services/keep-entry'
import { addPiece, designOf, entryFor, trayOf } from './bench'

/** Writes entries into the workshop it is given and says each one that was acknowledged, until it is killed. */
const to = makeRepositories(openDb(process.argv[2] ?? ''))
const made = to.trays.open({ page: 1, size: 1 })[0]
const tray = made ?? trayOf(to, addPiece(to, 'Token', designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })), 3)
for (let n = 0; ; n++) {
  const token = `${process.pid}-${n}-${Date.now()}`
  const now = new Date().toISOString()
  const entry = { ...entryFor(to, tray, 1, { kind: 'note', text: 'x'.repeat(n % 900) }), token, at: now, sentAt: now }
  if (keepEntry(to, entry, now).ok) process.stdout.write(`${token}\n`)
}

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trayProgress } from '@/core/logbook'
import type { Repositories, Tray } from '@/server/db/repositories'
import { keepEntry } from '@/server/services/keep-entry'
import { progressOf, stepsOf } from '@/server/services/ledger'
import { addPiece, designOf, entryFor, NOW, trayOf } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const TOKEN = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
const SIZE = 3

const fresh = (to: Repositories, tray: Tray) => trayProgress(tray.size, stepsOf(to, tray), to.entries.moves(tray.id))

/** Keeps an entry and takes the write back, as a full disk or a fault after it would. */
function keptAndLost(to: Repositories, entry: ReturnType<typeof entryFor>): void {
  const fault = new Error('lost')
  expect(() =>
    to.transaction(() => {
      keepEntry(to, entry, NOW)
      throw fault
    }),
  ).toThrow(fault)
}

describe('what is remembered of a tray', () => {
  const acts = fc.array(
    fc.record({ kind: fc.constantFrom('done', 'loss', 'back'), piece: fc.integer({ min: 1, max: SIZE }), isLost: fc.boolean() }),
    { maxLength: 25 },
  )
  it('is where its entries leave it, whatever was written, taken back or did not stand', () => {
    fc.assert(
      fc.property(acts, (told) => {
        const { repositories: to } = tempWorkshop()
        const tray = trayOf(to, addPiece(to, 'Token', TOKEN, SIZE), SIZE)
        const done: string[] = []
        const late: ReturnType<typeof entryFor>[] = []
        for (const { kind, piece, isLost } of told) {
          const { stepIndex } = progressOf(to, tray)
          const step = stepsOf(to, tray)[stepIndex]?.id ?? null
          const more =
            kind === 'back'
              ? { kind: 'reversal', reverses: done.pop() ?? 'nothing' }
              : { kind, step, ...(kind === 'loss' ? { text: 'split' } : {}) }
          const entry = entryFor(to, tray, piece, more)
          if (isLost) {
            keptAndLost(to, entry)
            late.push(entry)
          } else if (keepEntry(to, entry, NOW).ok) done.push(entry.token)
          expect(progressOf(to, tray)).toEqual(fresh(to, tray))
        }
        // what was lost is sent again, after what came meanwhile
        for (const entry of late) {
          keepEntry(to, entry, NOW)
          expect(progressOf(to, tray)).toEqual(fresh(to, tray))
        }
      }),
      { numRuns: 40 },
    )
  })
})

import { describe, expect, it } from 'vitest'
import { findForm } from '@/core/forms'
import { CRACKED } from '@/core/logbook'
import { workedPercent } from '@/core/piece'
import { alloyWith } from '@/core/tables'
import { keepEntry } from '@/server/services/keep-entry'
import { metalRecords } from '@/server/services/metal-record'
import { walkFrozen } from '@/server/services/piece-plan'
import { addPiece, designOf, enter, entryFor, NOW, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const DOME = designOf('dome', { ...findForm('dome')?.example, heightMm: 12, alloy: 'nickel-silver-c752' })

/** A tray of four domes, and the step of it that works them most. */
function domes() {
  const { repositories: to } = tempWorkshop()
  const tray = trayOf(to, addPiece(to, 'Dome', DOME), 4)
  const metal = alloyWith('nickel-silver-c752', {})
  const percents = walkFrozen(tray.plan).steps.map((state) => workedPercent(metal, state))
  const hardest = percents.indexOf(Math.max(...percents))
  const crack = (piece: number, text: string = CRACKED) => ({ kind: 'loss', step: tray.plan.steps[hardest]?.id, text, piece })
  return { to, tray, percents, hardest, crack }
}

describe('what the record says of a metal', () => {
  it('is nothing while nothing has cracked, whatever was lost otherwise', () => {
    const { to, tray, hardest, crack } = domes()
    workThrough(to, tray, [1, 2, 3, 4], hardest)
    const { piece, ...lost } = crack(2, 'melted')
    enter(to, tray, piece, lost)
    expect(metalRecords(to)).toEqual([])
  })
  it('is where a piece cracked, and how far the others were worked and held', () => {
    const { to, tray, percents, hardest, crack } = domes()
    workThrough(to, tray, [1, 2, 3, 4], hardest)
    const { piece, ...lost } = crack(2)
    enter(to, tray, piece, lost)
    workThrough(to, tray, [1, 3, 4])
    const [metal, ...more] = metalRecords(to)
    expect(more).toEqual([])
    const heldPercent = Math.max(0, ...percents.slice(0, hardest))
    expect(metal).toMatchObject({ alloy: 'nickel-silver-c752', pieces: 4, cracked: 1, typedPercent: null, limit: { count: 1 } })
    expect(metal?.worked).toEqual(
      expect.arrayContaining([
        { pieces: 1, heldPercent, crackedPercent: percents[hardest] },
        { pieces: 3, heldPercent: Math.max(...percents) },
      ]),
    )
  })
  it('says which limit is worked with: the table’s, what trials told, or what is typed', () => {
    const { to, tray, hardest, crack } = domes()
    workThrough(to, tray, [1, 2, 3, 4], hardest)
    const { piece, ...lost } = crack(2)
    enter(to, tray, piece, lost)
    const now = () => metalRecords(to)[0]
    const id = now()?.figure ?? ''
    const table = now()?.tablePercent ?? 0
    expect(now()?.usedPercent).toBe(table)
    to.settings.write({ trials: { [id]: [table + 20] } })
    expect(now()?.usedPercent).toBeGreaterThan(table)
    expect(now()?.usedPercent).toBeLessThan(table + 20)
    to.settings.write({ figures: { [id]: 31 } })
    expect(now()).toMatchObject({ usedPercent: 31, typedPercent: 31 })
  })
  it('is told anew when a crack is taken back', () => {
    const { to, tray, hardest, crack } = domes()
    workThrough(to, tray, [1, 2, 3, 4], hardest)
    const { piece, ...lost } = crack(2)
    const token = enter(to, tray, piece, lost)
    expect(metalRecords(to)).toHaveLength(1)
    expect(keepEntry(to, entryFor(to, tray, piece, { kind: 'reversal', reverses: token }), NOW)).toMatchObject({ ok: true })
    expect(metalRecords(to)).toEqual([])
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { standingEntries } from '@/core/logbook'
import { keepEntry } from '@/server/services/keep-entry'
import { addPiece, designOf, enter, entryFor, NOW, saidOf, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const TOKEN = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })

function aTray(size = 3) {
  const { repositories: to } = tempWorkshop()
  const tray = trayOf(to, addPiece(to, 'Token', TOKEN), size)
  const last = tray.plan.steps.findLastIndex((step) => step.target)
  const step = tray.plan.steps[last]
  if (!step?.target) throw new Error('nothing is measured')
  const reading = { kind: 'reading', step: step.id, dimension: step.target.dimension, value: '21.1 mm' }
  return { to, tray, last, step, reading }
}

describe('an entry', () => {
  it('is kept once however often it is sent, with the same answer', () => {
    const { to, tray, last, reading } = aTray()
    workThrough(to, tray, [1], last)
    const entry = entryFor(to, tray, 1, reading)
    const first = keepEntry(to, entry, NOW)
    expect(first).toMatchObject({ ok: true, body: { valueMm: 21.1 } })
    expect(keepEntry(to, entry, NOW)).toEqual(first)
    expect(to.entries.standing(tray.id).filter((item) => item.kind === 'reading')).toHaveLength(1)
  })
  it('of another workshop is not taken, and says that it waits', () => {
    const { to, tray } = aTray()
    const answer = keepEntry(to, entryFor(to, tray, 1, { kind: 'note', text: 'x', workshop: 'another' }), NOW)
    expect(answer).toMatchObject({ ok: false, body: { error: { code: 'other-workshop' } } })
    expect(to.entries.standing(tray.id)).toEqual([])
  })
  it('is dated by the device, whose clock is set right by how far it is off', () => {
    const { to, tray } = aTray()
    const at = (entry: Record<string, string>) => {
      const token = enter(to, tray, 1, { kind: 'note', text: 'x', ...entry })
      return to.entries.byToken(token)?.at
    }
    expect(at({ at: '2027-03-01T09:30:00.000Z', sentAt: NOW })).toBe('2027-03-01T09:30:00.000Z')
    // This device is an hour behind: what it did ten minutes before it sent was ten minutes ago.
    expect(at({ at: '2027-03-01T08:50:00.000Z', sentAt: '2027-03-01T09:00:00.000Z' })).toBe('2027-03-01T09:50:00.000Z')
  })
  it('is refused in words where it is none of this tray', () => {
    const { to, tray, step, reading, last } = aTray()
    const said = (workpiece: number | null, more: Record<string, unknown>) =>
      saidOf(keepEntry(to, entryFor(to, tray, workpiece, more), NOW))
    expect(said(1, { kind: 'done', step: 'polish' })).toMatch(/^this tray’s route has no step "polish"; it has /)
    expect(said(9, { kind: 'done', step: step.id })).toMatch(/^this tray of 3 has no piece /)
    expect(said(null, { kind: 'done', step: tray.plan.steps[0]?.id })).toBe('this step is done piece by piece; say which')
    expect(said(null, { kind: 'loss', text: 'gone' })).toBe('a loss is of one piece; say which')
    expect(said(1, { ...reading })).toMatch(/^Piece 1 is not at this step yet: /)
    workThrough(to, tray, [1], last)
    expect(said(1, { ...reading, dimension: 'girthMm' })).toMatch(/ is measured; girthMm was given$/)
    expect(said(1, { ...reading, value: 19000 })).toMatch(/^Reading: 19000 mm was given; the aim is 21 mm, allowed: 2.1 to 210 mm$/)
    expect(said(1, { ...reading, value: 'wide' })).toMatch(/^Reading: "wide" is not a size/)
    expect(said(1, { ...reading, value: '1,000' })).toMatch(/^Reading: Is 1,000 1000 or 1.000\?/)
    expect(said(1, { kind: 'reversal', reverses: 'none-of-ours' })).toBe('there is no such entry of this tray to take back')
    expect(said(1, { kind: 'dance' })).toMatch(/^kind: /)
    expect(said(1, { kind: 'note', at: 'yesterday' })).toMatch(/^at: a time such as/)
    expect(said(1, { kind: 'note', tray: 'nowhere' })).toBe('This tray is no longer there.')
    expect(saidOf(keepEntry(to, null, NOW))).not.toBe('kept')
  })
  it('of the check piece says what the calipers are off by, and the last one that stands is known to every tray', () => {
    const { to, tray } = aTray()
    const check = (read: number, more: Record<string, unknown> = {}) => ({
      kind: 'note',
      dimension: 'check piece',
      text: `check piece of 10 mm: ${read}`,
      value: read,
      ...more,
    })
    const said = (more: Record<string, unknown>) => saidOf(keepEntry(to, entryFor(to, tray, 1, more), NOW))
    expect(to.entries.lastCheck(0, true)).toBeUndefined()
    enter(to, tray, 1, check(10.01))
    const second = enter(to, tray, 1, check(10.04))
    expect(to.entries.lastCheck(0, true)).toMatchObject({ value: 10.04, dimension: 'check piece', text: 'check piece of 10 mm: 10.04' })
    enter(to, tray, 1, { kind: 'reversal', reverses: second })
    expect(to.entries.lastCheck(0, true)).toMatchObject({ value: 10.01 })
    expect(to.entries.lastCheck(tray.id, true)).toBeUndefined()
    // what was found at the stand-in says nothing of real calipers
    to.settings.write({ practice: true })
    enter(to, tray, 1, check(10.03, { instrument: 'simulated-calipers' }))
    expect(to.entries.lastCheck(0, true)).toMatchObject({ value: 10.03 })
    expect(to.entries.lastCheck(0, false)).toMatchObject({ value: 10.01 })
    // it is no size of the piece in hand
    expect(to.entries.readingsOf(tray.id)).toEqual([])
    expect(said(check(12.7))).toMatch(/^12.7 mm is not of a check piece of 10 mm: /)
    expect(said(check(10.02, { value: 10.03 }))).toMatch(/^a check is told as /)
    expect(said(check(10.02, { text: 'looks right' }))).toMatch(/^a check is told as /)
  })
  it('is never changed: a later one takes it back, once', () => {
    const { to, tray } = aTray()
    const token = enter(to, tray, 1, { kind: 'loss', text: 'dented' })
    enter(to, tray, 1, { kind: 'reversal', reverses: token })
    expect(to.entries.standing(tray.id)).toEqual([])
    expect(() => enter(to, tray, 1, { kind: 'reversal', reverses: token })).toThrow('taken back already')
  })
  it('finishes the tray, and one taken back opens it again', () => {
    const { to, tray } = aTray(2)
    workThrough(to, tray, [1, 2])
    expect(to.trays.one(tray.id)?.finishedAt).not.toBeNull()
    const last = to.entries.standing(tray.id).at(-1)
    enter(to, tray, 2, { kind: 'reversal', reverses: last?.token })
    expect(to.trays.one(tray.id)?.finishedAt).toBeNull()
    expect(to.trays.one(tray.id)?.standing).toMatchObject({ inHand: 2 })
  })
})

describe('what stands on a device', () => {
  const entry = fc.record({
    token: fc.constantFrom('a', 'b', 'c', 'd'),
    kind: fc.constantFrom('done', 'note', 'reversal'),
    reverses: fc.constantFrom(null, 'a', 'b'),
  })
  it('is each entry once, none taken back, no taking back', () =>
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 12 }), (raw) => {
        const entries = raw.map((item) => ({ ...item, reverses: item.kind === 'reversal' ? item.reverses : null }))
        const standing = standingEntries(entries)
        const reversed = entries.map((item) => item.reverses)
        expect(new Set(standing.map((item) => item.token)).size).toBe(standing.length)
        for (const item of standing) expect(reversed).not.toContain(item.token)
        expect(standing.every((item) => item.kind !== 'reversal')).toBe(true)
      }),
    ))
})

import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { JOB_STATUSES } from '@/core/entries'
import type { Repositories } from '@/server/db/repositories'
import { addPiece, allPieces, designOf, enter, measured, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
const DOME = designOf('dome', { widthMm: 21, heightMm: 5, alloy: 'copper-c110', thicknessMm: 0.8 })
const job = fc.record({
  dueOn: fc.option(fc.constantFrom('2027-01-01', '2027-02-01', '2027-03-01')),
  status: fc.constantFrom(...JOB_STATUSES),
})

describe('pages of jobs', () => {
  it('are those of the whole list in order: open ones first, by the day they are due, none twice and none left out', () =>
    fc.assert(
      fc.property(fc.array(job, { maxLength: 25 }), fc.integer({ min: 1, max: 7 }), (jobs, size) => {
        const { repositories: to } = tempWorkshop()
        const made = jobs.map((item, i) => ({ ...item, id: to.jobs.addJob({ ...item, title: `Job ${i}`, customer: '', note: '' }) }))
        const over = (status: string) => Number(status === 'done' || status === 'handed-over')
        const expected = [...made]
          .sort(
            (a, b) =>
              over(a.status) - over(b.status) ||
              Number(a.dueOn === null) - Number(b.dueOn === null) ||
              (a.dueOn ?? '').localeCompare(b.dueOn ?? '') ||
              a.id - b.id,
          )
          .map((item) => item.id)
        const pages = Array.from({ length: Math.ceil(jobs.length / size) + 1 }, (_, i) => to.jobs.jobs({ page: i + 1, size }))
        expect(pages.flat().map((item) => item.id)).toEqual(expected)
        expect(pages.every((page) => page.length <= size)).toBe(true)
        expect(to.jobs.counts()).toEqual({ all: jobs.length, open: jobs.filter((item) => over(item.status) === 0).length })
        for (const [place, id] of expected.entries()) expect(to.jobs.placeOf(id)).toBe(place + 1)
      }),
      { numRuns: 25 },
    ))
  it('a job that is not there stands at the first place', () => expect(tempWorkshop().repositories.jobs.placeOf(9)).toBe(1))
})

describe('what may be compared', () => {
  it('is of the same job first, then of the same form, the newest first, and never the piece itself', () => {
    const { repositories: to } = tempWorkshop()
    const first = addPiece(to, 'First', DISC)
    const jobId = to.jobs.piece(first)?.jobId ?? 0
    const add = (name: string, design: typeof DISC) => to.jobs.addPiece({ jobId, name, quantity: 1, spares: 0, design })
    add('Beside, a dome', DOME)
    add('Beside, a disc', DISC)
    addPiece(to, 'Elsewhere, an older disc', DISC)
    addPiece(to, 'Elsewhere, a disc', DISC)
    addPiece(to, 'Elsewhere, a dome', DOME)
    const piece = to.jobs.piece(first)
    if (!piece) throw new Error('no piece')
    expect(to.jobs.alike(piece, 9).map((item) => item.name)).toEqual([
      'Beside, a disc',
      'Beside, a dome',
      'Elsewhere, a disc',
      'Elsewhere, an older disc',
    ])
    expect(to.jobs.alike(piece, 2)).toHaveLength(2)
    expect(to.jobs.pieceNames(jobId)).toEqual(['First', 'Beside, a dome', 'Beside, a disc'])
  })
})

describe('pages of trays and of the book', () => {
  let to: Repositories
  const trays: ReturnType<typeof trayOf>[] = []
  beforeAll(() => {
    to = tempWorkshop().repositories
    const pieces = [addPiece(to, 'Token', DISC), addPiece(to, 'Button', DOME)]
    for (let i = 0; i < 7; i++) trays.push(trayOf(to, pieces[i % 2] ?? 0, 2))
    for (const tray of trays.slice(0, 4)) for (const n of [1, 2]) measured(to, tray, n, 0.1 * n)
    for (const tray of trays.slice(0, 3)) workThrough(to, tray, [1, 2])
    const [, , , fourth, fifth] = trays
    if (fourth && fifth) {
      enter(to, fifth, 2, { kind: 'loss', text: 'melted' })
      enter(to, fifth, 1, { kind: 'note', text: 'soft' })
    }
  })
  it('open ones and finished ones are told apart, newest first', () => {
    expect(to.trays.counts()).toEqual({ open: 3, finished: 4 })
    const open = [1, 2].flatMap((page) => to.trays.open({ page, size: 2 }).map((tray) => tray.id))
    expect(open).toEqual([...open].sort((a, b) => b - a))
    expect(open).toHaveLength(3)
    expect(to.trays.finished({ page: 1, size: 3 })).toHaveLength(3)
    expect(to.trays.finished({ page: 2, size: 3 })).toHaveLength(1)
  })
  it('a piece knows how many trays it had, and which is at the bench', () => {
    const rows = to.trays.ofPieces(allPieces(to).map((piece) => piece.id))
    expect(rows.map((row) => row.count).sort()).toEqual([3, 4])
    for (const row of rows) expect(to.trays.one(row.openId ?? 0)?.finishedAt).toBeNull()
  })
  it('the book’s rows come newest first, page by page, and are counted', () => {
    const [group] = to.record.groups({ page: 1, size: 9 })
    if (!group) throw new Error('no group')
    expect(to.record.countGroups()).toBe(2)
    const rows = [1, 2, 3].flatMap((page) => to.record.rowsOf(group, { page, size: 2 }))
    expect(rows.map((row) => row.entryId)).toEqual(rows.map((row) => row.entryId).sort((a, b) => b - a))
    expect(rows).toHaveLength(group.sums.count)
    expect(to.record.totals()).toEqual({ measured: 8, lost: 1 })
    const [pieceId = 0] = to.record.piecesOf(group, 4)
    expect(to.record.countOfPiece(pieceId)).toBe(to.record.rowsOfPiece(pieceId, { page: 1, size: 99 }).length)
  })
  it('losses carry the piece’s name and the reason', () => {
    expect(to.entries.losses({ page: 1, size: 9 })).toMatchObject([{ workpiece: 2, text: 'melted', pieceName: 'Token' }])
    const words = to.entries.wordsOf(to.trays.one(trays[4]?.id ?? 0)?.pieceId ?? 0, 9)
    expect(words.map((entry) => [entry.kind, entry.text])).toEqual([
      ['note', 'soft'],
      ['loss', 'melted'],
    ])
  })
})

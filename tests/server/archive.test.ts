import { beforeEach, describe, expect, it, vi } from 'vitest'
import { perform } from '@/server/actions/perform'
import { ARCHIVE_KINDS, type ArchiveKind, type Repositories } from '@/server/db/repositories'
import { hangingWords, whyKept } from '@/server/services/archive-words'
import { addPiece, designOf, trayOf } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const open = vi.hoisted(() => ({ repositories: undefined as Repositories | undefined }))
vi.mock('@/server/workshop', () => ({ workshop: () => open.repositories }))

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
let to: Repositories
let ids: Record<ArchiveKind, number>

beforeEach(() => {
  to = tempWorkshop().repositories
  open.repositories = to
  const piece = addPiece(to, 'Token', DISC, 3)
  const stock = to.drawer.add({
    label: 'S-1',
    kind: 'wire',
    alloy: 'copper-c110',
    thicknessTyped: '1',
    thicknessMm: 1,
    measuredMm: null,
    outer: null,
    holes: [],
    lengthMm: 100,
    acrossMm: null,
    temper: 'annealed',
    parentId: null,
  })
  ids = { job: to.jobs.piece(piece)?.jobId ?? 0, piece, stock, tool: to.tools.add({ kind: 'punch', label: '12 mm', nominal: 12 }) }
})

const ask = (name: 'archiveThing' | 'takeOutOfArchive' | 'deleteForGood', kind: ArchiveKind) =>
  perform(name, {
    workshop: to.workshopRow().uid,
    revision: to.archive.one(kind, ids[kind])?.revision ?? 0,
    input: { kind, id: ids[kind] },
  })

/** What a smith finds of each kind in the lists of the program. */
const listed: Readonly<Record<ArchiveKind, () => readonly number[]>> = {
  job: () => to.jobs.jobs({ page: 1, size: 9 }).map((job) => job.id),
  piece: () => to.jobs.pieces(ids.job).map((piece) => piece.id),
  stock: () => to.drawer.all().map((stock) => stock.id),
  tool: () => to.tools.all().map((tool) => tool.id),
}

describe.each(ARCHIVE_KINDS)('a %s', (kind) => {
  it('in the archive is out of its list, and comes back as it was', async () => {
    const before = listed[kind]()
    expect(before).toContain(ids[kind])
    expect(await ask('archiveThing', kind)).toMatchObject({ ok: true })
    expect(listed[kind]()).not.toContain(ids[kind])
    expect(to.archive.all(kind).map((row) => row.id)).toEqual([ids[kind]])
    expect(await ask('archiveThing', kind)).toMatchObject({ ok: false, code: 'gone' })
    expect(await ask('takeOutOfArchive', kind)).toMatchObject({ ok: true })
    expect(listed[kind]()).toEqual(before)
    expect(to.archive.all(kind)).toEqual([])
  })
  it('is deleted only from the archive', async () => {
    expect(await ask('deleteForGood', kind)).toMatchObject({ ok: false, code: 'gone' })
    await ask('archiveThing', kind)
    expect(await ask('deleteForGood', kind)).toMatchObject({ ok: true })
    expect(to.archive.one(kind, ids[kind])).toBeUndefined()
  })
})

describe('what hangs on a thing', () => {
  it('is counted and said; a piece that was at the bench is never deleted, nor its job', async () => {
    expect(hangingWords(to.archive.hangingOn('job', ids.job))).toEqual(['1 piece'])
    trayOf(to, ids.piece, 2)
    expect(hangingWords(to.archive.hangingOn('job', ids.job))).toEqual(['1 piece', '1 tray at the bench'])
    for (const kind of ['piece', 'job'] as const) {
      await ask('archiveThing', kind)
      expect(await ask('deleteForGood', kind)).toMatchObject({ ok: false, message: expect.stringContaining('record of work stays') })
      expect(to.archive.one(kind, ids[kind])).toBeDefined()
    }
  })
  it('a sheet that was cut, or that a layout names, stays', () => {
    expect(whyKept('job', { cuts: 1 })).toMatch(/^Blanks were cut/)
    expect(whyKept('stock', { layouts: 1 })).toMatch(/^A layout or a remnant/)
    expect(whyKept('stock', { remnants: 2 })).toMatch(/^A layout or a remnant/)
    expect(whyKept('job', { pieces: 4, layouts: 1 })).toBeUndefined()
  })
})

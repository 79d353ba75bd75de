import { describe, expect, it } from 'vitest'
import type { StockPiece } from '@/core/costing'
import { findForm } from '@/core/forms'
import { boundsOf, rectangleOutline } from '@/core/geometry'
import { KITS } from '@/core/kits'
import { designFromKit } from '@/core/piece'
import { surfaceChoices } from '@/core/surface'
import { designSchema, type Repositories } from '@/server/db/repositories'
import { lengthsOfJob } from '@/server/services/job-lengths'
import { isItemOf, itemsOfPieces } from '@/server/services/layout-items'
import { designOf } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

function jobOf(to: Repositories, ids: readonly string[]) {
  const jobId = to.jobs.addJob({ title: 'Fittings', customer: '', dueOn: null, status: 'asked', note: '' })
  for (const id of ids)
    to.jobs.addPiece({
      jobId,
      name: id,
      quantity: 3,
      spares: 1,
      design: designOf(id, { ...findForm(id)?.example }, { bought: 'unknown' }),
    })
  return to.jobs.pieces(jobId)
}

describe('blanks of a job for the layout', () => {
  it('a part that is textured before the last cut lies there as its rough piece, in the sheet it is rolled from', () => {
    const { repositories: to } = tempWorkshop()
    const flat = designOf('ring-band', { insideDiameterMm: 18, thicknessMm: 1.2, widthMm: 5, alloy: 'sterling-925' })
    const surface = surfaceChoices.parse({ texture: { way: 'mill', depthMm: 0.1 } })
    const parts = flat.parts.map((part) => ({ ...part, surface }))
    const items = [flat, { ...flat, parts }].map((design) => {
      const jobId = to.jobs.addJob({ title: 'Rings', customer: '', dueOn: null, status: 'asked', note: '' })
      to.jobs.addPiece({ jobId, name: 'Ring', quantity: 2, spares: 0, design })
      return itemsOfPieces(to.jobs.pieces(jobId), {})[0]?.item
    })
    const [plain, rough] = items.map((item) => ({ item, box: boundsOf(item?.outer ?? []) }))
    const long = ({ minX, maxX }: ReturnType<typeof boundsOf>) => maxX - minX
    expect(rough?.item?.thicknessMm).toBeCloseTo(1.3, 9)
    expect(plain?.item?.thicknessMm).toBeCloseTo(1.2, 9)
    // rolled thinner it grows in length alone: what is cut first is shorter by as much
    expect(long(rough?.box ?? boundsOf([])) / long(plain?.box ?? boundsOf([]))).toBeCloseTo(1.2 / 1.3, 6)
    expect(rough?.item?.qty).toBe(plain?.item?.qty)
  })
  it('a bead takes two halves of sheet for each, its spares too', () => {
    const { repositories: to } = tempWorkshop()
    const [entry, ...more] = itemsOfPieces(jobOf(to, ['bead']), {})
    expect(more).toEqual([])
    expect(entry?.item.qty).toBe(8)
    expect(entry?.item.circle?.radiusMm).toBeGreaterThan(0)
  })
  it('wire is cut to length and stays out of the layout', () => {
    const { repositories: to } = tempWorkshop()
    const names = itemsOfPieces(jobOf(to, ['jump-rings', 'ball', 'rivet-wire', 'plate', 'cone']), {}).map((entry) => entry.name)
    expect(names).toEqual(['plate', 'cone'])
  })
  it('every item knows its piece, and no other', () => {
    const { repositories: to } = tempWorkshop()
    const pieces = jobOf(to, ['washer', 'tab-setting', 'bezel'])
    const items = itemsOfPieces(pieces, {})
    expect(new Set(items.map((entry) => entry.item.id)).size).toBe(items.length)
    for (const { item, pieceId } of items)
      expect(pieces.filter((piece) => isItemOf(item.id, piece.id)).map((piece) => piece.id)).toEqual([pieceId])
    expect(isItemOf('piece-12/part-1/disc', 12)).toBe(true)
    expect(isItemOf('piece-12/part-1/disc', 1)).toBe(false)
  })
})

it('a part that another is divided into takes no metal of its own', () => {
  const { repositories: to } = tempWorkshop()
  const kit = KITS.find(({ id }) => id === 'chain-strip-links')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const design = designSchema.parse({ ...open, parts: open.parts.map((part) => ({ ...part, input: { ...findForm(part.form)?.example } })) })
  const jobId = to.jobs.addJob({ title: 'Chain', customer: '', dueOn: null, status: 'asked', note: '' })
  to.jobs.addPiece({ jobId, name: 'Chain', quantity: 1, spares: 0, design })
  const items = itemsOfPieces(to.jobs.pieces(jobId), {})
  expect(items.map(({ item }) => item.id.split('/')[1])).toEqual(['strip'])
})

describe('a strip of the drawer', () => {
  const RING = { insideDiameterMm: 18, thicknessMm: 1.2, widthMm: 5, alloy: 'sterling-925' }
  const drawerOf = (...lengths: readonly number[]): StockPiece[] =>
    lengths.map((longMm, i) => ({
      id: i + 1,
      label: `S-${i + 1}`,
      kind: 'sheet',
      alloy: 'sterling-925',
      thicknessMm: 1.2,
      outer: rectangleOutline(longMm, 5),
      holes: [],
      lengthMm: null,
      acrossMm: null,
    }))
  function ringsOf(quantity: number) {
    const { repositories: to } = tempWorkshop()
    const jobId = to.jobs.addJob({ title: 'Rings', customer: '', dueOn: null, status: 'asked', note: '' })
    to.jobs.addPiece({ jobId, name: 'Ring', quantity, spares: 0, design: designOf('ring-band', RING) })
    return to.jobs.pieces(jobId)
  }
  it('as wide as its blanks is cut to length with as few of them opened as can be, and what it lacks is said', () => {
    // by hand: pi (18 + 1.2) = 60.3 mm each and what its ends are filed by, three and two cuts of 0.4 in under 190 mm
    const [group, ...more] = lengthsOfJob(ringsOf(3), drawerOf(190, 150), {}, 0.4)
    expect(more).toEqual([])
    expect(group).toMatchObject({ isStrip: true, unplaced: 0, title: 'Sterling silver, strip 5 mm wide, 1.2 mm thick' })
    expect(group?.bars.map(({ label, pieces }) => [label, pieces.length])).toEqual([['S-1', 3]])
    expect(lengthsOfJob(ringsOf(4), drawerOf(190), {}, 0.4)[0]?.unplaced).toBe(1)
  })
  it('of another width is none', () => {
    const wider = drawerOf(400).map((stock) => ({ ...stock, outer: rectangleOutline(400, 6) }))
    expect(lengthsOfJob(ringsOf(3), wider, {}, 0.4)).toEqual([])
  })
})

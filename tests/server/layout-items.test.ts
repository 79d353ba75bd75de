import { describe, expect, it } from 'vitest'
import { findForm } from '@/core/forms'
import type { Repositories } from '@/server/db/repositories'
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

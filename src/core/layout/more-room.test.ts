import { describe, expect, it } from 'vitest'
import { rectangleOutline } from '../geometry/outline'
import { seededRandom } from '../numerics/random'
import { findIllegal } from './legal'
import { makeRoom } from './more-room'
import { layoutInput } from './schema'
import { metalMm2, placementsIn, type Spread, sheetsOf } from './spread'
import { Workbench } from './workbench'

/** A sheet on which three small discs lie, and what else is asked for. */
function smallOnSheet(large: { readonly radiusMm: number }) {
  const input = layoutInput.parse({
    kerfMm: 0.4,
    marginMm: 1,
    sheets: [{ id: 'S', outer: rectangleOutline(32, 32) }],
    items: [
      { id: 'small', qty: 3, circle: { radiusMm: 5 } },
      { id: 'large', qty: 1, circle: large },
    ],
  })
  const [small, big] = input.items
  const [sheet] = sheetsOf(input)
  if (!small || !big || !sheet) throw new Error('no sheet')
  const at = (x: number, y: number) => ({ item: small, pose: { x, y, rotationDeg: 0 } })
  const spread: Spread = { sheets: [{ sheet, blanks: [at(7, 7), at(20, 12), at(12, 22)] }], left: new Map([[big, 1]]) }
  const control = { shouldStop: () => false, elapsedS: () => 0 }
  const search = { random: seededRandom(5), shouldStop: control.shouldStop, rounds: 4000 }
  const made = makeRoom(spread, new Workbench(input, { control, search, attempts: 30 }))
  return { input, made, blanks: made.sheets[0]?.blanks ?? [], left: [...made.left].map(([{ id }, count]) => [id, count]) }
}

describe('room on a sheet', () => {
  it('is made by small blanks for a large one that finds no place beside them: more metal lies on it, and what made way is left', () => {
    // 32 less the margins takes a disc of 29 across, and beside it none of 10
    const { input, made, blanks, left } = smallOnSheet({ radiusMm: 14.5 })
    expect(blanks.map(({ item }) => item.id)).toEqual(['large'])
    expect(metalMm2(blanks)).toBeGreaterThan(3 * Math.PI * 25)
    expect(left).toEqual(expect.arrayContaining([['small', 3]]))
    expect(findIllegal(input, placementsIn(made))).toEqual([])
  })
  it('is not made where all find theirs, nor for one that fits nowhere', () => {
    expect(smallOnSheet({ radiusMm: 6 }).blanks.map(({ item }) => item.id)).toEqual(['small', 'small', 'small', 'large'])
    expect(smallOnSheet({ radiusMm: 15.2 }).blanks.map(({ item }) => item.id)).toEqual(['small', 'small', 'small'])
  })
})

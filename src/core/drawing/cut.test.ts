import { describe, expect, it } from 'vitest'
import { circleOutline, rectangleOutline, signedAreaMm2 } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { cutAlong, cutAround, cutThrough, kerfLine } from './cut'

describe('the kerf of a cut', () => {
  it('lies outside a disc that is sawn outside: half a kerf further out all round', () => {
    const line = kerfLine(cutAround(circleOutline(10), 'outside'), 0.4)
    for (const [x, y] of line) expect(Math.hypot(x, y)).toBeCloseTo(10.2, 1)
    expect(Math.abs(signedAreaMm2(line)) / (Math.PI * 10.2 ** 2)).toBeCloseTo(1, 2)
  })
  it('lies inside a window that is sawn inside', () => {
    const box = boundsOf(kerfLine(cutAround(rectangleOutline(12, 8), 'inside'), 0.5))
    expect(box.maxX - box.minX).toBeCloseTo(11.5, 3)
    expect(box.maxY - box.minY).toBeCloseTo(7.5, 3)
  })
  it('is the line itself where it is sawn on the line, or there is no kerf', () => {
    const cut = cutAlong([0, 0], [0, 5])
    expect(kerfLine(cut, 0.4)).toEqual(cut.points)
    expect(kerfLine(cutAlong([0, 0], [0, 5], 'outside'), 0)).toEqual(cut.points)
  })
  it('of an open line outside is to the right of the way it runs, as it is of an outline that runs counter-clockwise', () => {
    expect(kerfLine(cutAlong([0, 0], [0, 5], 'outside'), 0.4).map(([x]) => x)).toEqual([0.2, 0.2])
    expect(kerfLine(cutAlong([0, 0], [0, 5], 'inside'), 0.4).map(([x]) => x)).toEqual([-0.2, -0.2])
  })
  it('follows a line round its corners', () => {
    const line = kerfLine(cutThrough(circleOutline(10).slice(0, 40), 'outside'), 0.4)
    for (const [x, y] of line.slice(1, -1)) expect(Math.hypot(x, y)).toBeCloseTo(10.2, 2)
  })
})

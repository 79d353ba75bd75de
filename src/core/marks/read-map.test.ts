import { describe, expect, it } from 'vitest'
import { rectangleOutline } from '../geometry/outline'
import { movedMark } from './move'
import { readDrawnMap } from './read-drawn-map'
import { mapText, readMap } from './read-map'
import { mark } from './schema'

describe('a map as it is typed', () => {
  it('is read from names, CSV and numbers, and written as it is read', () => {
    const text = 'name,x,y\nBrindle, 0, 0\nSorrel Halt 4 -1.5\n7;3\n\nBrindle -- Sorrel Halt\n2 -- 3'
    const map = readMap(text)
    expect(map).toEqual({
      points: [
        { name: 'Brindle', x: 0, y: 0 },
        { name: 'Sorrel Halt', x: 4, y: -1.5 },
        { x: 7, y: 3 },
      ],
      links: [
        [0, 1],
        [1, 2],
      ],
    })
    if ('points' in map) expect(readMap(mapText(map))).toEqual(map)
  })
  it.each([
    ['', 'No point'],
    ['Brindle', 'Line 1'],
    ['a 0 0\na -- b', 'there is no point “b”'],
    ['a 0 0\na -- 1', 'two different points'],
  ])('says what is wrong with %j', (text, words) => {
    const read = readMap(text)
    expect('fault' in read ? read.fault : '').toContain(words)
  })
})

describe('a mark moved by hand', () => {
  const outer = rectangleOutline(40, 20)
  const move = (raw: unknown, from: [number, number], to: [number, number]) => movedMark(mark.parse(raw), outer, from, to)
  it('goes where it is let go: a straight line with it, a circle larger, an edge line inwards, a hallmark along its strip', () => {
    const text = { kind: 'letters', text: 'MAIL', heightMm: 2 }
    expect(move(text, [20, 10], [22, 13])).toMatchObject({ line: { kind: 'straight', at: [22, 13] } })
    expect(move({ ...text, line: { kind: 'circle', radiusMm: 6 } }, [20, 16], [20, 17.5])).toMatchObject({ line: { radiusMm: 7.5 } })
    expect(move({ ...text, line: { kind: 'edge', insetMm: 2 } }, [20, 18], [20, 17])).toMatchObject({ line: { insetMm: 3 } })
    expect(move({ kind: 'hallmark', widthsMm: [2], heightMm: 2 }, [20, 10], [30, 10])).toMatchObject({ share: 0.75 })
    expect(move({ kind: 'stamp', widthMm: 2, at: [5, 5] }, [5, 5], [6, 4])).toMatchObject({ at: [6, 4] })
  })
})

describe('a map as it is drawn', () => {
  const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">${body}</svg>`
  it('has a point for each circle, y up, and a link for each line that ends at two of them', () => {
    const map = readDrawnMap(
      svg(
        '<circle cx="10" cy="10" r="2"/><circle cx="40" cy="10" r="2"/><circle cx="40" cy="30" r="1"/><path d="M10 10L39.5 10.4"/><polyline points="40,10 40,30"/>',
      ),
    )
    if ('fault' in map) throw new Error(map.fault)
    expect(map.points).toHaveLength(3)
    const [a, b, c] = map.points
    expect(Math.abs((b?.x ?? 0) - (a?.x ?? 0) - 30)).toBeLessThan(0.01)
    expect(Math.abs((b?.y ?? 0) - (c?.y ?? 0) - 20)).toBeLessThan(0.01)
    expect(map.links).toEqual([
      [0, 1],
      [1, 2],
    ])
  })
  it('of lines alone has their corners as points, each once', () => {
    const map = readDrawnMap(svg('<path d="M5 5L30 5L30 30"/><path d="M30 30L5 5"/>'))
    expect(map).toMatchObject({
      links: [
        [0, 1],
        [1, 2],
        [2, 0],
      ],
    })
  })
  it.each([
    ['not a drawing', 'svg'],
    [svg('<text x="3" y="3">Brindle</text>'), 'nothing is drawn'],
  ])('says what is wrong with %j', (text, words) => {
    const map = readDrawnMap(text)
    expect('fault' in map && map.fault.toLowerCase()).toContain(words)
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { edgesOf, isCrossing, isInside, pointToOutlineMm } from '../geometry/distance'
import { circleOutline, perimeterMm, rectangleOutline } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { type PlacedBlank, turnsOf } from './line'
import { type SawPlan, sawPlan } from './plan'

const at = (outline: Outline, x: number, y: number): Outline => outline.map(([px, py]): Point => [px + x, py + y])
const blank = (id: string, outer: Outline, holes: readonly Outline[] = [], copy = 0): PlacedBlank => ({ id, copy, name: id, outer, holes })
const sheet = { outer: at(rectangleOutline(100, 60), 0, 0), holes: [] }
const base = { sheet, thicknessMm: 0.8, kerfMm: 0.3, lines: {}, tools: [], figures: {} }
const plan = (blanks: readonly PlacedBlank[], more: object = {}): SawPlan => sawPlan({ ...base, blanks, ...more })
const turnOf = (one: SawPlan, key: string) => one.cuts.findIndex((cut) => cut.key === key)

const plate = blank('plate', at(rectangleOutline(40, 30), 10, 15), [at(rectangleOutline(16, 12), 20, 22)])
const washer = blank('washer', at(circleOutline(12), 75, 30), [at(circleOutline(6), 75, 30)])
const seed = blank('seed', at(circleOutline(2.5), 75, 30))

describe('a saw plan', () => {
  it('cuts windows before outlines, what lies in a window before that window, and the small before the large', () => {
    const one = plan([plate, washer, seed])
    expect(one.cuts.map(({ key }) => key)).toEqual([
      'plate#window-1#0',
      'seed#outline#0',
      'washer#window-1#0',
      'washer#outline#0',
      'plate#outline#0',
    ])
    expect(one.cuts.map(({ why }) => why)[1]).toContain('lies in a window')
  })

  it('keeps the blade outside an outline and inside a window, half a kerf off the line', () => {
    const [window, outline] = plan([plate]).cuts
    expect(perimeterMm(window?.cut ?? [])).toBeCloseTo(2 * (16 - 0.3 + 12 - 0.3), 2)
    // round the corners the saw swings: a quarter circle of half a kerf at each of the four
    expect(perimeterMm(outline?.cut ?? [])).toBeGreaterThan(2 * (40 + 30))
    expect(perimeterMm(outline?.cut ?? [])).toBeLessThan(2 * (40.3 + 30.3) + 0.01)
    expect(window?.turns).toBe(4)
  })

  it('counts a corner as one turn, pointed or rounded a little, and none on a wide curve', () => {
    expect(turnsOf(rectangleOutline(20, 10))).toBe(4)
    const rounded = [0, 1, 2, 3].flatMap((k) =>
      Array.from({ length: 9 }, (_, i): Point => {
        const [cx, cy] = [
          [9.5, 4.5],
          [-9.5, 4.5],
          [-9.5, -4.5],
          [9.5, -4.5],
        ][k] as [number, number]
        const angle = (k * Math.PI) / 2 + (i / 8) * (Math.PI / 2)
        return [cx + 0.5 * Math.cos(angle), cy + 0.5 * Math.sin(angle)]
      }),
    )
    expect(turnsOf(rounded)).toBe(4)
    expect(turnsOf(circleOutline(12))).toBe(0)
    expect(turnsOf(circleOutline(1))).toBe(1)
  })

  it('says what comes out otherwise where a side is changed', () => {
    const one = plan([plate], { lines: { 'plate#outline': { side: 'inside' } } })
    const outline = one.cuts[1]
    expect(outline?.side).toBe('inside')
    expect(outline?.notes.join()).toContain('0.3 mm smaller all round')
    expect(perimeterMm(outline?.cut ?? [])).toBeCloseTo(2 * (40 - 0.3 + 30 - 0.3), 2)
  })

  it('bores the starting hole in the waste, clear of the line, with a bit that passes the blade’s diagonal', () => {
    const one = plan([plate])
    const hole = one.cuts[0]?.hole
    const window = plate.holes[0] as Outline
    expect(hole && isInside(hole.at, window)).toBe(true)
    expect(pointToOutlineMm(hole?.at ?? [0, 0], window)).toBeGreaterThan((hole?.diameterMm ?? 0) / 2)
    // 0.8 mm under 30 teeth to the centimetre stands in 2.4 of them: a 6/0 blade, 0.36 by 0.18 mm, its diagonal 0.402
    expect(one.blade).toMatchObject({ name: '6/0', isOwn: false })
    expect(hole?.diameterMm).toBeGreaterThanOrEqual(Math.hypot(0.36, 0.18))
    expect(one.holes).toBe(1)
  })

  it('says where a window has no room for the bit', () => {
    const slit = blank('slit', at(rectangleOutline(20, 10), 5, 5), [at(rectangleOutline(8, 0.5), 8, 9)])
    expect(plan([slit]).cuts[0]?.notes.join()).toContain('no room')
  })

  it('drills small round windows and punches them where the wall has the size', () => {
    const eyelet = blank('eyelet', at(circleOutline(6), 20, 20), [at(circleOutline(1), 20, 20)])
    expect(plan([eyelet]).cuts[0]).toMatchObject({ way: 'drill', hole: { at: [20, 20] } })
    expect(plan([eyelet]).cuts[0]?.hole?.diameterMm).toBeCloseTo(2, 2)
    const tools = [{ kind: 'hole-punch' as const, label: 'screw punch 2', nominal: 2 }]
    const punched = plan([eyelet], { tools, lines: { 'eyelet#window-1': { way: 'punch' } } })
    expect(punched.cuts[0]).toMatchObject({ way: 'punch', lengthMm: 0 })
    // without the tool the choice is not taken
    expect(plan([eyelet], { lines: { 'eyelet#window-1': { way: 'punch' } } }).cuts[0]?.way).toBe('drill')
  })

  it('offers the disc cutter for its own sizes and the shears for straight edges, and asks for the metal they need', () => {
    const tools = [{ kind: 'disc-cutter' as const, label: 'cutter 24', nominal: 24 }]
    const disc = blank('disc', at(circleOutline(12), 30, 30))
    expect(plan([disc], { tools }).cuts[0]?.ways).toEqual(['saw', 'disc-cutter', 'die'])
    expect(plan([plate]).cuts[1]?.ways).toEqual(['saw', 'shear', 'die'])
    const lines = { 'disc#outline': { way: 'disc-cutter', side: 'inside', setOffMm: 0.5 } }
    const cut = plan([disc], { tools, lines })
    // a cutter is led neither to another side nor off its line
    expect(cut.cuts[0]).toMatchObject({ way: 'disc-cutter', side: 'outside', setOffMm: 0 })
    expect(cut.tooNear).toBe(0)
    const beside = (gapMm: number) => plan([disc, { ...disc, copy: 1, outer: at(circleOutline(12), 54 + gapMm, 30) }], { tools, lines })
    expect(beside(1.4)).toMatchObject({ tooNear: 1, spacingMm: 1.5 })
    expect(beside(1.5)).toMatchObject({ tooNear: 0, spacingMm: 0 })
    expect(cut.cautions.join()).toContain('Eye protection')
    expect(cut.sawnMm).toBe(0)
  })

  it('counts length, metal, blades and minutes as their sums', () => {
    const one = plan([plate, washer, seed], { figures: { 'saw-rate': 20, 'blade-life': 100 } })
    const length = one.cuts.reduce((sum, cut) => sum + cut.lengthMm, 0)
    expect(one.sawnMm).toBeCloseTo(length, 9)
    expect(one.blades).toBeCloseTo((length * 0.8) / 100, 9)
    const sawing = one.cuts.reduce((sum, cut) => sum + (cut.lengthMm * 0.8) / 20 + cut.turns * 0.1 + (cut.hole ? 2 : 0), 0)
    expect(one.minutes).toBeCloseTo(sawing, 9)
    expect(one.minutes).toBeCloseTo(
      one.cuts.reduce((sum, cut) => sum + cut.minutes, 0),
      9,
    )
  })

  it('reaches every outline of a full sheet without sawing into a blank that is whole, each line once', () => {
    const cell = fc.record({ r: fc.double({ min: 1, max: 4.4, noNaN: true }), square: fc.boolean(), holed: fc.boolean() })
    fc.assert(
      fc.property(fc.array(cell, { minLength: 1, maxLength: 54 }), (cells) => {
        const blanks = cells.map(({ r, square, holed }, i) => {
          const [x, y] = [6 + (i % 9) * 10.5, 6 + Math.floor(i / 9) * 9.6]
          const outer = square ? at(rectangleOutline(2 * r, 2 * r), x - r, y - r) : at(circleOutline(r), x, y)
          return blank(`b${i}`, outer, holed && r > 2.5 ? [at(circleOutline(r * 0.4), x, y)] : [])
        })
        const one = plan(blanks)
        expect(new Set(one.cuts.map(({ key }) => key)).size).toBe(blanks.reduce((sum, { holes }) => sum + 1 + holes.length, 0))
        one.cuts.forEach((cut, i) => {
          if (cut.kind !== 'outline' || !cut.wayIn) return
          expect(cut.notes.join()).not.toContain('cannot be reached')
          const [from, to] = cut.wayIn
          for (const later of one.cuts.slice(i + 1)) expect(edgesOf(later.points).some(([a, b]) => isCrossing(from, to, a, b))).toBe(false)
        })
        const lastWindow = one.cuts.findLastIndex(({ kind }) => kind === 'window')
        const firstOutline = one.cuts.findIndex(({ kind }) => kind === 'outline')
        if (lastWindow >= 0) expect(lastWindow).toBeLessThan(firstOutline)
      }),
      { numRuns: 40 },
    )
  })

  it('starts what lies in a window from that window’s hole', () => {
    const one = plan([
      blank('ring', at(circleOutline(20), 50, 30), [at(circleOutline(14), 50, 30)]),
      blank('seed', at(circleOutline(4), 50, 30)),
    ])
    const nested = one.cuts[turnOf(one, 'seed#outline#0')]
    const window = one.cuts[turnOf(one, 'ring#window-1#0')]
    expect(nested?.wayIn?.[0]).toEqual(window?.hole?.at)
  })
})

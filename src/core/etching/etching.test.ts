import { describe, expect, it } from 'vitest'
import { circleOutline, rectangleOutline } from '../geometry/outline'
import { placeOutline } from '../geometry/point'
import type { AlloyId } from '../metals'
import { artworkSvg } from './artwork-svg'
import { faradayUmPerMin } from './faraday'
import { etchPlan } from './plan'
import { etchInput } from './schema'

const plan = (input: Record<string, unknown>) =>
  etchPlan(etchInput.parse({ alloy: 'copper-c110', thicknessMm: 1, outer: rectangleOutline(40, 50), ...input }))
const codes = (input: Record<string, unknown>) => plan(input).checks.map(({ code }) => code)

describe('Faraday’s law', () => {
  // worked by hand from atomic weights and densities of handbooks, from memory (high)
  it.each([
    ['copper-c110', 10, 2.21],
    ['yellow-brass-c260', 10, 2.34],
    ['fine-silver', 5, 3.2],
    ['sterling-925', 5, 2.74],
    ['nickel-silver-c752', 8, 1.79],
  ] as const)('%s at %d A/dm²: %d µm a minute', (alloy: AlloyId, density, rate) =>
    expect(faradayUmPerMin(alloy, density)).toBeCloseTo(rate, 1.9),
  )
  it('copper at 10 mA/cm² loses 13.2 µm in an hour', () =>
    expect(Math.abs(60 * faradayUmPerMin('copper-c110', 1) - 13.2)).toBeLessThan(0.1))
  it('takes off the mass that the charge says (m = I·t·M / z·F)', () => {
    const answer = plan({ depthMm: 0.2, currentA: 1.5 })
    const byCharge = (1.5 * answer.minutes * 60 * 63.546) / (2 * 96485.33212)
    // 99.9 % of it is copper
    expect(answer.massOffG / byCharge).toBeCloseTo(1, 2)
  })
})

describe('an etch', () => {
  it('takes the bare area of the artwork: dark is resist', () => {
    const dark = [rectangleOutline(20, 50)]
    expect(plan({ dark, depthMm: 0.2 }).artworkMm2).toBeCloseTo(1000, 3)
    expect(plan({ dark, depthMm: 0.2, back: 'bare', edges: 'bare' }).areaMm2).toBeCloseTo(1000 + 1000 + 180, 3)
  })
  it('repeats artwork over the blank', () => {
    const dark = [placeOutline(circleOutline(2), 0, 5, 5)]
    const answer = plan({ dark, tile: { alongMm: 10, acrossMm: 10 }, depthMm: 0.1 })
    // discs of straight runs are a little smaller than round ones
    expect(Math.abs(answer.artworkMm2 - (2000 - 20 * Math.PI * 4))).toBeLessThan(1)
    expect(codes({ dark: [circleOutline(0.2)], tile: { alongMm: 0.5, acrossMm: 0.5 }, depthMm: 0.1 })).toEqual(['not-etched'])
  })
  it('through takes the thickness, from both sides half the time', () => {
    const one = plan({ through: true })
    expect(one.minutes).toBeCloseTo(one.throughMinutes, 9)
    const both = plan({ through: true, bothSides: true, densityAPerDm2: 8 })
    expect(both.minutes).toBeCloseTo(one.minutes / 2, 9)
    expect(both.currentA).toBeCloseTo(2 * one.currentA, 9)
  })
  it('learns what its bath does, and one bad reading does not move it', () => {
    const minutes = (mm: number, efficiency: number) => (1000 * mm) / (faradayUmPerMin('copper-c110', 5) * efficiency)
    const run = (efficiency: number) => ({ areaMm2: 2000, currentA: 1, minutes: minutes(0.2, efficiency), depthMm: 0.2 })
    const answer = plan({ depthMm: 0.2, runs: [run(1.3), run(1.32), run(1.28), run(0.2)] })
    expect(answer.efficiencyRatio).toBeCloseTo(1.29, 9)
    expect(answer.minutes).toBeCloseTo(plan({ depthMm: 0.2 }).minutes / 1.29, 9)
  })
  it('says what undercut leaves of fine lines', () => {
    const answer = plan({ depthMm: 0.2, dark: [rectangleOutline(0.25, 30)], finestMm: 0.3 })
    expect(answer.undercutMm).toBeCloseTo(0.15, 12)
    expect(answer.finestLineMm).toBeCloseTo(0.4, 12)
    expect(answer.lost).toHaveLength(1)
    expect(codes({ depthMm: 0.2, finestMm: 0.3 })).toContain('line-too-fine')
    expect(plan({ depthMm: 0.2, dark: [rectangleOutline(0.35, 30)] }).lost).toHaveLength(0)
  })
  it('is printed mirrored for toner, and not where it is drawn on', () => {
    expect(plan({ depthMm: 0.2 }).isMirrored).toBe(true)
    expect(plan({ depthMm: 0.2, resist: 'painted' }).isMirrored).toBe(false)
  })
  it.each([
    ['aluminium-1100', 'hydrogen'],
    ['gold-filled', 'wear layer'],
    ['fine-gold', 'does not dissolve'],
    ['mild-steel-1008', 'Copper plates onto'],
    ['sterling-925', 'Take copper nitrate'],
  ])('refuses %s in copper sulphate and says why', (alloy, words) => {
    const answer = plan({ alloy, depthMm: 0.2 })
    expect(answer.checks[0]).toMatchObject({ level: 'stop', code: 'not-etched' })
    expect(answer.checks[0]?.message).toContain(words)
  })
  it('warns of a thin floor, of too much current, of plates too near and of a blank that is all resist', () => {
    expect(codes({ depthMm: 0.6 })).toContain('thin-floor')
    expect(codes({ depthMm: 1 })).toContain('goes-through')
    expect(codes({ depthMm: 0.2, currentA: 20 })).toContain('too-much-current')
    expect(codes({ depthMm: 0.2, gapMm: 3 })).toContain('plates-too-near')
    expect(codes({ depthMm: 0.2, dark: [rectangleOutline(40, 50)] })).toEqual(['not-etched'])
  })
  it.each([[{ depthMm: -0.1 }], [{}], [{ depthMm: 0.1, through: true }], [{ depthMm: 0.1, currentA: 1, densityAPerDm2: 2 }]])(
    'refuses %j',
    (input) =>
      expect(etchInput.safeParse({ alloy: 'copper-c110', thicknessMm: 1, outer: rectangleOutline(40, 50), ...input }).success).toBe(false),
  )
})

describe('the artwork as it is printed', () => {
  const dark = [{ outer: rectangleOutline(10, 20), holes: [placeOutline(circleOutline(2), 0, 5, 10)] }]
  it('leaves windows in dark places bare', () => {
    expect(Math.abs(plan({ dark, depthMm: 0.1 }).artworkMm2 - (2000 - 200 + Math.PI * 4))).toBeLessThan(0.1)
  })
  it('mirrored is the picture turned over: dark where its mirror image is dark', () => {
    const blank = { outer: rectangleOutline(40, 50), holes: [] }
    const corners = (svg: string) =>
      [...(/<path d="([^"]+)" fill="#000000"/.exec(svg)?.[1] ?? '').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [
        Number(x),
        Number(y),
      ])
    const { covered } = plan({ dark, depthMm: 0.1 })
    const [plain, turned] = [false, true].map((isMirrored) => corners(artworkSvg('map', blank, covered, isMirrored)))
    expect(plain?.length).toBeGreaterThan(20)
    plain?.forEach(([x = 0, y = 0], i) => {
      expect(turned?.[i]?.[0]).toBeCloseTo(40 - x, 3)
      expect(turned?.[i]?.[1]).toBe(y)
    })
    expect(artworkSvg('a < b', blank, covered, true)).toContain('width="40mm"')
  })
})

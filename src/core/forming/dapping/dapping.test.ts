import { describe, expect, it } from 'vitest'
import { ALLOYS, type AlloyId } from '../../metals/alloys'
import { hardeningOf, powerHardening } from '../hardening'
import { type DapInput, dap, fitsPunch } from './dap'
import { dapBands, fullRun } from './dap-bands'
import { dapStep, workOfStep } from './dap-step'
import { domeProfile } from './dome-profile'
import { domedMetal } from './domed-metal'
import { punchesFor, withAnneals } from './plan-dap'
import { atPole, atRim, type DappedSheet, flatSheet, thicknessStrain } from './sheet'

const DEG = 180 / Math.PI
const rimDeg = ({ anglesRad = [] }: DappedSheet) => (anglesRad.at(-1) ?? 0) * DEG
const pole = (sheet: DappedSheet) => atPole(sheet.rings.map(thicknessStrain))
const rim = (sheet: DappedSheet) => atRim(sheet.rings.map(thicknessStrain))

/** A disc brought to a hemisphere (its radius √2 of the sphere's) in even steps of the angle it lies over. */
function toHemisphere(alloy: AlloyId, steps: number, { friction = 0, rings = 40 } = {}): DappedSheet {
  let sheet = flatSheet(10 * Math.SQRT2, rings)
  for (let k = 1; k <= steps; k++) {
    const sphereRadiusMm = (10 * Math.SQRT2) / (2 * Math.sin(((k / steps) * Math.PI) / 4))
    sheet = dapStep(sheet, { sphereRadiusMm, hardening: hardeningOf(ALLOYS[alloy]), friction })
  }
  return sheet
}

// Check values of the specification: an independent computation of the same model, free rim, flow theory.
describe('a disc dapped with its rim free', () => {
  const oneStep = (rings: number) => dapStep(flatSheet(1, rings), { sphereRadiusMm: 1, hardening: powerHardening(500, 0.3), friction: 0 })
  it.each([
    ['order-20', 20, 59.4797, -0.05996],
    ['order-40', 40, 59.4811, -0.05969],
    ['order-80', 80, 59.4814, -0.05961],
  ])('%s: n = 0.3 in one step onto a sphere of its own radius', (_, rings, angle, thinning) => {
    const sheet = oneStep(rings)
    expect(rimDeg(sheet)).toBeCloseTo(angle, 4)
    expect(pole(sheet)).toBeCloseTo(thinning, 5)
  })
  it('order: the rim angle comes nearer its limit with the square of the mesh', () => {
    const [a, b, c] = [20, 40, 80].map((rings) => rimDeg(oneStep(rings)))
    const order = Math.log2(((b ?? 0) - (a ?? 0)) / ((c ?? 0) - (b ?? 0)))
    expect(order).toBeGreaterThan(1.8)
    expect(order).toBeLessThan(2.2)
  })
  it.each([
    ['dap-hemisphere-sterling', 'sterling-925', -0.117, 87.6],
    ['dap-hemisphere-c110', 'copper-c110', -0.108, 87.8],
  ] as const)('%s: pole, rim and rim angle of a hemisphere', (_, alloy, thinning, angle) => {
    const sheet = toHemisphere(alloy, 8)
    expect(pole(sheet)).toBeCloseTo(thinning, 2)
    expect(rim(sheet)).toBeCloseTo(0.174, 3)
    expect(Math.abs(rimDeg(sheet) - angle)).toBeLessThan(0.1)
    expect(atRim(sheet.rings.map(({ strain }) => strain))).toBeCloseTo(0.347, 3)
  })
  it('dap-one-jump: a single step thins the pole less (deformation theory)', () =>
    expect(pole(toHemisphere('sterling-925', 1))).toBeCloseTo(-0.094, 3))
  it.each([
    [0.1, -0.098, 87.3, 0.174],
    [0.25, -0.077, 87, 0.174],
    [0.5, -0.05, 86.4, 0.174],
    [1, -0.019, 85.5, 0.175],
    [4, 0, 82.5, 0.178],
  ])('dap-friction: at %f the pole thins by %f', (friction, thinning, angle, thickening) => {
    const sheet = toHemisphere('sterling-925', 8, { friction })
    expect(Math.abs(pole(sheet) - thinning)).toBeLessThan(0.003)
    expect(Math.abs(rimDeg(sheet) - angle)).toBeLessThan(0.15)
    expect(Math.abs(rim(sheet) - thickening)).toBeLessThan(0.001)
  })
  it('rim hoop strain is that of a disc of equal area on the sphere, within a hundredth (closed form)', () => {
    const sheet = toHemisphere('copper-c110', 4)
    const hoop = atRim(sheet.rings.map(({ roundStrain }) => roundStrain))
    expect(Math.abs(hoop - 0.5 * Math.log(1 - 1 / 2))).toBeLessThan(0.01)
  })
  it('no other angles take less work: each node moved a little either way takes more', () => {
    const flat = flatSheet(12, 20)
    const stage = { sphereRadiusMm: 14, hardening: hardeningOf(ALLOYS['yellow-brass-c260']), friction: 0 }
    const { anglesRad = [] } = dapStep(flat, stage)
    const least = workOfStep(flat, anglesRad, stage)
    for (let i = 1; i < anglesRad.length; i++)
      for (const by of [-1e-3, 1e-3]) {
        const other = anglesRad.map((angle, k) => (k === i ? angle + by : angle))
        expect(workOfStep(flat, other, stage)).toBeGreaterThan(least)
      }
  })
})

describe('a dome through its punches', () => {
  const input: Omit<DapInput, 'stages'> = { alloy: ALLOYS['sterling-925'], discMm: 28, thicknessMm: 0.6, strain: 0 }
  const stagesOf = (...punches: number[]) => dap({ ...input, stages: punches.map((punchMm) => ({ punchMm, annealBefore: false })) })
  it('volume: is kept within a thousandth at every stage', () => {
    for (const { volumeRatio } of stagesOf(36, 25, 22, 20)) expect(Math.abs(volumeRatio - 1)).toBeLessThan(1e-3)
  })
  it('closes at the rim, rises and thins at the pole from stage to stage', () => {
    const stages = stagesOf(36, 25, 22, 20)
    for (const [i, stage] of stages.entries()) {
      const before = stages[i - 1]
      if (!before) continue
      expect(stage.rimDiameterMm).toBeLessThan(before.rimDiameterMm)
      expect(stage.heightMm).toBeGreaterThan(before.heightMm)
      expect(stage.pole.thicknessMm).toBeLessThan(before.pole.thicknessMm)
      expect(stage.rim.thicknessMm).toBeGreaterThan(before.rim.thicknessMm)
    }
  })
  it('in one jump folds its rim; large to small it does not (trade fact)', () => {
    expect(stagesOf(20)[0]?.wrinkle.light).toBe('red')
    for (const { wrinkle } of stagesOf(36, 25, 22, 20)) expect(wrinkle.light).not.toBe('red')
  })
  it.each([
    [0.4, [40, 28, 25, 22, 20]],
    [0.6, [36, 25, 22, 20]],
    [1, [32, 25, 22, 20]],
  ])('punch-sequence: disc 28 of %f mm out of 50 to 20', (thicknessMm, expected) => {
    const set = [50, 45, 40, 36, 32, 28, 25, 22, 20]
    expect(punchesFor({ discMm: 28, thicknessMm }, set)).toEqual({ punchesMm: expected, outcome: 'complete' })
  })
  it('of soft sterling asks for no anneal, of hard nickel silver it does, as late as it can', () => {
    expect(withAnneals(input, [36, 25, 22, 20]).annealBefore).toEqual([])
    const hard = withAnneals({ ...input, alloy: ALLOYS['nickel-silver-c752'], strain: 0.5 }, [36, 25, 22, 20])
    expect(hard.annealBefore).toContain(0)
    const brittle = { ...input, alloy: { ...input.alloy, reductionLimitFraction: 0.25 }, strain: 0.05 }
    const late = withAnneals(brittle, [36, 25, 22, 20])
    const [at = 0] = late.annealBefore
    expect(at).toBeGreaterThan(0)
    const without = dap({ ...brittle, stages: [36, 25, 22, 20].map((punchMm) => ({ punchMm, annealBefore: false })) })
    expect(without[at]?.profile.some(({ workUsedFraction }) => workUsedFraction > 0.61)).toBe(true)
    expect(without[at - 1]?.profile.every(({ workUsedFraction }) => workUsedFraction <= 0.61)).toBe(true)
  })
  it('after an anneal has used less of its work than without', () => {
    const punches = [36, 25, 22, 20]
    const cold = dap({ ...input, strain: 0.3, stages: punches.map((punchMm) => ({ punchMm, annealBefore: false })) }).at(-1)
    const hot = dap({ ...input, strain: 0.3, stages: punches.map((punchMm, i) => ({ punchMm, annealBefore: i === 2 })) }).at(-1)
    expect(hot?.rim.workUsedFraction).toBeLessThan(cold?.rim.workUsedFraction ?? 0)
    expect(hot?.rim.thicknessMm).toBeCloseTo(cold?.rim.thicknessMm ?? 0, 2)
  })
  it('has bands that a seed repeats, with the run’s own figure in them', () => {
    const way = { ...input, rings: 20, stages: [25, 20].map((punchMm) => ({ punchMm, annealBefore: false })) }
    const bands = dapBands(way)
    expect(dapBands(way)).toEqual(bands)
    for (const stage of bands)
      for (const { value, p10, p90 } of Object.values(stage)) {
        expect(p10).toBeLessThan(p90)
        expect(p10).toBeLessThanOrEqual(1.01 * value)
        expect(p90).toBeGreaterThanOrEqual(0.99 * value)
      }
    expect(bands.at(-1)?.poleThicknessMm.p90).toBeLessThan(0.65)
  })
  it.each([
    ['sterling-925', 28, 0.6, [25, 20], 0],
    ['copper-c110', 34, 0.5, [40, 32], 0.25],
  ] as const)(
    'of %s have the edges that 200 whole runs have, within a seventh of their width',
    (id, discMm, thicknessMm, punches, friction) => {
      const stages = punches.map((punchMm) => ({ punchMm, annealBefore: false }))
      const way: DapInput = { alloy: ALLOYS[id], discMm, thicknessMm, strain: 0, friction, rings: 12, stages }
      const [local, full] = [dapBands(way), dapBands(way, fullRun(way))]
      for (const [i, stage] of full.entries())
        for (const [name, { p10, p90 }] of Object.entries(stage)) {
          const own = local[i]?.[name as keyof typeof stage]
          const width = p90 - p10
          expect(Math.abs((own?.p10 ?? 0) - p10) / width, `${name} from`).toBeLessThan(1 / 7)
          expect(Math.abs((own?.p90 ?? 0) - p90) / width, `${name} to`).toBeLessThan(1 / 7)
        }
    },
  )
  it('is the dome that is asked for by its sphere alone, wherever it is asked: within 2 % of its strains', () => {
    for (const { pole, middle, rim, sphereRadiusMm } of stagesOf(36, 25, 22, 20)) {
      const metal = domedMetal(input.alloy, input.discMm, sphereRadiusMm)
      const spots = [
        [pole, metal.crown],
        [middle, metal.middle],
        [rim, metal.rim],
      ] as const
      for (const [staged, asked] of spots) {
        expect(Math.abs(staged.thicknessStrain - asked.thicknessStrain)).toBeLessThan(0.006)
        expect(Math.abs(staged.strain - asked.strain)).toBeLessThan(0.012)
      }
    }
  })
  it('thins at the crown as this smith’s hand does it, and nowhere else differently', () => {
    const stages = [25, 20].map((punchMm) => ({ punchMm, annealBefore: false }))
    const [plain] = dap({ ...input, stages }).slice(-1)
    const [own] = dap({ ...input, alloy: { ...input.alloy, crownThinning: 1.5 }, stages }).slice(-1)
    expect(own?.pole.thicknessStrain).toBeCloseTo(1.5 * (plain?.pole.thicknessStrain ?? 0), 9)
    expect(own?.rim.thicknessMm).toBeCloseTo(plain?.rim.thicknessMm ?? 0, 9)
    const asked = domedMetal({ ...input.alloy, crownThinning: 1.5 }, 28, 10.3).crown.thicknessStrain
    expect(asked).toBeCloseTo(1.5 * domedMetal(input.alloy, 28, 10.3).crown.thicknessStrain, 9)
  })
  it('has its surface strained by the bend as well: t/R over its middle', () => {
    const stage = stagesOf(36, 25, 22, 20).at(-1)
    if (!stage) throw new Error('no stage')
    for (const { surfaceStrain, strain } of [stage.pole, stage.rim])
      expect(surfaceStrain - strain).toBeCloseTo(0.6 / stage.sphereRadiusMm, 9)
  })
  it('wraps half way round a punch at the most', () => {
    expect(fitsPunch(28, 28 / Math.SQRT2 - 0.6, 0.6)).toBe(true)
    expect(fitsPunch(28, 17.5, 0.6)).toBe(false)
  })
})

describe('the outline of a dome at a stage', () => {
  const stage = dap({
    alloy: ALLOYS['sterling-925'],
    discMm: 28,
    thicknessMm: 0.6,
    strain: 0,
    stages: [{ punchMm: 22, annealBefore: false }],
  })[0]
  it('turned about its axis has the volume of the disc (Pappus: area of each quad times the way of its middle)', () => {
    const outline = stage ? domeProfile(stage) : []
    // volume by rings of trapezia: π ∮ r² dz
    const volume = outline.reduce((sum, [r, z], i) => {
      const [r2 = 0, z2 = 0] = outline[(i + 1) % outline.length] ?? []
      return sum + (Math.PI / 3) * (r * r + r * r2 + r2 * r2) * (z2 - z)
    }, 0)
    // counter-clockwise in (radius, height): the surface of the solid faces outwards
    expect(volume / ((Math.PI / 4) * 28 ** 2 * 0.6)).toBeCloseTo(1, 2)
  })
  it('is as high over its rim as the stage says', () => {
    const outline = stage ? domeProfile(stage) : []
    const crown = Math.max(...outline.map(([, z]) => z))
    expect(crown - (stage?.pole.thicknessMm ?? 0) / 2).toBeCloseTo(stage?.heightMm ?? 0, 3)
  })
})

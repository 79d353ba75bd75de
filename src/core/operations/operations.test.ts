import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { findOperation, OPERATIONS } from './catalogue'
import type { OperationContext, ReadStep } from './contract'

const CONTEXT: OperationContext = { alloy: ALLOYS['sterling-925'], thicknessMm: 1, widthMm: 4 }
/** Parameters that each operation reads; what is not named here needs none. */
const PARAMS: Readonly<Record<string, Record<string, unknown>>> = {
  drill: { diameterMm: 1.6 },
  bend: { insideRadiusMm: 9 },
  dap: { punchMm: 20, discMm: 24 },
  roll: { fromMm: 1, toMm: 0.7 },
  'press-die': { depthMm: 3, halfMm: 9 },
}

function read(id: string, params: Record<string, unknown> = {}): ReadStep {
  const found = findOperation(id)?.read({ ...PARAMS[id], ...params })
  if (!found?.ok) throw new Error(`${id}: ${JSON.stringify(found)}`)
  return found.step
}

const worst = (step: ReadStep, context = CONTEXT) => {
  const { elsewhere, at } = step.effect(context)
  return Math.max(elsewhere.strain * elsewhere.weight, ...Object.values(at ?? {}).map((work) => work.strain * work.weight))
}

describe.each(OPERATIONS.map((operation) => [operation.id, operation] as const))('%s', (id, operation) => {
  it('speaks at the bench: a title, what to do, and times that are times', () => {
    const words = read(id).words(CONTEXT)
    expect(words.title.length).toBeGreaterThan(2)
    expect(words.say).toMatch(/\.$/)
    expect(operation.handsOnS).toBeGreaterThan(0)
    expect(operation.waitS).toBeGreaterThanOrEqual(0)
    for (const fact of words.facts) expect(fact.value.length).toBeGreaterThan(0)
  })
  it('does something finite to every metal, and never takes strain away but by heat', () => {
    for (const alloy of ALLOY_IDS) {
      const { elsewhere, at, heat, age, thicknessRatio } = read(id).effect({ ...CONTEXT, alloy: ALLOYS[alloy] })
      for (const work of [elsewhere, ...Object.values(at ?? {})]) {
        expect(Number.isFinite(work.strain)).toBe(true)
        expect(work.strain).toBeGreaterThanOrEqual(0)
        expect(work.weight).toBeGreaterThan(0)
      }
      if (operation.kind === 'heat') expect(heat?.tempC ?? age?.tempC).toBeGreaterThanOrEqual(200)
      else expect(heat).toBeUndefined()
      if (thicknessRatio !== undefined) expect(thicknessRatio).toBeGreaterThan(0)
    }
  })
  it('refuses parameters that are no parameters, naming itself', () => {
    for (const field of Object.keys(operation.params.shape)) {
      const found = operation.read({ ...PARAMS[id], [field]: { rubbish: true } })
      expect(found.ok).toBe(false)
      if (!found.ok) expect(found.message).toContain(operation.title)
    }
  })
})

describe('what work does', () => {
  it('a tighter bend strains more (any thickness, any radius)', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 50, noNaN: true }), fc.double({ min: 0.2, max: 3, noNaN: true }), (radius, thicknessMm) => {
        const context = { ...CONTEXT, thicknessMm }
        expect(worst(read('bend', { insideRadiusMm: radius }), context)).toBeGreaterThan(
          worst(read('bend', { insideRadiusMm: radius * 1.5 }), context),
        )
      }),
      { numRuns: 60 },
    ))
  it('rolling to half is 2/√3·ln 2, and leaves half the thickness (von Mises, plane strain)', () => {
    const effect = read('roll', { fromMm: 2, toMm: 1 }).effect({ ...CONTEXT, thicknessMm: 2 })
    expect(effect.elsewhere.strain).toBeCloseTo((2 / Math.sqrt(3)) * Math.log(2), 6)
    expect(effect.thicknessRatio).toBeCloseTo(0.5, 9)
  })
  it('a smaller punch works the rim more', () =>
    expect(worst(read('dap', { punchMm: 18, discMm: 24 }))).toBeGreaterThan(worst(read('dap', { punchMm: 40, discMm: 24 }))))
  it('rolling from another thickness than the metal has is refused', () => {
    expect(read('roll', { fromMm: 2, toMm: 1.4 }).refuses(CONTEXT)).toBe('Roll: from 2 mm was given, and the metal is 1 mm here')
    expect(read('roll').refuses(CONTEXT)).toBeUndefined()
  })
  it('sawing, filing and drilling leave the metal as it was', () => {
    for (const id of ['saw', 'file', 'drill']) expect(worst(read(id))).toBe(0)
  })
  it('an anneal is hotter for metal that needs it: each at a heat below its own melting', () => {
    for (const alloy of ALLOY_IDS) {
      const heat = read('anneal').effect({ ...CONTEXT, alloy: ALLOYS[alloy] }).heat
      expect(heat?.tempC).toBeLessThan(ALLOYS[alloy].solidusC)
    }
  })
})

it('an operation nobody has is none', () => expect(findOperation('enchant')).toBeUndefined())

describe('parameters as a smith types them', () => {
  it.each([
    ['roll', { fromMm: '18 ga', toMm: '22 ga' }, { fromMm: 1.023687, toMm: 0.643803 }],
    ['drill', { diameterMm: '#60' }, { diameterMm: 1.016 }],
    ['bend', { insideRadiusMm: '1/4 in' }, { insideRadiusMm: 6.35 }],
  ])('%s %j', (id, typed, plain) => {
    const context = { ...CONTEXT, thicknessMm: 1 }
    expect(worst(read(id, typed), context)).toBeCloseTo(worst(read(id, plain), context), 4)
  })
  it('and refuses what is none, naming the field', () => {
    expect(findOperation('roll')?.read({ fromMm: 'thick', toMm: 1 })).toEqual({
      ok: false,
      message: expect.stringMatching(/^Roll: From: "thick" is not a size/),
    })
    expect(findOperation('roll')?.read({ fromMm: 1, toMm: 2 })).toEqual({ ok: false, message: 'Roll: rolling goes from thick to thin' })
    expect(findOperation('drill')?.read(3)).toMatchObject({ ok: false, message: 'Drill: its parameters are an object of fields' })
  })
})

describe('what a stone and a rivet do to the metal', () => {
  it('a rivet upset more is harder', () => expect(worst(read('rivet', { thinnedFraction: 0.5 }))).toBeGreaterThan(worst(read('rivet'))))
  it('tabs folded over are worked more than an edge rubbed over', () =>
    expect(worst(read('set-stone', { by: 'tabs' }))).toBeGreaterThan(worst(read('set-stone', { by: 'bezel' }))))
  it('each says how at the bench', () => {
    expect(read('set-stone', { by: 'tabs' }).words(CONTEXT).say).toContain('the opposite one next')
    expect(read('set-stone').words(CONTEXT).say).toContain('four opposite points')
    expect(read('bend', { manner: 'fold' }).words(CONTEXT).say).toContain('Smooth flat pliers')
    expect(read('bend', { manner: 'coil' }).words(CONTEXT).say).toContain('wind tight')
    expect(read('melt').words(CONTEXT).facts[0]?.value).toBe('802 to 893 °C')
  })
})

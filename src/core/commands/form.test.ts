import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FORM_KINDS, form } from './form'
import { openApiDocument } from './openapi'

interface Shown {
  readonly [key: string]: unknown
}
const done = (raw: Shown) => {
  const answer = form(raw)
  if (!answer.ok) throw new Error(answer.body.error.message)
  return answer.body as Record<string, never>
}
const said = (raw: unknown) => {
  const answer = form(raw)
  return answer.ok ? 'done' : answer.body.error.message
}
const DOME = { kind: 'dome', alloy: 'sterling-925', discMm: 28, thicknessMm: 0.6, punchesMm: [36, 25, 22, 20] }

describe('what `form` answers', () => {
  it('of a dome: its stages with profile and risks, anneals, and the band of its pole', () => {
    const { stages, annealBefore, poleThicknessMm } = done(DOME) as unknown as {
      stages: { punchMm: number; rimAngleDeg: number; profile: unknown[]; wrinkle: { light: string } }[]
      annealBefore: number[]
      poleThicknessMm: { value: number; p10: number; p90: number }
    }
    expect(stages.map(({ punchMm }) => punchMm)).toEqual([36, 25, 22, 20])
    expect(stages.at(-1)?.rimAngleDeg).toBeGreaterThan(80)
    expect(stages[0]?.profile).toHaveLength(40)
    expect(annealBefore).toEqual([])
    expect(poleThicknessMm.p10).toBeLessThan(poleThicknessMm.value)
  })
  it('picks of the punches at hand those that are needed, and says where a size is missing', () => {
    const pick = (punchesMm: number[]) =>
      done({ ...DOME, want: 'sequence', punchesMm }) as unknown as { sequence: string; stages: { punchMm: number }[] }
    expect(pick([50, 45, 40, 36, 32, 28, 25, 22, 20]).stages.map(({ punchMm }) => punchMm)).toEqual([36, 25, 22, 20])
    expect(pick([50, 20]).sequence).toBe('missing-step')
  })
  it('takes sizes as a smith writes them', () => expect(done({ ...DOME, thicknessMm: '22 ga', discMm: '1 1/8 in' }).kind).toBe('dome'))
  it('of a bulge: whether it is reached, its pole and the most pressure', () => {
    const bulged = done({ kind: 'bulge', alloy: 'copper-c110', radiusMm: 20, thicknessMm: 0.8, heightMm: 8 }) as unknown as {
      outcome: string
      poleStrain: number
    }
    expect(bulged.outcome).toBe('formed')
    expect(bulged.poleStrain).toBeCloseTo(-0.2262, 2)
  })
  // springback-*: check values of the specification, radius of the middle of the metal
  it.each([
    ['springback-sterling-annealed', { alloy: 'sterling-925', bought: 'annealed', radiusMm: 9.25, thicknessMm: 1.5, widthMm: 4 }, 9.65],
    ['springback-sterling-hard', { alloy: 'sterling-925', bought: 'hard', radiusMm: 9.25, thicknessMm: 1.5, widthMm: 4 }, 10.26],
    ['springback-bangle-annealed', { alloy: 'sterling-925', bought: 'annealed', radiusMm: 31, thicknessMm: 1, widthMm: 20 }, 37],
    ['springback-bangle-half-hard', { alloy: 'sterling-925', bought: 'half-hard', radiusMm: 31, thicknessMm: 1, widthMm: 20 }, 49.6],
  ])('%s', (_, bent, expected) => {
    const { sprungRadiusMm, between } = done({ kind: 'bend', ...bent }) as unknown as {
      sprungRadiusMm: number
      between: { leastMm: number; mostMm: number }
    }
    expect(Math.abs(sprungRadiusMm / expected - 1)).toBeLessThan(0.01)
    expect(between.leastMm).toBeLessThan(sprungRadiusMm)
    expect(between.mostMm).toBeGreaterThan(sprungRadiusMm)
  })
  it('of a former: what is bent on it springs to the radius that is wanted', () => {
    const wanted = { kind: 'bend', alloy: 'yellow-brass-c260', bought: 'half-hard', radiusMm: 28, thicknessMm: 1, widthMm: 25 }
    const { formerRadiusMm } = done(wanted) as unknown as { formerRadiusMm: number }
    expect((done({ ...wanted, radiusMm: formerRadiusMm }) as unknown as { sprungRadiusMm: number }).sprungRadiusMm).toBeCloseTo(28, 2)
  })
  it('of a strip closed to a tube, of rolling and of drawing: stage by stage', () => {
    const tube = done({ kind: 'strip-to-tube', widthMm: 13, thicknessMm: 0.7, insideDiameterMm: 62 }) as unknown as {
      stages: { boreLossMm: number }[]
    }
    expect(tube.stages.at(-1)?.boreLossMm).toBeCloseTo(4.14, 2)
    const rolled = done({ kind: 'roll', alloy: 'sterling-925', fromMm: 2, toMm: 1, widthMm: 20, lengthMm: 50 }) as unknown as {
      passes: { toMm: number }[]
    }
    expect(rolled.passes.at(-1)?.toMm).toBe(1)
    const drawn = done({ kind: 'draw', alloy: 'fine-silver', fromMm: 2, toMm: 1, lengthMm: 50 }) as unknown as {
      passes: { lengthMm: number }[]
    }
    expect(drawn.passes.at(-1)?.lengthMm).toBeCloseTo(200, 6)
  })
})

describe('what `form` refuses', () => {
  it.each([
    [{ kind: 'melt' }, 'allowed: dome, bulge'],
    [{}, 'nothing was given'],
    [null, 'allowed: dome'],
    [[1], 'allowed: dome'],
    [{ ...DOME, punchesMm: [12] }, 'more than half round a punch of 12 mm'],
    [{ ...DOME, punchesMm: [] }, 'one punch at least'],
    [{ ...DOME, alloy: 'unobtainium' }, 'alloy'],
    [{ ...DOME, discMm: Number.NaN }, 'Disc'],
    [{ ...DOME, friction: -1 }, 'friction'],
    [{ kind: 'bulge', alloy: 'copper-c110', radiusMm: 20, thicknessMm: 0.8, heightMm: 30 }, 'rises by its radius at the most'],
    [{ kind: 'bend', alloy: 'copper-c110', radiusMm: 0.6, thicknessMm: 2, widthMm: 5 }, 'lies at 1 mm at the least'],
    [{ kind: 'strip-to-tube', widthMm: 2, thicknessMm: 0.8, insideDiameterMm: 60 }, 'closes to a tube from 2.51 mm on'],
    [{ kind: 'roll', alloy: 'fine-silver', fromMm: 1, toMm: 2, widthMm: 5, lengthMm: 50 }, 'allowed: less than 1 mm'],
    [{ kind: 'draw', alloy: 'fine-silver', fromMm: 1, toMm: 1, lengthMm: 50 }, 'allowed: less than 1 mm'],
  ])('%#', (raw, words) => expect(said(raw)).toContain(words))
  it('anything else that is sent in words or with an answer of finite figures, never by falling over', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(FORM_KINDS)),
        fc.dictionary(
          fc.constantFrom('alloy', 'radiusMm', 'thicknessMm', 'widthMm', 'discMm', 'punchesMm', 'heightMm', 'fromMm', 'toMm', 'lengthMm'),
          fc.anything(),
        ),
        (kind, rest) => {
          const answer = form({ kind, ...rest })
          if (!answer.ok) expect(answer.body.error.message.length).toBeGreaterThan(5)
        },
      ),
      { numRuns: 300 },
    ))
  it('every dome that is answered has finite figures', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 120, noNaN: true }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        fc.double({ min: 0.72, max: 3, noNaN: true }),
        (discMm, thicknessMm, ratio) => {
          const answer = form({ ...DOME, discMm, thicknessMm, punchesMm: [discMm * ratio], rings: 20 })
          if (answer.ok) expect(JSON.stringify(answer.body)).not.toMatch(/null(?!.*"poleThicknessMm":null)/)
        },
      ),
      { numRuns: 60 },
    ))
  it('has a schema for each kind in the interface’s own description', () => {
    const { paths } = openApiDocument() as unknown as {
      paths: Record<string, { post?: { requestBody: { content: Record<string, { schema: { oneOf?: unknown[] } }> } } }>
    }
    expect(paths['/api/v1/form']?.post?.requestBody.content['application/json']?.schema.oneOf).toHaveLength(Object.keys(FORM_KINDS).length)
  })
})

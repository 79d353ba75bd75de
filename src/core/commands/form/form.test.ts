import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findForm } from '../../forms/registry'
import { openApiDocument } from '../openapi'
import { FORM_KINDS, form } from '.'

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

describe('what `form` answers of metal that is curled, wound, hammered, sunk or raised', () => {
  // specified: 25 mm on a curl of 15, ring of 32 to the middle; the waist goes in 1.68 where its mean length is kept
  const CURL = { kind: 'anticlastic', alloy: 'sterling-925', insideDiameterMm: 63.2, widthMm: 25, thicknessMm: 0.8, curlRadiusMm: 15 }
  it('of a curled band: its opening, what its waist and its edges are strained by, and between what the hand may bring it', () => {
    const curled = done(CURL) as unknown as {
      insideMm: number
      between: { leastMm: number; mostMm: number }
      edge: { hoopStrain: number; light: string }
    }
    expect(63.2 - curled.insideMm).toBeCloseTo(3.36, 1)
    expect(curled.edge.hoopStrain).toBeCloseTo(0.096, 3)
    expect(curled.between.mostMm).toBeCloseTo(63.2, 9)
    expect(curled.between.leastMm).toBeLessThan(curled.insideMm)
  })
  it('of a coil: what its rings open to, and the rod on which they come out as wide as this one', () => {
    const coil = { kind: 'coil', alloy: 'sterling-925', bought: 'half-hard', wireMm: 1, rodMm: 5 }
    const wound = done(coil) as unknown as { insideMm: number; rodForInsideMm: number }
    expect(wound.insideMm).toBeGreaterThan(5)
    const back = done({ ...coil, rodMm: wound.rodForInsideMm }) as unknown as { insideMm: number }
    expect(back.insideMm).toBeCloseTo(5, 2)
  })
  it('of a ring hammered from 1.5 to 1.4 with its width held: 17.3 grows to 18.74 (specified)', () => {
    const ring = { kind: 'hammer', insideDiameterMm: 17.3, thicknessMm: 1.5, hammeredToMm: 1.4, widthMm: 4, spreadRatio: 0 }
    const grown = done(ring) as unknown as { insideDiameterMm: number }
    expect(grown.insideDiameterMm).toBeCloseTo(18.74, 2)
    const aimed = done({ ...ring, insideDiameterMm: grown.insideDiameterMm }) as unknown as { makeSmallerMm: number }
    expect(grown.insideDiameterMm - aimed.makeSmallerMm).toBeCloseTo(17.3, 9)
  })
  it('of what is sunk and what is raised: course by course', () => {
    const sunk = done({ kind: 'sink', alloy: 'copper-c110', discMm: 90, thicknessMm: 1, heightMm: 25, courses: 5 }) as unknown as {
      courses: { heightMm: number }[]
    }
    expect(sunk.courses.at(-1)?.heightMm).toBeCloseTo(25, 9)
    const raised = done({ kind: 'raise', alloy: 'fine-silver', discMm: 160, thicknessMm: 1, baseMm: 60, rimMm: 90 }) as unknown as {
      courses: { rimDiameterMm: number }[]
    }
    expect(raised.courses.at(-1)?.rimDiameterMm).toBeCloseTo(90, 9)
  })
  it('of a dome with an opening: a sharp notch uses its edge up sooner, a hole opens, a narrow lip splits', () => {
    const at = (opening: Shown) =>
      (
        done({ ...DOME, opening }) as unknown as {
          stages: { opening: { factor: number; workUsedFraction: number; lip: string; opensToMm?: number } }[]
        }
      ).stages.at(-1)?.opening
    const [sharp, round] = [0.1, 4].map((rootMm) => at({ kind: 'notch', sizeMm: 3, rootMm, bridgeMm: 2 }))
    expect(sharp?.factor).toBe(4)
    expect(sharp?.workUsedFraction).toBeGreaterThan(round?.workUsedFraction ?? 9)
    expect(at({ kind: 'hole', sizeMm: 6, bridgeMm: 0.2 })).toMatchObject({ lip: 'splits', factor: 2 })
    expect(at({ kind: 'hole', sizeMm: 6, bridgeMm: 4 })?.opensToMm).toBeGreaterThan(6)
  })
  it('of an opening says what its form says: one prediction at crown and rim', () => {
    for (const opening of ['window', 'notch']) {
      const spec = { ...findForm('dome-notched')?.example, alloy: 'copper-c110', thicknessMm: 0.6, opening }
      const run = findForm('dome-notched')?.run(spec)
      if (!run?.ok) throw new Error('refused')
      const { widthMm, heightMm } = { widthMm: 27, heightMm: 8 }
      const [a, h] = [(widthMm - 0.6) / 2, heightMm - 0.3]
      const sphereMm = (a * a + h * h) / (2 * h)
      const told = run.result.checks.find(({ code }) => code === 'opening-tears')?.actual?.value ?? 0
      const kind = opening === 'notch' ? { kind: 'notch', sizeMm: 4 } : { kind: 'hole', sizeMm: 9 }
      const punchesMm = [3, 2, 1.4, 1].map((times) => 2 * times * sphereMm - 0.6)
      const raw = { kind: 'dome', alloy: 'copper-c110', discMm: run.result.results.discMm?.value, thicknessMm: 0.6, punchesMm }
      const stages = (
        done({ ...raw, opening: { ...kind, bridgeMm: 4 } }) as unknown as { stages: { opening: { workUsedFraction: number } }[] }
      ).stages
      expect(Math.abs(told - 100 * (stages.at(-1)?.opening.workUsedFraction ?? 0))).toBeLessThan(0.06 * told)
    }
  })
  it('of a missing punch: its size, which closes the rim by one step (R = b/(2·√(1 − e^(−2E))))', () => {
    const short = done({ ...DOME, want: 'sequence', thicknessMm: 1.2, punchesMm: [20] }) as unknown as { missingPunchMm: number }
    const radius = 14 / (2 * Math.sqrt(1 - Math.exp(-0.2)))
    expect(short.missingPunchMm).toBeCloseTo(2 * radius - 1.2, 6)
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
    [{ kind: 'anticlastic', alloy: 'fine-silver', insideDiameterMm: 60, widthMm: 25, thicknessMm: 1, curlRadiusMm: 2 }, 'closes to a tube'],
    [{ kind: 'sink', alloy: 'fine-silver', discMm: 60, thicknessMm: 1, heightMm: 40 }, 'half sphere of this disc is 21.2 mm high'],
    [{ kind: 'raise', alloy: 'fine-silver', discMm: 60, thicknessMm: 1, rimMm: 70 }, 'less than the disc, 60 mm'],
    [{ kind: 'hammer', insideDiameterMm: 17, thicknessMm: 1, hammeredToMm: 2, widthMm: 4 }, '1 mm at the most'],
  ])('%#', (raw, words) => expect(said(raw)).toContain(words))
  it('anything else that is sent in words or with an answer of finite figures, never by falling over', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(FORM_KINDS)),
        fc.dictionary(
          fc.constantFrom(
            'alloy',
            'radiusMm',
            'thicknessMm',
            'widthMm',
            'discMm',
            'punchesMm',
            'heightMm',
            'fromMm',
            'toMm',
            'lengthMm',
            'curlRadiusMm',
            'wireMm',
            'rodMm',
            'rimMm',
            'baseMm',
            'hammeredToMm',
          ),
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

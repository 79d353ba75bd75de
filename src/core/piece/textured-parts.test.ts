import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkRoute, putInOrder } from '../rules'
import { surfaceChoices } from '../surface'
import { TEXTURE_WAY_IDS, textureWay } from '../texture'
import { onePart, type PieceDesign } from './design'
import { sizesAlong } from './part-sizes'
import { planPiece } from './plan-piece'
import { lackingOnRoute, putOnRoute } from './put-on-route'
import { metalsOf, routeTemper } from './route-temper'
import { surfacedParts } from './surfaced-parts'
import { textureOf, thicknessFrom } from './textured-parts'
import { withWork } from './with-work'

const ROUGH_WAYS = TEXTURE_WAY_IDS.filter((id) => textureWay(id).when === 'rough')
const strip = onePart({
  form: 'ring-band',
  inputVersion: 1,
  input: { insideDiameterMm: 18, thicknessMm: 1.2, widthMm: 5, alloy: 'sterling-925' },
})
const disc = onePart({ form: 'disc', inputVersion: 1, input: { diameterMm: 24, thicknessMm: 0.9, alloy: 'copper-c110' } })

function textured(design: PieceDesign, way: (typeof TEXTURE_WAY_IDS)[number], depthMm: number) {
  const surface = surfaceChoices.parse({ texture: { way, depthMm } })
  const worked = withWork(design, 'part-1', { surface })
  const plan = planPiece(worked, {})
  const [part] = surfacedParts(worked, plan)
  const texture = part && textureOf(part, surface.texture)
  if (!part || !texture) throw new Error('no texture')
  return { worked, plan, part, texture }
}

describe.each(ROUGH_WAYS)('a sheet textured by %s before the last cut', (id) => {
  const way = textureWay(id)
  it('is the one that ends as thick as the blank', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), fc.double({ min: 0.01, max: 0.25, noNaN: true }), (afterMm, depthMm) => {
        const sheetMm = way.sheetMm?.({ thicknessMm: afterMm, depthMm }, []) ?? afterMm
        expect(way.outcome({ thicknessMm: sheetMm, depthMm, lengthMm: 50, widthMm: 20 }, []).afterMm).toBeCloseTo(afterMm, 9)
        expect(thicknessFrom(sheetMm, { way: id, depthMm })).toBeCloseTo(afterMm, 9)
      }),
    )
  })
  it.each([
    ['a strip', strip],
    ['a disc', disc],
  ] as const)('of %s is cut as its rough piece, and the route breaks nothing and ends as thick as the form is worked with', (_, design) => {
    const { worked, plan, part, texture } = textured(design, id, 0.1)
    const [cut] = plan.parts[0]?.cuts ?? []
    const [blank] = plan.parts[0]?.result?.blanks ?? []
    if (!cut || !blank) throw new Error('no blank')
    expect(blank.outline).toEqual(planPiece(design, {}).parts[0]?.result?.blanks[0]?.outline)
    expect(cut.id).toBe(blank.id)
    expect(cut.thicknessMm).toBeCloseTo(texture.sheetMm, 9)
    expect(cut.areaMm2).toBeCloseTo(texture.outcome.roughLengthMm * texture.outcome.roughWidthMm, 9)
    const routed = putOnRoute(worked, plan, 'part-1', texture.steps, { before: texture.before, idFor: (op) => `${op}+new` })
    const after = planPiece(routed, {})
    expect(lackingOnRoute(after, part.part, texture.steps)).toEqual([])
    const { moves, proposed } = putInOrder(after.assembly)
    expect(moves).toEqual([])
    const withMissing = after.steps.flatMap((step, at) => [...proposed.filter((one) => one.at === at), step])
    const against = checkRoute({ ...after.assembly, steps: withMissing }).findings.filter(({ level }) => level === 'stop')
    expect(against.map(({ rule }) => rule)).toEqual([])
    const saws = after.steps.filter(({ op }) => op === 'saw')
    expect(saws[0]?.params).toMatchObject({ what: 'rough', cutMm: Number(texture.outcome.roughLengthMm.toFixed(2)) })
    // the last cut keeps the form's own size
    expect(saws.length).toBeGreaterThan(1)
    expect(saws.at(-1)?.params.what).not.toBe('rough')
    if (id === 'dust') return
    const along = sizesAlong(after, routeTemper(after.assembly, metalsOf(after)))
    const made = along[after.steps.findIndex(({ op }) => op === texture.steps.at(-1)?.op)]
    const thick = (sizes: readonly { dimension: string; value: number }[] = []) =>
      sizes.find(({ dimension }) => dimension === 'thicknessMm')?.value ?? 0
    expect(thick(made?.before)).toBeCloseTo(texture.sheetMm, 3)
    if (id !== 'stamps') expect(thick(made?.sizes)).toBeCloseTo(blank.thicknessMm, 2)
  })
})

it('rolling and hammering keep the volume of the metal', () => {
  for (const way of ['mill', 'hammer'] as const) {
    const { plan } = textured(strip, way, 0.15)
    const [cut] = plan.parts[0]?.cuts ?? []
    const [blank] = plan.parts[0]?.result?.blanks ?? []
    expect(cut?.massG).toBeCloseTo(blank?.massG ?? 0, 6)
  }
})

it('what is textured once formed, or not at all, is cut as it is', () => {
  for (const way of ['abrasive', 'die', 'etch', 'bought'] as const) {
    const { plan } = textured(disc, way, 0.1)
    expect(plan.parts[0]?.cuts).toEqual(plan.parts[0]?.result?.blanks)
  }
})

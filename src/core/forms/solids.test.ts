import { describe, expect, it } from 'vitest'
import { meshVolumeMm3 } from '../../../tests/support/mesh-volume'
import { piecesMesh } from '../drawing/solid/mesh'
import { planOf } from '../drawing/solid/slice'
import { type Region, uniteRegions } from '../geometry/clip'
import { signedAreaMm2 } from '../geometry/outline'
import type { Point } from '../geometry/point'
import { ALLOYS } from '../metals/alloys'
import type { FormResult } from './contract'
import { FORMS } from './registry'
import { solidsOf } from './solids-of'

type Form = (typeof FORMS)[number]

function resultOf(form: Form): FormResult {
  const run = form.run(form.example)
  if (!run.ok) throw new Error(form.id)
  return run.result
}

/** Forms whose solid is their one blank bent, so that it weighs what the blank weighs, less what the round-up added. */
const BENT = [
  'ring-band',
  'ring-wire',
  'ring-taper',
  'bangle-plain',
  'bangle-oval',
  'bangle-hollow',
  'cuff',
  'tube-round',
  'tube-oval',
  'box-tube',
  'bezel',
  'bezel-gallery',
  'bail',
  'bent-bar',
  'hook',
  'strap-loop',
  'cone',
  'dome',
  'dome-cup',
  'jump-oval',
  'ring-wrap',
]

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (id, form) => {
  it('stands as a solid at every stage of forming, its volume its own', () => {
    const parts = solidsOf(resultOf(form))
    expect(parts.length).toBeGreaterThan(0)
    const volumes = [0, 0.5, 1].map((formed) => meshVolumeMm3(piecesMesh(parts, formed)))
    for (const volume of volumes) {
      expect(volume).toBeGreaterThan(0)
      expect(Math.abs(volume / (volumes[2] ?? 1) - 1)).toBeLessThan(0.03)
    }
  })

  it('seen from above covers what all its triangles that face upwards cover together', () => {
    const mesh = piecesMesh(solidsOf(resultOf(form)), 1)
    const at = (i: number): Point => [mesh.positions[3 * i] ?? 0, mesh.positions[3 * i + 1] ?? 0]
    const triangles = Array.from({ length: mesh.triangles.length / 3 }, (_, i) =>
      [0, 1, 2].map((corner) => at(mesh.triangles[3 * i + corner] ?? 0)),
    ).filter((triangle) => signedAreaMm2(triangle) > 1e-9)
    const areaOf = (regions: readonly Region[]) =>
      regions.reduce(
        (sum, { outer, holes }) =>
          sum + Math.abs(signedAreaMm2(outer)) - holes.reduce((all, hole) => all + Math.abs(signedAreaMm2(hole)), 0),
        0,
      )
    const united = areaOf(uniteRegions(triangles.map((outer) => ({ outer, holes: [] }))))
    expect(Math.abs(areaOf(planOf(mesh)) / united - 1)).toBeLessThan(2e-3)
  })

  if (BENT.includes(id))
    it('weighs as a solid what its blank weighs flat, but for rounding and clean-up (volume kept in bending: Pappus)', () => {
      const result = resultOf(form)
      const { blanks, answer } = result
      const [blank] = blanks
      const density = ALLOYS[blank?.alloy ?? 'copper-c110'].densityGPerCm3 / 1000
      const grams = meshVolumeMm3(piecesMesh(solidsOf(result), 1)) * density
      const rounded = id.startsWith('dome')
        ? (((blank?.circleRadiusMm ?? 1) * 2) / (result.results.blankMm?.value ?? answer.value)) ** 2
        : 1
      expect(Math.abs((grams * rounded) / (blank?.massG ?? 1) - 1)).toBeLessThan(0.045)
    })
})

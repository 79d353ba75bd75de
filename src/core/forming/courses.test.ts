import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../metals/alloys'
import { raiseCourses, sinkCourses } from './courses'

const copper = ALLOYS['copper-c110']

describe('a disc sunk in courses', () => {
  const input = { alloy: copper, discMm: 90, thicknessMm: 1, strain: 0, heightMm: 25, courses: 5, thinnedFraction: 0.06 }
  const courses = sinkCourses(input)
  it('keeps its volume: what planishing thins it spreads (area of the cap times thickness, closed form)', () => {
    const thinned = 0.94 ** 5
    // cap of the sphere with this rim and height: π(a² + h²)
    const last = courses.at(-1)
    const area = Math.PI * (((last?.rimDiameterMm ?? 0) / 2) ** 2 + 25 ** 2)
    expect((area * thinned) / ((Math.PI / 4) * 90 ** 2)).toBeCloseTo(1, 9)
  })
  it('rises to its height, thins at the crown, and each course uses more of its work or is annealed first', () => {
    expect(courses.at(-1)?.heightMm).toBeCloseTo(25, 9)
    courses.forEach((course, i) => {
      const before = courses[i - 1]
      if (!before) return
      expect(course.middleThicknessMm).toBeLessThan(before.middleThicknessMm)
      expect(course.annealBefore || course.workUsedFraction > before.workUsedFraction).toBe(true)
    })
  })
  it('asks for an anneal of metal that hardens soon, and none twice running', () => {
    const hard = sinkCourses({ ...input, alloy: ALLOYS['nickel-silver-c752'], thinnedFraction: 0.1, courses: 8 })
    const anneals = hard.map(({ annealBefore }) => annealBefore)
    expect(anneals).toContain(true)
    expect(anneals[0]).toBe(false)
    for (const { workUsedFraction } of hard) expect(workUsedFraction).toBeLessThan(0.61)
  })
})

describe('a disc raised in courses', () => {
  const input = { alloy: copper, discMm: 160, thicknessMm: 1, strain: 0, baseMm: 60, rimMm: 90, closesFraction: 0.08 }
  const courses = raiseCourses(input)
  it('closes by no more than is asked in each, and ends on its rim', () => {
    const rims = [160, ...courses.map(({ rimDiameterMm }) => rimDiameterMm)]
    rims.slice(1).forEach((rim, i) => {
      expect(rim / (rims[i] ?? 1)).toBeGreaterThanOrEqual(0.92 - 1e-9)
    })
    expect(rims.at(-1)).toBeCloseTo(90, 9)
    expect(courses).toHaveLength(7)
  })
  it('keeps the volume of the wall within what its rim lengthens (frustum of kept slant, thick as its round has closed)', () => {
    const last = courses.at(-1)
    const slant = (160 - 60) / 2
    const middle = Math.PI * ((90 + 60) / 2) * slant * (last?.middleThicknessMm ?? 0)
    expect(middle / ((Math.PI / 4) * (160 ** 2 - 60 ** 2))).toBeCloseTo(1, 9)
    expect(Math.hypot(last?.heightMm ?? 0, (90 - 60) / 2)).toBeCloseTo(slant, 9)
  })
  it('thickens at the free edge by half of what its round closes (uniaxial, closed form)', () =>
    expect(Math.log(courses.at(-1)?.rimThicknessMm ?? 0)).toBeCloseTo(0.5 * Math.log(160 / 90), 9))
})

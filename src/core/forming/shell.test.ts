import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { fineBulge } from './bulge/bulge'
import { raiseCourses } from './courses'
import { hardeningOf } from './hardening'
import { domedShell, heldShell, pressedShell, raisedShell, type ShellPoint } from './shell'

const alloys = fc.constantFrom(...ALLOY_IDS).map((id) => ALLOYS[id])
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/** Volume of a shell, by the areas of the cones between its points times the thickness there. */
function volumeOf(shell: readonly ShellPoint[]): number {
  return shell.slice(1).reduce((sum, to, i) => {
    const from = shell[i] as ShellPoint
    const slant = Math.hypot(to.rMm - from.rMm, to.zMm - from.zMm)
    return sum + (Math.PI * (from.rMm + to.rMm) * slant * (from.thicknessMm + to.thicknessMm)) / 2
  }, 0)
}

describe('a sheet pressed with its rim held', () => {
  it('lies on the sphere through its rim and its crown, ever thinner towards the middle', () =>
    fc.assert(
      fc.property(alloys, between(3, 60), between(0.05, 0.95), between(0.2, 2), (alloy, halfMm, share, thicknessMm) => {
        const depthMm = share * halfMm
        const shell = heldShell(alloy, { halfMm, depthMm }, thicknessMm)
        const sphere = (halfMm ** 2 + depthMm ** 2) / (2 * depthMm)
        for (const { rMm, zMm } of shell) expect(Math.hypot(rMm, zMm - depthMm + sphere)).toBeCloseTo(sphere, 6)
        expect(shell.at(-1)?.rMm).toBeCloseTo(halfMm, 6)
        expect(shell.slice(1).every(({ thicknessMm: t }, i) => t > (shell[i]?.thicknessMm ?? 0))).toBe(true)
        expect(volumeOf(shell) / (Math.PI * halfMm ** 2 * thicknessMm)).toBeCloseTo(1, 2)
      }),
      { numRuns: 60 },
    ))
  it.each(['copper-c110', 'sterling-925', 'yellow-brass-c260'] as const)(
    'of %s is as thick along its profile as the simulated sheet, within 0.03 of strain at 0.4 of its half width',
    (id) => {
      const found = fineBulge({ radiusMm: 1, hardening: hardeningOf(ALLOYS[id]), heightFraction: 0.4, rings: 40 })
      const shell = heldShell(ALLOYS[id], { halfMm: 1, depthMm: 0.4 }, 1)
      found.rings.forEach((ring, i) => {
        const rMm = ((found.radiiMm[i] ?? 0) + (found.radiiMm[i + 1] ?? 0)) / 2
        const at = shell.reduce((near, point) => (Math.abs(point.rMm - rMm) < Math.abs(near.rMm - rMm) ? point : near))
        expect(Math.abs(Math.log(at.thicknessMm) + ring.alongStrain + ring.roundStrain)).toBeLessThan(0.03)
      })
    },
  )
})

describe('a disc whose rim draws in', () => {
  it('sunk, keeps its volume and its height exactly', () =>
    fc.assert(
      fc.property(alloys, between(0.05, 1), (alloy, share) => {
        const heightMm = (share * 100) / (2 * Math.SQRT2)
        const shell = domedShell({ ...alloy, crownThinning: 1 }, 100, heightMm, 1)
        expect(shell[0]?.zMm).toBeCloseTo(heightMm, 6)
        expect(Math.abs(volumeOf(shell) / (Math.PI * 50 ** 2) - 1)).toBeLessThan(0.002)
      }),
    ))
  it('pressed, lies on the sphere of its impression, its rim thicker and its middle thinner than the sheet', () =>
    fc.assert(
      fc.property(alloys, between(4, 40), between(0.1, 0.9), (alloy, halfMm, share) => {
        const shell = pressedShell(alloy, { halfMm, depthMm: share * halfMm }, 1)
        expect(shell[0]?.zMm).toBeCloseTo(share * halfMm, 6)
        expect(shell.at(-1)?.rMm).toBeCloseTo(halfMm, 6)
        expect(shell[0]?.thicknessMm).toBeLessThan(1)
        expect(shell.at(-1)?.thicknessMm).toBeGreaterThan(1)
        // what is drawn in: more than the straight way, less than the curved one
        expect(Math.sqrt(volumeOf(shell) / Math.PI)).toBeGreaterThan(halfMm)
      }),
      { numRuns: 40 },
    ))
  it('raised, is as thick at wall and edge as its courses say, its wall as long as the disc was wide', () =>
    fc.assert(
      fc.property(between(0.5, 0.95), (share) => {
        const shell = raisedShell({ discMm: 100, rimMm: 100 * share }, 1)
        const course = raiseCourses({
          alloy: ALLOYS['copper-c110'],
          discMm: 100,
          thicknessMm: 1,
          strain: 0,
          baseMm: 0,
          rimMm: 100 * share,
          closesFraction: 0.1,
        }).at(-1)
        expect(shell.at(-1)?.thicknessMm).toBeCloseTo(course?.rimThicknessMm ?? 0, 9)
        expect(shell[8]?.thicknessMm).toBeCloseTo(course?.middleThicknessMm ?? 0, 9)
        expect(Math.hypot(shell[0]?.zMm ?? 0, shell.at(-1)?.rMm ?? 0)).toBeCloseTo(50, 6)
      }),
    ))
})

import type { Alloy } from '../metals/alloys'
import { type AddedWork, addWork } from './add-work'
import { domedMetal } from './dapping/domed-metal'
import { rimDiameterMm, sphereForHeightMm } from './dome'
import { equivalentStrain, hammerStrain } from './strain'
import { COMPRESSION_WEIGHT } from './work-used'

/** One course round a vessel, and whether an anneal belongs before it. */
export interface Course extends Omit<AddedWork, 'hardening'> {
  /** Of the middle of the metal, after it. */
  readonly rimDiameterMm: number
  readonly heightMm: number
  readonly rimThicknessMm: number
  /** At the crown of what is sunk, half way up the wall of what is raised. */
  readonly middleThicknessMm: number
  /** Added by the course at the place that is worked hardest. */
  readonly strain: number
}

interface Stock {
  readonly alloy: Alloy
  readonly discMm: number
  readonly thicknessMm: number
  /** Hardening strain as it is bought. */
  readonly strain: number
}

type Worked = Omit<Course, keyof AddedWork> & { readonly weight: number }

/** Courses with the work they come to, and the anneals they need. */
function counted(stock: Stock, courses: readonly Worked[]): Course[] {
  const added = addWork(stock, courses)
  return courses.flatMap(({ weight: _, ...course }, i): Course[] => {
    const own = added[i]
    if (!own) return []
    const { hardening: __, ...work } = own
    return [{ ...work, ...course }]
  })
}

export interface SinkInput extends Stock {
  readonly heightMm: number
  readonly courses: number
  /** What planishing takes off the thickness in each course: 0.05 to 0.10 (bench practice, low). */
  readonly thinnedFraction: number
}

/**
 * A disc sunk in even courses of height: each is a dome of the free-rim model, then planished, which thins it everywhere and spreads it by as
 * much (sources: dap-fit, bench-practice; low). `heightMm` is at most that of a hemisphere, d/(2√2).
 */
export function sinkCourses(input: SinkInput): Course[] {
  const { alloy, thicknessMm, courses, thinnedFraction } = input
  const planished = hammerStrain(thinnedFraction)
  let before = 0
  return counted(
    input,
    Array.from({ length: courses }, (_, i) => {
      const heightMm = ((i + 1) / courses) * input.heightMm
      const thinned = (1 - thinnedFraction) ** (i + 1)
      const discMm = input.discMm / Math.sqrt(thinned)
      const sphereMm = sphereForHeightMm(discMm, heightMm)
      const { crown, middle, rim } = domedMetal(alloy, discMm, sphereMm)
      const most = Math.max(crown.strain, middle.strain, rim.strain)
      const strain = Math.max(0, most - before) + planished
      before = most
      return {
        rimDiameterMm: rimDiameterMm(discMm, sphereMm),
        heightMm,
        rimThicknessMm: thicknessMm * thinned * Math.exp(rim.thicknessStrain),
        middleThicknessMm: thicknessMm * thinned * Math.exp(crown.thicknessStrain),
        strain,
        weight: 1,
      }
    }),
  )
}

export interface RaiseInput extends Stock {
  /** Across the bottom, which is not raised; 0 is raised from the centre. */
  readonly baseMm: number
  readonly rimMm: number
  /** How much of its round the rim loses in one course: 0.05 to 0.10 (bench practice, low). */
  readonly closesFraction: number
}

/**
 * A disc raised on the stake, its rim closed a little in each course. Up the wall the way along it is kept, so that it thickens by all that its
 * round loses, at the free edge by half of it; the wall is drawn straight (source: bench-practice, low).
 */
export function raiseCourses(input: RaiseInput): Course[] {
  const { discMm, thicknessMm, baseMm, rimMm, closesFraction } = input
  const courses = Math.max(1, Math.ceil(Math.log(rimMm / discMm) / Math.log(1 - closesFraction) - 1e-9))
  const step = Math.log(rimMm / discMm) / courses
  return counted(
    input,
    Array.from({ length: courses }, (_, i) => {
      const rimDiameterMm = discMm * (rimMm / discMm) ** ((i + 1) / courses)
      return {
        rimDiameterMm,
        heightMm: Math.sqrt(Math.max(0, ((discMm - baseMm) / 2) ** 2 - ((rimDiameterMm - baseMm) / 2) ** 2)),
        rimThicknessMm: thicknessMm * Math.sqrt(discMm / rimDiameterMm),
        middleThicknessMm: (thicknessMm * (discMm + baseMm)) / (rimDiameterMm + baseMm),
        strain: equivalentStrain(step, -step / 2),
        weight: COMPRESSION_WEIGHT,
      }
    }),
  )
}

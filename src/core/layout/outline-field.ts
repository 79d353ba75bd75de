import * as z from 'zod'
import { signedAreaMm2 } from '../geometry/outline'
import { isBowTie } from '../geometry/simple'

/** Nothing a smith cuts is larger than this, or smaller, mm and mm². */
export const MOST_MM = 20000
const LEAST_AREA_MM2 = 0.01
/** A place on a sheet, mm. */
export const coordinate = z
  .number()
  .min(-MOST_MM, { error: `a place within ${MOST_MM} mm` })
  .max(MOST_MM, { error: `a place within ${MOST_MM} mm` })
/** An outline as it comes in at a door: of some area, and not crossing itself. */
export const outline = z
  .array(z.tuple([coordinate, coordinate]))
  .min(3, { error: 'an outline needs at least three points' })
  .max(4000)
  .refine((points) => Math.abs(signedAreaMm2(points)) >= LEAST_AREA_MM2, { error: `an outline of at least ${LEAST_AREA_MM2} mm²` })
  .refine((points) => !isBowTie(points), { error: 'the outline crosses itself; give it as a simple outline' })

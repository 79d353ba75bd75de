import { TENTH } from '../numerics/normal'
import { figureOf, type OwnFigures } from '../tables/figures'
import { derive, given, type WorkingLog } from '../working/derive'

/** What a hand has sawn, and the blades that broke over it. */
export interface BladesBroken {
  readonly sawnMm2: number
  readonly blades: number
}

/** How much metal a blade cuts before it breaks. */
export interface BladeLife {
  readonly mm2: number
  /** 10 and 90 % of what it may be, mm²; undefined where it is only the table’s, or was typed. */
  readonly low?: number
  readonly high?: number
}

/** The table is believed as much as so many blades that broke would be (house default). */
const TABLE_COUNTS = 2

/** A quantile of a gamma distribution of a shape and scale 1, by Wilson and Hilferty’s approximation: within 2 % from shape 2 on. */
function gammaQuantile(shape: number, z: number): number {
  return shape * (1 - 1 / (9 * shape) + z / (3 * Math.sqrt(shape))) ** 3
}

/**
 * The metal a blade cuts before it breaks, mm²: by the hand’s own broken blades, drawn toward the table’s figure from the first on (gamma prior on
 * how often one breaks, closed form; source: own-record). A figure that was typed stands over both. 3 broken over 3,000 mm² beside a table of 500:
 * 800. Metal sawn with none broken tells something too.
 */
export function bladeLife(log: WorkingLog, figures: OwnFigures, broken: BladesBroken | undefined): BladeLife {
  const table = figureOf('blade-life', figures)
  if (!broken || broken.sawnMm2 <= 0 || figures['blade-life'] !== undefined) return { mm2: table }
  const mm2 = derive(log, {
    label: 'Metal a blade cuts before it breaks',
    formula: '(p·b + S)/(p + n)',
    unit: 'mm2',
    source: 'own-record',
    given: [
      given('p', 'blades the table counts for', TABLE_COUNTS, 'count'),
      given('b', 'by the table', table, 'mm2'),
      given('S', 'sawn by you', broken.sawnMm2, 'mm2'),
      given('n', 'blades of yours that broke over it', broken.blades, 'count'),
    ],
  })
  const shape = TABLE_COUNTS + broken.blades
  return { mm2, low: (mm2 * shape) / gammaQuantile(shape, TENTH), high: (mm2 * shape) / gammaQuantile(shape, -TENTH) }
}

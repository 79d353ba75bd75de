import * as z from 'zod'
import { ALLOY_IDS, ALLOYS, type AlloyId } from '../metals/alloys'
import { hardnessHv } from '../metals/flow'
import type { Confidence } from '../sources/sources'
import type { Unit } from '../units/unit'
import type { FitId } from './drills/fit-ids'

/** A preset of the bench that a smith may replace by a figure of their own. */
export interface Figure {
  readonly title: string
  readonly unit: Unit
  readonly preset: number
  readonly minimum: number
  readonly maximum: number
  readonly confidence: Confidence
}

/** The field of own figures, as it comes in at a door. */
export const ownFiguresField = () =>
  z
    .record(z.string(), z.number())
    .superRefine((own, context) => {
      for (const [id, value] of Object.entries(own)) {
        const known = Object.hasOwn(FIGURES, id) ? FIGURES[id] : undefined
        if (!known || (value >= known.minimum && value <= known.maximum)) continue
        const allowed = `${known.minimum.toPrecision(3)} to ${known.maximum.toPrecision(3)} ${known.unit}`
        context.addIssue({ code: 'custom', path: [id], message: `${known.title}: ${value} was given; allowed: ${allowed}` })
      }
    })
    .default({})

/** Own figures by id; what is not there is the preset. */
export type OwnFigures = Readonly<Record<string, number>>

function figure(title: string, unit: Unit, preset: number, range: readonly [number, number], confidence: Confidence = 'medium'): Figure {
  return { title, unit, preset, minimum: range[0], maximum: range[1], confidence }
}

/** Least and most clearance of each fit, mm or a share of the pin. */
const FIT_PRESETS: Readonly<Record<FitId, readonly [number, number, Unit, Confidence]>> = {
  tight: [-0.02, 0, 'mm', 'low'],
  snug: [0, 0.05, 'mm', 'medium'],
  free: [0.1, 0.15, 'mm', 'low'],
  'solder-pin': [0.03, 0.08, 'mm', 'medium'],
  engineering: [0.05, 0.1, 'ratio', 'low'],
}

function fitFigures(): Record<string, Figure> {
  return Object.fromEntries(
    Object.entries(FIT_PRESETS).flatMap(([id, [least, most, unit, confidence]]) => [
      [`fit-${id}-least`, figure(`Hole over pin, ${id.replace('-', ' ')}: from`, unit, least, [-0.2, 1], confidence)],
      [`fit-${id}-most`, figure(`Hole over pin, ${id.replace('-', ' ')}: to`, unit, most, [-0.2, 1], confidence)],
    ]),
  )
}

function densityFigures(): Record<string, Figure> {
  return Object.fromEntries(
    ALLOY_IDS.map((id) => {
      const { densityGPerCm3: density, title } = ALLOYS[id]
      return [
        `density-${id}`,
        figure(`Density of ${title.toLowerCase()}, as you weighed it`, 'g/cm3', density, [0.85 * density, 1.15 * density], 'high'),
      ]
    }),
  )
}

/** Stand-ins for what a supplier would quote for a gram, by metal: round numbers to work with until one's own stand beside them. */
const PRICE_PRESETS: Readonly<Record<AlloyId, number>> = {
  'copper-c110': 0.03,
  'red-brass-c230': 0.03,
  'yellow-brass-c260': 0.03,
  'nickel-silver-c752': 0.05,
  'fine-silver': 1.2,
  'sterling-925': 1.1,
  'ge-sterling': 1.15,
  'bronze-c220': 0.03,
  'phosphor-bronze-c510': 0.04,
  'gold-filled': 6,
  'fine-gold': 75,
  'gold-14k': 45,
  'aluminium-1100': 0.01,
  'aluminium-3003': 0.01,
  'mild-steel-1008': 0.01,
}

function priceFigures(): Record<string, Figure> {
  return Object.fromEntries(
    ALLOY_IDS.map((id) => [
      `price-${id}`,
      figure(`Price of a gram of ${ALLOYS[id].title.toLowerCase()}`, 'money/g', PRICE_PRESETS[id], [0, 10_000], 'low'),
    ]),
  )
}

/** What a batch of a metal may do otherwise than the tables say: it is worked out by these wherever it is worked. */
function metalFigures(): Record<string, Figure> {
  return Object.fromEntries(
    ALLOY_IDS.flatMap((id) => {
      const alloy = ALLOYS[id]
      const { halfSofteningC, elasticModulusGPa } = alloy
      const [name, hv] = [alloy.title.toLowerCase(), Math.round(hardnessHv(alloy, 0))]
      const rows: readonly (readonly [string, Figure])[] = [
        [`annealed-hv-${id}`, figure(`Hardness of annealed ${name}`, 'HV', hv, [0.5 * hv, 2 * hv], alloy.flow.confidence)],
        [`hardening-${id}`, figure(`Hardening of ${name}, against the tables`, 'ratio', 1, [0.4, 2.5], 'low')],
        [
          `reduction-limit-${id}`,
          figure(`Reduction of ${name} between two anneals`, '%', 100 * alloy.reductionLimitFraction, [15, 95], 'low'),
        ],
        [
          `half-softening-${id}`,
          figure(`Half softening of ${name} in an hour`, '°C', halfSofteningC, [halfSofteningC - 130, halfSofteningC + 200], 'low'),
        ],
        [
          `modulus-${id}`,
          figure(`Stiffness of ${name} (modulus)`, 'GPa', elasticModulusGPa, [0.6 * elasticModulusGPa, 1.5 * elasticModulusGPa]),
        ],
        [
          `crown-thinning-${id}`,
          figure(`Thinning of the crown of a dome of ${name}, against what is calculated`, 'ratio', 1, [0.1, 3], 'low'),
        ],
      ]
      return rows
    }),
  )
}

/** What each metal is worked out by; a smith's own batch may differ. */
export const METAL_FIGURES: Readonly<Record<string, Figure>> = metalFigures()

/** Every figure that can be one's own, by id. */
export const FIGURES: Readonly<Record<string, Figure>> = {
  ...fitFigures(),
  'teeth-aim-least': figure('Teeth in the metal, aimed at: from', 'count', 2, [1, 6]),
  'teeth-aim-most': figure('Teeth in the metal, aimed at: to', 'count', 3, [1, 8]),
  'teeth-least': figure('Teeth in the metal, at the least', 'count', 1.5, [0.5, 6]),
  'teeth-most': figure('Teeth in the metal, at the most', 'count', 4, [1, 12]),
  'blade-set': figure('Kerf over the blade’s thickness', 'mm', 0.03, [0, 0.3], 'low'),
  'saw-rate': figure('Metal a saw cuts in a minute', 'mm2', 30, [3, 300], 'low'),
  'blade-life': figure('Metal a saw blade cuts before it breaks', 'mm2', 500, [20, 20_000], 'low'),
  'mark-edge': figure('From a stamped mark to the edge, at the least', 'mm', 1, [0, 20], 'low'),
  'mark-apart': figure('Between two stamped marks, at the least', 'mm', 0.2, [0, 10], 'low'),
  'pot-warm-up': figure('Pickle pot is hot after', 'min', 20, [0, 240], 'low'),
  'sand-rate-face': figure('Face rubbed with one paper in a minute', 'mm2', 400, [20, 20_000], 'low'),
  'etch-undercut': figure('Etch eats sideways, of its depth', 'ratio', 0.75, [0.1, 2], 'low'),
  'etch-density': figure('Current for a square decimetre of etched metal', 'A/dm2', 8, [0.5, 40], 'low'),
  'etch-density-most': figure('Current for a square decimetre, at the most', 'A/dm2', 15, [1, 60], 'low'),
  'refine-return': figure('Paid for scrap, of the price of its fine metal', 'ratio', 0.9, [0.1, 1], 'low'),
  'grit-skip': figure('Grit skip: next is finer by at most', 'ratio', 2, [1.1, 5]),
  'grit-gain': figure('Grit gain: next is finer by at least', 'ratio', 1.25, [1, 3]),
  'solder-gap': figure('Between two solders’ flows', '°C', 20, [0, 100]),
  'solder-gap-least': figure('Between two solders’ flows, at the least', '°C', 10, [0, 100]),
  'solder-guard': figure('From a solder’s flow to the metal’s solidus', '°C', 20, [0, 100]),
  'wide-band-4': figure('Wider than 4 mm: add', 'US size', 0.25, [0, 3], 'low'),
  'wide-band-6': figure('Wider than 6 mm: add', 'US size', 0.5, [0, 3], 'low'),
  'wide-band-8': figure('Wider than 8 mm: add', 'US size', 0.5, [0, 3], 'low'),
  'wide-band-12': figure('Wider than 12 mm: add', 'US size', 0.75, [0, 3], 'low'),
  'rim-step': figure('The rim closes by at most so many thicknesses a punch', 'count', 5, [2, 12], 'low'),
  'hammer-spread': figure('Of what the hammer thins, the share that goes into the width', 'ratio', 0.5, [0, 1], 'low'),
  'check-piece': figure('Check piece that the calipers are tried on', 'mm', 10, [1, 150]),
  'caliper-error': figure('Calipers may be off by, against a check piece', 'mm', 0.02, [0, 0.5], 'medium'),
  'check-weight': figure('Check weight that the scale is tried on', 'g', 50, [0.1, 10_000]),
  'scale-error': figure('The scale may be off by, against a check weight', 'g', 0.02, [0, 5], 'medium'),
  'labour-hour': figure('Charged for an hour of the hands', 'money/h', 35, [0, 10_000], 'low'),
  'consumables-hour': figure('Gas, abrasives and blades for an hour of the hands', 'money/h', 3, [0, 1000], 'low'),
  'overhead-share': figure('Overhead, of labour', 'ratio', 0.25, [0, 10], 'low'),
  'profit-share': figure('Added on what it costs', 'ratio', 0.2, [0, 10], 'low'),
  'tool-price-blade': figure('Price of a dozen saw blades', 'money', 6, [0, 10_000], 'low'),
  'tool-price-drill': figure('Price of a twist drill', 'money', 3, [0, 10_000], 'low'),
  'tool-price-punch': figure('Price of a dapping punch', 'money', 12, [0, 10_000], 'low'),
  'tool-price-hole-punch': figure('Price of a hole punch', 'money', 18, [0, 10_000], 'low'),
  'tool-price-mandrel': figure('Price of a mandrel', 'money', 35, [0, 10_000], 'low'),
  'tool-price-abrasive': figure('Price of a sheet of abrasive', 'money', 1, [0, 10_000], 'low'),
  'tool-price-cup': figure('Price of a doming cup', 'money', 25, [0, 10_000], 'low'),
  'tool-price-solder': figure('Price of a strip of solder', 'money', 12, [0, 10_000], 'low'),
  'price-solder': figure('Price of a gram of solder', 'money/g', 2, [0, 10_000], 'low'),
  ...densityFigures(),
  ...priceFigures(),
  ...METAL_FIGURES,
}

/** A figure to work with: one's own, else the preset. Throws nothing; an id that is not there is a slip of ours and gives NaN. */
export function figureOf(id: string, own: OwnFigures): number {
  return own[id] ?? FIGURES[id]?.preset ?? Number.NaN
}

/** Mass in g of a volume in mm³ by the density to work with. */
export function massWith(alloy: AlloyId, volumeMm3: number, own: OwnFigures): number {
  return (figureOf(`density-${alloy}`, own) * volumeMm3) / 1000
}

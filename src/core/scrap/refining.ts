import { ALLOYS, type AlloyId } from '../metals/alloys'
import { figureOf, type OwnFigures } from '../tables/figures'
import { derive, given, type WorkingLog } from '../working/derive'
import { JAR_KIND_WORDS, type JarMetal } from './jar'

/** The precious metal that a refiner pays for, and how much of an alloy is of it, in parts per thousand (fineness; ISO 9202). */
const FINENESS: Readonly<Partial<Record<AlloyId, { readonly of: 'fine-silver' | 'fine-gold'; readonly perMille: number }>>> = {
  'fine-silver': { of: 'fine-silver', perMille: 999 },
  'sterling-925': { of: 'fine-silver', perMille: 925 },
  'ge-sterling': { of: 'fine-silver', perMille: 925 },
  'fine-gold': { of: 'fine-gold', perMille: 999 },
  'gold-14k': { of: 'fine-gold', perMille: 585 },
  // a twentieth of 14 carat by mass, as it is usually sold (low)
  'gold-filled': { of: 'fine-gold', perMille: 29 },
}

/** A line of a refining slip. */
export interface SlipLine extends JarMetal {
  readonly title: string
  readonly massG: number
  /** Parts per thousand of precious metal; undefined for base metal, which is sold as it is. */
  readonly perMille: number | undefined
  readonly fineG: number | undefined
  /** What to expect for it, in the workshop's money. */
  readonly value: number
  readonly note: string | undefined
}

export interface RefiningSlip {
  readonly lines: readonly SlipLine[]
  readonly massG: number
  readonly value: number
  readonly working: WorkingLog
}

/** A jar as it is sent. */
export interface SentJar extends JarMetal {
  readonly massG: number
  readonly isMixed: boolean
}

const NOTES: Readonly<Record<JarMetal['kind'], string | undefined>> = {
  clean: undefined,
  soldered: 'solder lowers the fineness: the assay decides',
  filings: 'steel and grit in it: magnet through it first; the assay decides',
}

function slipLine(jar: SentJar, figures: OwnFigures, working: WorkingLog): SlipLine {
  const { alloy, kind, massG, isMixed } = jar
  const fineness = FINENESS[alloy]
  const share = figureOf('refine-return', figures)
  const title = `${ALLOYS[alloy].title}, ${JAR_KIND_WORDS[kind]}`
  const paid = fineness?.of ?? alloy
  const perMille = fineness?.perMille ?? 1000
  const value = derive(working, {
    label: title,
    formula: 'm·f/1000·p·r',
    unit: 'money',
    source: 'house-default',
    given: [
      given('m', 'mass', massG, 'g'),
      given('f', fineness ? 'fineness' : 'the metal as it is', perMille, '‰'),
      given('p', `price of a gram of ${ALLOYS[paid].title.toLowerCase()}`, figureOf(`price-${paid}`, figures), 'money/g'),
      given('r', 'what is paid for scrap of the price', share, 'ratio'),
    ],
    note: 'In the workshop’s money.',
  })
  return {
    alloy,
    kind,
    title,
    massG,
    perMille: fineness?.perMille,
    fineG: fineness && (massG * fineness.perMille) / 1000,
    value,
    note: isMixed ? 'other metal was put in: the assay decides, and it may be worth much less' : NOTES[kind],
  }
}

/** What goes to the refiner: mass, fineness, the fine metal in it and what to expect for it. A slip to go with the metal; the refiner's assay decides. */
export function refiningSlip(jars: readonly SentJar[], figures: OwnFigures): RefiningSlip {
  const working: WorkingLog = []
  const lines = jars.filter(({ massG }) => massG > 0).map((jar) => slipLine(jar, figures, working))
  return {
    lines,
    massG: lines.reduce((sum, { massG }) => sum + massG, 0),
    value: lines.reduce((sum, { value }) => sum + value, 0),
    working,
  }
}

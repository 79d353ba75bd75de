import { ALLOYS, type AlloyId } from '../metals/alloys'
import { TENTH } from '../numerics/normal'
import { figureOf, type OwnFigures } from '../tables/figures'
import { derive, given, type WorkingLog, type WorkingStep } from '../working/derive'
import { standInPrices } from './metal-prices'

/** A piece of a job as far as its cost is concerned. */
export interface QuotePiece {
  readonly id: number
  readonly name: string
  /** How many are handed over. */
  readonly quantity: number
  /** Metal of one, by alloy, as it is cut. */
  readonly metals: readonly { readonly alloy: AlloyId; readonly massG: number }[]
  readonly solderMm3: number
  /** Minutes of the hands for one, and how far they scatter (standard deviation of the logarithm). */
  readonly handsMin: number
  readonly spread: number
  /** Share of those begun that go wrong. */
  readonly lossShare: number
}

export interface QuotedPiece extends QuotePiece {
  /** What one costs to make. */
  readonly costEach: number
  readonly priceEach: number
  readonly price: number
  /** In eight cases of ten the price would come out between these, the minutes scattering as they do. */
  readonly between: { readonly least: number; readonly most: number }
  readonly working: readonly WorkingStep[]
  /** What the price of one is made of; the rest is overhead, losses and what is added. */
  readonly made: Readonly<Record<'metal' | 'solder' | 'labour' | 'consumed' | 'rest', number>>
}

export interface Quote {
  readonly pieces: readonly QuotedPiece[]
  readonly total: number
  readonly between: { readonly least: number; readonly most: number }
  /** Where the metal’s prices are from. */
  readonly pricesFrom: string
}

/** Silver and gold solders weigh about so much (middle of makers’ sheets from memory, low). */
const SOLDER_G_PER_CM3 = 9.5

/** What is charged for an hour of the hands, of one kind. */
function byTheHour(log: WorkingLog, label: string, handsMin: number, rate: number): number {
  return derive(log, {
    label,
    formula: 'n/60·w',
    given: [given('n', 'minutes of the hands', handsMin, 'min'), given('w', 'for an hour', rate, 'money/h')],
    unit: 'money',
    source: 'own-record',
  })
}

function metalOf(log: WorkingLog, { metals }: QuotePiece, figures: OwnFigures): number {
  const { perGram } = standInPrices(figures)
  return metals.reduce((sum, { alloy, massG }) => {
    const cost = derive(log, {
      label: `Metal of one, ${ALLOYS[alloy].title.toLowerCase()}`,
      formula: 'm·p',
      given: [given('m', 'mass as cut', massG, 'g'), given('p', 'price of a gram', perGram(alloy), 'money/g')],
      unit: 'money',
      source: 'own-record',
    })
    return sum + cost
  }, 0)
}

function solderOf(log: WorkingLog, { solderMm3 }: QuotePiece, figures: OwnFigures): number {
  if (solderMm3 === 0) return 0
  return derive(log, {
    label: 'Solder of one',
    formula: 'V·w/1000·p',
    given: [
      given('V', 'solder in its seams', solderMm3, 'mm3'),
      given('w', 'density of solder', SOLDER_G_PER_CM3, 'g/cm3'),
      given('p', 'price of a gram', figureOf('price-solder', figures), 'money/g'),
    ],
    unit: 'money',
    source: 'bench-practice',
  })
}

/** What one costs and is sold for, when it takes so many minutes. */
function priceOf(piece: QuotePiece, handsMin: number, figures: OwnFigures) {
  const working: WorkingLog = []
  const figure = (id: string) => figureOf(id, figures)
  const metal = metalOf(working, piece, figures)
  const solder = solderOf(working, piece, figures)
  const labour = byTheHour(working, 'Labour for one', handsMin, figure('labour-hour'))
  const consumed = byTheHour(working, 'Gas, abrasives, blades for one', handsMin, figure('consumables-hour'))
  const costEach = derive(working, {
    label: 'Cost of one that comes out',
    formula: '(M + S + L·(1 + o) + C)/(1 − v)',
    given: [
      given('M', 'metal', metal, 'money'),
      given('S', 'solder', solder, 'money'),
      given('L', 'labour', labour, 'money'),
      given('o', 'overhead, of labour', figure('overhead-share'), 'ratio'),
      given('C', 'gas, abrasives, blades', consumed, 'money'),
      given('v', 'share that goes wrong', piece.lossShare, 'ratio'),
    ],
    unit: 'money',
    source: 'closed-form',
    note: 'What goes wrong is paid for by what comes out; its metal is worth something as scrap, which is not counted.',
  })
  const priceEach = derive(working, {
    label: 'Price of one',
    formula: 'K·(1 + g)',
    given: [given('K', 'cost', costEach, 'money'), given('g', 'added', figure('profit-share'), 'ratio')],
    unit: 'money',
    source: 'own-record',
  })
  const rest = priceEach - metal - solder - labour - consumed
  return { working, costEach, priceEach, made: { metal, solder, labour, consumed, rest } }
}

function quotePiece(piece: QuotePiece, figures: OwnFigures): QuotedPiece {
  const { quantity, handsMin, spread } = piece
  const quoted = priceOf(piece, handsMin, figures)
  const at = (side: 1 | -1) => quantity * priceOf(piece, handsMin * Math.exp(side * TENTH * spread), figures).priceEach
  return { ...piece, ...quoted, price: quantity * quoted.priceEach, between: { least: at(-1), most: at(1) } }
}

/**
 * What a job is to cost: metal by weight, solder, labour by own minutes with overhead, what is used up, what goes wrong, and what is added. Bands come
 * from how far minutes scatter, those of several pieces as if each erred by itself.
 */
export function quoteOf(pieces: readonly QuotePiece[], figures: OwnFigures): Quote {
  const quoted = pieces.map((piece) => quotePiece(piece, figures))
  const total = quoted.reduce((sum, { price }) => sum + price, 0)
  const off = (side: 'least' | 'most') => Math.sqrt(quoted.reduce((sum, { price, between }) => sum + (between[side] - price) ** 2, 0))
  return {
    pieces: quoted,
    total,
    between: { least: Math.max(0, total - off('least')), most: total + off('most') },
    pricesFrom: standInPrices(figures).from,
  }
}

import type { AlloyId } from '../metals/alloys'
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
/** Eight cases of ten of a normal distribution lie within so many standard deviations. */
const EIGHT_OF_TEN = 1.2816

function quotePiece(piece: QuotePiece, figures: OwnFigures): QuotedPiece {
  const figure = (id: string) => figureOf(id, figures)
  const prices = standInPrices(figures)
  const workingOf = (handsMin: number): { readonly working: WorkingLog; readonly cost: number; readonly price: number } => {
    const working: WorkingLog = []
    const metal = piece.metals.reduce((sum, { alloy, massG }, i) => {
      const symbol = piece.metals.length === 1 ? 'm' : `m${i + 1}`
      return (
        sum +
        derive(working, {
          label: `Metal of one${piece.metals.length === 1 ? '' : `, ${i + 1} of ${piece.metals.length}`}`,
          formula: `${symbol}·p`,
          given: [given(symbol, 'mass as cut', massG, 'g'), given('p', 'price of a gram', prices.perGram(alloy), 'money/g')],
          unit: 'money',
          source: 'own-record',
        })
      )
    }, 0)
    const solder =
      piece.solderMm3 === 0
        ? 0
        : derive(working, {
            label: 'Solder of one',
            formula: 'V·w/1000·p',
            given: [
              given('V', 'solder in its seams', piece.solderMm3, 'mm3'),
              given('w', 'density of solder', SOLDER_G_PER_CM3, 'g/cm3'),
              given('p', 'price of a gram', figure('price-solder'), 'money/g'),
            ],
            unit: 'money',
            source: 'bench-practice',
          })
    const labour = derive(working, {
      label: 'Labour for one',
      formula: 'n/60·w',
      given: [given('n', 'minutes of the hands', handsMin, 'min'), given('w', 'charged for an hour', figure('labour-hour'), 'money/h')],
      unit: 'money',
      source: 'own-record',
    })
    const consumed = derive(working, {
      label: 'Gas, abrasives, blades for one',
      formula: 'n/60·c',
      given: [given('n', 'minutes of the hands', handsMin, 'min'), given('c', 'for an hour', figure('consumables-hour'), 'money/h')],
      unit: 'money',
      source: 'bench-practice',
    })
    const cost = derive(working, {
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
    const price = derive(working, {
      label: 'Price of one',
      formula: 'K·(1 + g)',
      given: [given('K', 'cost', cost, 'money'), given('g', 'added', figure('profit-share'), 'ratio')],
      unit: 'money',
      source: 'own-record',
    })
    return { working, cost, price }
  }
  const { working, cost, price } = workingOf(piece.handsMin)
  const at = (side: 1 | -1) => piece.quantity * workingOf(piece.handsMin * Math.exp(side * EIGHT_OF_TEN * piece.spread)).price
  return {
    ...piece,
    costEach: cost,
    priceEach: price,
    price: piece.quantity * price,
    between: { least: at(-1), most: at(1) },
    working,
  }
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

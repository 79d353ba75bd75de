/** What the record says of losing pieces: how many were begun and how many of them went wrong. */
export interface Losses {
  readonly begun: number
  readonly lost: number
}

/** As sure as this that enough good ones come out (house default). */
const SURE = 0.95
const MOST_SPARES = 500
/** Fewer ever begun say nothing yet. */
const LEAST_BEGUN = 10

/** Share lost that a record speaks for, few pieces drawn toward a half by Jeffreys’ prior: (lost + ½)/(begun + 1). */
export function lossRate({ begun, lost }: Losses): number {
  return (lost + 0.5) / (begun + 1)
}

/** Share that goes wrong: by the record, or where it says nothing yet, the spares that are cut. */
export function lossShare(losses: Losses, { quantity, spares }: { readonly quantity: number; readonly spares: number }): number {
  return losses.begun < LEAST_BEGUN ? spares / (quantity + spares) : lossRate(losses)
}

/** Chance that of `tries` pieces at most `spares` are lost: the binomial sum (source: closed-form). */
export function chanceEnough(tries: number, spares: number, rate: number): number {
  let term = (1 - rate) ** tries
  let sum = term
  for (let k = 1; k <= spares; k++) {
    term *= ((tries - k + 1) / k) * (rate / (1 - rate))
    sum += term
  }
  return Math.min(1, sum)
}

export interface Spares extends Losses {
  readonly spares: number
  readonly rate: number
  readonly why: string
}

/**
 * Spares to cut for a quantity, so that in nineteen cases of twenty enough good ones come out, by what was lost before.
 * Undefined where fewer than ten pieces were ever begun: such a record says nothing yet.
 */
export function sparesFor(quantity: number, losses: Losses): Spares | undefined {
  if (losses.begun < LEAST_BEGUN) return undefined
  const rate = lossRate(losses)
  let spares = 0
  while (spares < MOST_SPARES && chanceEnough(quantity + spares, spares, rate) < SURE) spares++
  const why = `${losses.lost} of ${losses.begun} begun went wrong; ${spares === 0 ? 'no spare is needed' : `${spares} ${spares === 1 ? 'spare' : 'spares'}`} nineteen times in twenty.`
  return { ...losses, spares, rate, why }
}

/** How many are made, in words: "6, no spares", "3, 1 spare". */
export function countWords({ quantity, spares }: { readonly quantity: number; readonly spares: number }): string {
  return `${quantity}, ${spares === 0 ? 'no' : spares} ${spares === 1 ? 'spare' : 'spares'}`
}

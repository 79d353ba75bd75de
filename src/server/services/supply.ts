import { type StockPiece, type Supply, supplyOf } from '@/core/costing'
import type { FormResult } from '@/core/forms'
import type { BoughtTemper } from '@/core/metals'
import type { Repositories } from '../db/repositories'

/** The layout of what the drawer may hold gets so long; what it has not placed by then counts as short. */
const SECONDS = 0.04

function stockOf({ drawer }: Pick<Repositories, 'drawer'>): StockPiece[] {
  return drawer.all().map((stock) => ({ ...stock, thicknessMm: stock.measuredMm ?? stock.thicknessMm }))
}

/** What the drawer holds of a piece's metal, and what to buy where it is short. */
export function supplyFor(repositories: Repositories, result: FormResult, qty: number, bought: BoughtTemper): Supply[] {
  const { kerfMm, marginMm, figures } = repositories.settings.read()
  const began = performance.now()
  const elapsedS = () => (performance.now() - began) / 1000
  return supplyOf(result.blanks, qty, {
    drawer: stockOf(repositories),
    kerfMm,
    marginMm,
    bought,
    figures,
    control: { elapsedS, shouldStop: () => elapsedS() > SECONDS },
  })
}

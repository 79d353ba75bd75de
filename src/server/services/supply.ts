import { type StockPiece, type Supply, supplyOf } from '@/core/costing'
import type { PiecePlan } from '@/core/piece'
import type { Repositories } from '../db/repositories'

/** The layout of what the drawer may hold gets so long; what it has not placed by then counts as short. */
const SECONDS = 0.04

/** The drawer's metal, each piece as thick as it was measured. */
export function stockOf({ drawer }: Pick<Repositories, 'drawer'>): StockPiece[] {
  return drawer.all().map((stock) => ({ ...stock, thicknessMm: stock.measuredMm ?? stock.thicknessMm }))
}

/** What the drawer holds of a piece's metal, and what to buy where it is short. */
export function supplyFor(repositories: Repositories, plan: PiecePlan, qty: number): Supply[] {
  const { kerfMm, marginMm, figures } = repositories.settings.read()
  const began = performance.now()
  const elapsedS = () => (performance.now() - began) / 1000
  const drawer = stockOf(repositories)
  return plan.parts.flatMap(({ cuts, metal, count, isCut }, i) => {
    const mayTakeS = (SECONDS * (i + 1)) / plan.parts.length
    const control = { elapsedS, shouldStop: () => elapsedS() > mayTakeS }
    return metal && isCut ? supplyOf(cuts, qty * count, { drawer, kerfMm, marginMm, bought: metal.bought, figures, control }) : []
  })
}

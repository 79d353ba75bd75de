import { type Quote, type QuotePiece, quoteOf } from '@/core/costing'
import { lossShare } from '@/core/logbook'
import type { AlloyId } from '@/core/metals'
import type { PiecePlan, PlanOptions } from '@/core/piece'
import { type TookMinutes, workToBe } from '@/core/schedule'
import type { Job, Piece, Repositories } from '../db/repositories'
import { planDesign, planOptions, torchBookOf } from './piece-plan'

/** A job with what it is to cost; pieces whose size is open are named apart. */
export interface JobQuote {
  readonly job: Job
  readonly quote: Quote
  /** What was agreed, or the quote itself where nothing was; and what of it is not paid yet. */
  readonly agreed: number
  readonly balance: number
  readonly open: readonly string[]
  readonly metals: readonly AlloyId[]
  readonly pricesOn: string
}

/** The metal of one piece as it is cut; what is cut out of the piece itself is not bought. */
function metalsOf({ parts }: PiecePlan): QuotePiece['metals'] {
  const masses = new Map<AlloyId, number>()
  for (const { result, count, isCut } of parts)
    for (const { alloy, stock, each = 1, massG } of result?.blanks ?? [])
      if (isCut && stock !== 'piece') masses.set(alloy, (masses.get(alloy) ?? 0) + count * each * massG)
  return [...masses].map(([alloy, massG]) => ({ alloy, massG }))
}

/** Minutes of one out of so many made together, and how far they scatter. */
function handsOf({ steps }: PiecePlan, pieces: number, took: TookMinutes): Pick<QuotePiece, 'handsMin' | 'spread'> {
  const work = workToBe(steps, pieces, took)
  const minutes = work.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0)
  const variance = work.reduce((sum, { handsOnMin, handsSpread }) => sum + (handsOnMin * handsSpread) ** 2, 0)
  return { handsMin: minutes / pieces, spread: minutes > 0 ? Math.sqrt(variance) / minutes : 0 }
}

function quotePieceOf(repositories: Repositories, piece: Piece, options: Required<PlanOptions>, took: TookMinutes): QuotePiece | undefined {
  const plan = planDesign(piece.design, options)
  const [main] = plan.parts
  if (!plan.ok || !main?.metal) return undefined
  const { heats } = torchBookOf(repositories, plan, options)
  const solderMm3 = heats.flatMap(({ joints }) => joints).reduce((sum, { amount }) => sum + (amount?.volumeMm3 ?? 0), 0)
  return {
    id: piece.id,
    name: piece.name,
    quantity: piece.quantity,
    metals: metalsOf(plan),
    solderMm3,
    ...handsOf(plan, piece.quantity + piece.spares, took),
    lossShare: lossShare(repositories.record.losses(main.form, main.metal.alloy), piece),
  }
}

/** What a job is to cost, by the workshop’s own minutes, losses and figures. */
export function jobQuote(repositories: Repositories, jobId: number): JobQuote | undefined {
  const job = repositories.jobs.job(jobId)
  if (!job) return undefined
  const options = planOptions(repositories)
  const took = repositories.entries.tookMinutes()
  const pieces = repositories.jobs.pieces(jobId)
  const known = pieces.map((piece) => ({ piece, quoted: quotePieceOf(repositories, piece, options, took) }))
  const quoted = known.flatMap(({ quoted: one }) => one ?? [])
  const quote = quoteOf(quoted, options.figures)
  const agreed = job.agreed ?? quote.total
  return {
    job,
    quote,
    agreed,
    balance: agreed - (job.deposit ?? 0),
    open: known.filter((one) => !one.quoted).map(({ piece }) => piece.name),
    metals: [...new Set(quoted.flatMap(({ metals }) => metals.map(({ alloy }) => alloy)))],
    pricesOn: repositories.settings.read().pricesOn,
  }
}

import { type Quote, type QuotePiece, quoteOf } from '@/core/costing'
import { lossRate } from '@/core/logbook'
import { type AlloyId, findAlloy } from '@/core/metals'
import { findOperation } from '@/core/operations'
import { type PiecePlan, type PlanOptions, torchBook } from '@/core/piece'
import { type TookMinutes, workLeft } from '@/core/schedule'
import type { Job, Piece, Repositories } from '../db/repositories'
import { planDesign, planOptions } from './piece-plan'

/** Own times that are looked at. */
const NEWEST_TIMES = 3000
/** Fewer pieces ever begun say nothing of what goes wrong. */
const LEAST_BEGUN = 10

/** A job with what it is to cost; pieces whose size is open are named apart. */
export interface JobQuote {
  readonly job: Job
  readonly quote: Quote
  readonly open: readonly string[]
  readonly metals: readonly AlloyId[]
  readonly pricesOn: string
}

function metalsOf({ parts }: PiecePlan): QuotePiece['metals'] {
  const blanks = parts.flatMap(({ result, count }) => (result?.blanks ?? []).map((blank) => ({ blank, count: count * (blank.each ?? 1) })))
  const masses = new Map<string, number>()
  for (const { blank, count } of blanks) masses.set(blank.alloy, (masses.get(blank.alloy) ?? 0) + count * blank.massG)
  return [...masses].flatMap(([id, massG]) => {
    const alloy = findAlloy(id)
    return alloy ? [{ alloy: alloy.id, massG }] : []
  })
}

/** Minutes of one out of so many made together, and how far they scatter. */
function handsOf({ steps }: PiecePlan, pieces: number, took: TookMinutes): Pick<QuotePiece, 'handsMin' | 'spread'> {
  const all = steps.map(({ id, op, params }) => ({ id, op, params, together: findOperation(op)?.together ?? false }))
  const alive = Array.from({ length: pieces }, (_, i) => i + 1)
  const work = workLeft(all, { left: all.map((_, i) => i), alive, stepIndex: -1, doneHere: 0 }, took)
  const minutes = work.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0)
  const variance = work.reduce((sum, { handsOnMin, handsSpread }) => sum + (handsOnMin * handsSpread) ** 2, 0)
  return { handsMin: minutes / pieces, spread: minutes > 0 ? Math.sqrt(variance) / minutes : 0 }
}

function quotePieceOf(repositories: Repositories, piece: Piece, options: Required<PlanOptions>, took: TookMinutes): QuotePiece | undefined {
  const plan = planDesign(piece.design, options)
  const [main] = plan.parts
  if (!plan.ok || !main?.metal) return undefined
  const { torchW, flux } = repositories.settings.read()
  const heats = torchBook(plan, { tools: options.tools, torchW, flux }).heats
  const solderMm3 = heats.flatMap(({ joints }) => joints).reduce((sum, { amount }) => sum + (amount?.volumeMm3 ?? 0), 0)
  const losses = repositories.record.losses(main.form, main.metal.alloy)
  return {
    id: piece.id,
    name: piece.name,
    quantity: piece.quantity,
    metals: metalsOf(plan),
    solderMm3,
    ...handsOf(plan, piece.quantity + piece.spares, took),
    lossShare: losses.begun >= LEAST_BEGUN ? lossRate(losses) : 0,
  }
}

/** What a job is to cost, by the workshop’s own minutes, losses and figures. */
export function jobQuote(repositories: Repositories, jobId: number): JobQuote | undefined {
  const job = repositories.jobs.job(jobId)
  if (!job) return undefined
  const options = planOptions(repositories)
  const took = repositories.entries.tookMinutes(NEWEST_TIMES)
  const pieces = repositories.jobs.pieces(jobId)
  const known = pieces.map((piece) => ({ piece, quoted: quotePieceOf(repositories, piece, options, took) }))
  const quoted = known.flatMap(({ quoted: one }) => one ?? [])
  return {
    job,
    quote: quoteOf(quoted, options.figures),
    open: known.filter((one) => !one.quoted).map(({ piece }) => piece.name),
    metals: [...new Set(quoted.flatMap(({ metals }) => metals.map(({ alloy }) => alloy)))],
    pricesOn: repositories.settings.read().pricesOn,
  }
}

import * as z from 'zod'
import { checkOrder, type TemperState } from '@/core/route'
import { isReason } from '@/core/rules'
import { beginTray } from '../services/ledger'
import { freezePlan, planDesign, planOptions, walkFrozen } from '../services/piece-plan'
import { ownAction, refuse } from './action'

/** Why a red step holds the tray. */
function sayRed({ title, heat, meltingMarginC, workLeftFraction }: TemperState): string {
  return heat
    ? `at “${title}” the heat comes within ${Math.max(0, Math.round(meltingMarginC ?? 0))} degrees of melting the metal.`
    : `at “${title}” the metal has ${Math.round(100 * workLeftFraction)} % work left and is likely to crack: anneal before it.`
}

/** Starts a tray of workpieces on the plan as it stands; the plan is frozen with the version that made it. */
export const startTray = ownAction({
  input: z.object({
    pieceId: z.number(),
    size: z
      .number({ error: 'A tray holds 1 to 5000 pieces.' })
      .int({ error: 'A tray holds 1 to 5000 pieces.' })
      .min(1, { error: 'A tray holds 1 to 5000 pieces.' })
      .max(5000, { error: 'A tray holds 1 to 5000 pieces.' }),
  }),
  against: ({ jobs }, { pieceId }) => {
    const piece = jobs.piece(pieceId)
    return piece && { revision: piece.revision, lines: null }
  },
  run: (repositories, { pieceId, size }) => {
    const piece = repositories.jobs.piece(pieceId)
    if (!piece) return refuse('This piece is no longer there.', [], 'gone')
    const plan = planDesign(piece.design, planOptions(repositories))
    if (!plan.ok) return refuse(plan.issues[0]?.message ?? 'The size is not complete.', plan.issues)
    const stop = plan.result.checks.find((check) => check.level === 'stop')
    if (stop) return refuse(`Not released to the bench: ${stop.message}`)
    const [misfit] = plan.misfits
    if (misfit) return refuse(`Not released to the bench: ${misfit.message} Look at the route, and keep or drop what was changed there.`)
    const order = checkOrder(plan.steps).find((finding) => finding.level === 'stop')
    if (order && !isReason(piece.design.orderNote))
      return refuse(`Not released to the bench: ${order.message} Change the route, or give a reason there to override it.`)
    const frozen = freezePlan(piece, plan)
    const red = walkFrozen(frozen).steps.find((state) => state.light === 'red')
    if (red && !isReason(piece.design.orderNote))
      return refuse(`Not released to the bench: ${sayRed(red)} Change the route, or give a reason there to override it.`)
    return { ok: true, trayId: beginTray(repositories, pieceId, size, frozen) }
  },
})

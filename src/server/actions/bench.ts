import * as z from 'zod'
import { findOperation } from '@/core/operations'
import { type PiecePlan, type RouteTemper, SPLIT_RULE, splitsOf } from '@/core/piece'
import type { TemperState } from '@/core/route'
import { checkRoute, isOverridden } from '@/core/rules'
import { beginTray } from '../services/ledger'
import { freezePlan, planDesign, planOptions, torchBookOf, walkFrozen } from '../services/piece-plan'
import { ownAction, refuse } from './action'

/** Why a red step holds the tray. */
function sayRed({ title, heat, meltingMarginC, workLeftFraction }: TemperState): string {
  return heat
    ? `at “${title}” the heat comes within ${Math.max(0, Math.round(meltingMarginC ?? 0))} degrees of melting the metal.`
    : `at “${title}” the metal has ${Math.round(100 * workLeftFraction)} % work left and is likely to crack: anneal before it.`
}

/** What of its sizes or of its assembly keeps a piece from the bench. */
function heldBy({ parts, faults, steps }: PiecePlan): string | undefined {
  const stop = parts.flatMap(({ result }) => result?.checks ?? []).find((check) => check.level === 'stop')
  const unknown = steps.find(({ op }) => !findOperation(op))
  return stop?.message ?? faults[0]?.message ?? (unknown && `this version does not know the step “${unknown.op}”.`)
}

/** The first stop of the order of work that no reason lifts. */
function stoppedBy({ assembly }: PiecePlan): string | undefined {
  return checkRoute(assembly).findings.find(({ level, overridden }) => level === 'stop' && !overridden)?.message
}

/** Why the metal is likely to give way, where no reason was given. */
function splitsAt({ assembly }: PiecePlan, temper: RouteTemper): string | undefined {
  const split = splitsOf(temper).find(({ steps }) => !isOverridden(assembly, SPLIT_RULE, steps))
  const state = temper.steps[split?.steps[0] ?? -1]
  return state && sayRed(state)
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
    const options = planOptions(repositories)
    const plan = planDesign(piece.design, options)
    if (!plan.ok) return refuse(plan.issues[0]?.message ?? 'The size is not complete.', plan.issues)
    const held = heldBy(plan)
    if (held) return refuse(`Not released to the bench: ${held}`)
    const [misfit] = plan.misfits
    if (misfit) return refuse(`Not released to the bench: ${misfit.message} Look at the route, and keep or drop what was changed there.`)
    const frozen = freezePlan(piece, plan, torchBookOf(repositories, plan, options))
    if (!frozen) return refuse('The size is not complete.')
    const stop = stoppedBy(plan) ?? splitsAt(plan, walkFrozen(frozen))
    if (stop) return refuse(`Not released to the bench: ${stop} Change the route, or give a reason there to override it.`)
    return { ok: true, trayId: beginTray(repositories, pieceId, size, frozen) }
  },
})

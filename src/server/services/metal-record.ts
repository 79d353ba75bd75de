import { isCracked } from '@/core/logbook'
import { ALLOYS, type AlloyId } from '@/core/metals'
import { alikeTogether, leastTellingPercent, type PieceWorked, workedPercent, workedTo } from '@/core/piece'
import { alloyWith, figureOf, type Learned, limitFromRecord, type WorkedTo } from '@/core/tables'
import { recent } from '@/core/working'
import type { Repositories, Tray } from '../db/repositories'
import { progressOf, stepsOf } from './ledger'
import { frozenMetals, partOfFrozen, planOptions, walkFrozen } from './piece-plan'

/** What the record says of how far a metal can be worked between two anneals. */
export interface MetalRecord {
  readonly alloy: AlloyId
  readonly title: string
  /** The figure that it tells of. */
  readonly figure: string
  readonly tablePercent: number
  /** What is typed for it among the workshop's own figures; null where nothing is. */
  readonly typedPercent: number | null
  /** What is worked with: what is typed, or what trials told, or the table's. */
  readonly usedPercent: number
  readonly worked: readonly WorkedTo[]
  readonly pieces: number
  /** Pieces that cracked: some perhaps where so little was used that they do not tell of the limit. */
  readonly cracked: number
  readonly limit: Learned
}

/** So many of the newest trays of a metal tell of it. */
const TRAYS = 60
const REMEMBERED = 500

interface Told {
  readonly worked: readonly WorkedTo[]
  readonly pieces: number
  readonly cracked: number
}

const told = recent<Told>(REMEMBERED)

/** Where each piece of a tray stands: how many steps it has done, and whether it gave way at the next. */
function piecesOf({ entries }: Repositories, tray: Tray, steps: readonly { readonly id: string }[], stepIndex: number): PieceWorked[] {
  const lost = new Map(entries.lossesOf(tray.id).map((loss) => [loss.workpiece, loss] as const))
  return Array.from({ length: tray.size }, (_, i): PieceWorked => {
    const loss = lost.get(i + 1)
    if (!loss) return { done: tray.finishedAt === null ? stepIndex : steps.length, isCracked: false }
    const at = steps.findIndex(({ id }) => id === loss.stepId)
    return { done: Math.max(0, at), isCracked: isCracked(loss.text) }
  })
}

/** How far the pieces of a tray were worked in one metal, part by part. */
function workedIn(repositories: Repositories, tray: Tray, alloy: AlloyId): Told {
  const { plan } = tray
  const steps = stepsOf(repositories, tray)
  const walk = walkFrozen(plan, steps)
  const metals = frozenMetals(plan)
  const pieces = piecesOf(repositories, tray, steps, progressOf(repositories, tray).stepIndex)
  const worked = plan.parts
    .filter((part) => part.alloy === alloy)
    .flatMap(({ part }) => {
      const metal = alloyWith(alloy, metals.get(part)?.figures ?? {})
      let before = walk.parts.find((own) => own.part === part)?.walk.start.workUsedFraction ?? 0
      const percents = steps.map(({ on }, i) => {
        const state = walk.steps[i]
        if (!state || partOfFrozen(plan, on).part !== part) return undefined
        const works = state.workUsedFraction > before + SLIGHT
        before = state.workUsedFraction
        return works ? workedPercent(metal, state) : undefined
      })
      return workedTo(percents, pieces, leastTellingPercent(metal))
    })
  return { worked, pieces: tray.size, cracked: pieces.filter(({ isCracked: gaveWay }) => gaveWay).length }
}
/** A step that uses no more than this does not work the metal. */
const SLIGHT = 1e-9

/** The metals in which pieces have cracked, each with what its newest trays say of its limit. */
export function metalRecords(repositories: Repositories): MetalRecord[] {
  const { entries, trays, settings } = repositories
  const { figures } = settings.read()
  const used = planOptions(repositories).figures
  const cracked = entries.lostMetals().flatMap(({ alloy, text }) => (isCracked(text) ? [alloy] : []))
  return [...new Set(cracked)].sort().flatMap((name): MetalRecord[] => {
    if (!(name in ALLOYS)) return []
    const alloy = name as AlloyId
    const figure = `reduction-limit-${alloy}`
    const each = trays
      .ofMetal(alloy, TRAYS)
      .map((tray) => told(`${tray.uid} ${entries.stateOf(tray.id)} ${alloy}`, () => workedIn(repositories, tray, alloy)))
    const worked = alikeTogether(each.flatMap((one) => one.worked))
    const limit = limitFromRecord(alloy, worked)
    if (!limit) return []
    const sumOf = (count: 'pieces' | 'cracked') => each.reduce((sum, one) => sum + one[count], 0)
    const typedPercent = figures[figure] ?? null
    return [
      {
        alloy,
        title: ALLOYS[alloy].title,
        figure,
        tablePercent: figureOf(figure, {}),
        typedPercent,
        usedPercent: figureOf(figure, used),
        worked,
        pieces: sumOf('pieces'),
        cracked: sumOf('cracked'),
        limit,
      },
    ]
  })
}

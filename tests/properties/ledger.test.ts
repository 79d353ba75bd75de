import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { standingEntries, trayProgress } from '@/core/logbook'
import { keepEntry } from '@/server/services/keep-entry'
import { replayLedger, stepsOf } from '@/server/services/ledger'
import { addPiece, designOf, entryFor, NOW, type TestTray, trayOf } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
const SIZE = 3

const command = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ kind: fc.constant('done' as const), piece: fc.integer({ min: 1, max: SIZE }), step: fc.nat({ max: 3 }) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('reading' as const),
      piece: fc.integer({ min: 1, max: SIZE }),
      growth: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
    }),
  },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('loss' as const), piece: fc.integer({ min: 1, max: SIZE }) }) },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('reversal' as const), back: fc.nat({ max: 5 }) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('again' as const), back: fc.nat({ max: 5 }) }) },
)
type Command = typeof command extends fc.Arbitrary<infer T> ? T : never

interface Kept {
  readonly token: string
  readonly kind: string
  readonly stepId: string | null
  readonly workpiece: number | null
  readonly value: number | null
  readonly reverses: string | null
}

/** What a command comes to as an entry; undefined where there is nothing to take back or send again. */
function rawOf(tray: TestTray, command: Command, kept: readonly Kept[]) {
  const outcome = tray.plan.parts[0].outcomes.find((item) => item.primary)
  const last = tray.plan.steps.findLast((step) => step.target?.dimension === outcome?.dimension)
  if (command.kind === 'done') return { piece: command.piece, more: { kind: 'done', step: tray.plan.steps[command.step]?.id } }
  if (command.kind === 'loss') return { piece: command.piece, more: { kind: 'loss', text: 'gone' } }
  if (command.kind === 'reading')
    return {
      piece: command.piece,
      more: { kind: 'reading', step: last?.id, dimension: outcome?.dimension, value: (outcome?.valueMm ?? 0) + command.growth },
    }
  const earlier = kept.at(-1 - command.back)
  if (!earlier) return undefined
  return command.kind === 'reversal' ? { piece: earlier.workpiece, more: { kind: 'reversal', reverses: earlier.token } } : undefined
}

describe('the ledger against a model that remembers everything', () => {
  it(
    'tells the same standing, progress and book after any course of work, losses and second thoughts',
    () =>
      fc.assert(
        fc.property(fc.array(command, { maxLength: 40 }), (commands) => {
          const { repositories: to } = tempWorkshop()
          const tray = trayOf(to, addPiece(to, 'Token', DISC), SIZE)
          const outcome = tray.plan.parts[0].outcomes.find((item) => item.primary)
          const kept: Kept[] = []
          const sent: object[] = []
          for (const each of commands) {
            if (each.kind === 'again') {
              const earlier = sent.at(-1 - each.back)
              if (earlier) expect(keepEntry(to, earlier, NOW).ok).toBe(true)
              continue
            }
            const raw = rawOf(tray, each, kept)
            if (!raw) continue
            const entry = entryFor(to, tray, raw.piece, raw.more)
            if (!keepEntry(to, entry, NOW).ok) continue
            sent.push(entry)
            const more = raw.more as { kind: string; step?: string; value?: number; reverses?: string }
            kept.push({
              token: entry.token,
              kind: more.kind,
              stepId: more.step ?? null,
              workpiece: raw.piece,
              value: more.value ?? null,
              reverses: more.reverses ?? null,
            })
          }
          const standing = standingEntries(kept)
          expect(to.entries.standing(tray.id).map((entry) => entry.token)).toEqual(standing.map((entry) => entry.token))

          const progress = trayProgress(SIZE, stepsOf(to, tray), standing)
          const stored = to.trays.one(tray.id)
          expect(stored?.standing).toEqual({
            stepIndex: progress.stepIndex,
            inHand: progress.workpiece,
            doneHere: progress.doneHere,
            lost: progress.lost.length,
          })
          expect(stored?.finishedAt !== null).toBe(progress.finished)

          const counted = [1, 2, 3].flatMap((n) => {
            const own = standing.filter((entry) => entry.workpiece === n)
            const reading = own.findLast(
              (entry) => entry.kind === 'reading' && own.some((done) => done.kind === 'done' && done.stepId === entry.stepId),
            )
            return reading?.value === undefined || reading?.value === null || progress.lost.includes(n)
              ? []
              : [reading.value - (outcome?.valueMm ?? 0)]
          })
          const [group] = to.record.groups({ page: 1, size: 9 })
          expect(group?.sums.count ?? 0).toBe(counted.length)
          expect(group?.sums.g ?? 0).toBeCloseTo(
            counted.reduce((sum, growth) => sum + growth, 0),
            9,
          )
          replayLedger(to)
          expect(to.record.groups({ page: 1, size: 9 })[0]?.sums.count ?? 0).toBe(counted.length)
        }),
        { numRuns: 60 },
      ),
    120_000,
  )
})

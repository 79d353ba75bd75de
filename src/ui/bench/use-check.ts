import { useState } from 'react'
import { CHECK_PIECE, checkFault, checkSays, checkWords, type InstrumentCheck, readCheck, tellsWithinMm } from '@/core/instruments'
import { parseSize } from '@/core/sizes'
import { figureOf } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { useWorkshop } from '../shared/workshop-context'
import type { BenchEntry } from './tray-view'
import type { InHand } from './use-reading'
import type { Writing } from './use-writing'

/** The newest look at the check piece: at this tray, or the one at another that was known when the page was given. */
function newest(entries: readonly BenchEntry[], given: InstrumentCheck | null): InstrumentCheck | undefined {
  const here = entries.flatMap(({ kind, dimension, text, at }) =>
    kind === 'note' && dimension === CHECK_PIECE ? (readCheck(text, at) ?? []) : [],
  )
  const all = given ? [given, ...here] : here
  return all.toSorted((a, b) => a.at.localeCompare(b.at)).at(-1)
}

/** The calipers tried on a check piece of known size: what they were found off by, and a new look. */
export function useCheck(entries: readonly BenchEntry[], given: InstrumentCheck | null, { step, workpiece }: InHand, writing: Writing) {
  const { bench } = useWorkshop()
  const { setSaid, write } = writing
  const [draft, setDraft] = useState('')
  const knownMm = figureOf('check-piece', bench.figures)
  const errorMm = figureOf('caliper-error', bench.figures)
  const last = newest(entries, given)

  const take = async (typed: string, instrument: string) => {
    const size = parseSize(typed, { gaugeSystem: 'B&S' })
    if (!('mm' in size)) return setSaid(size.kind === 'unknown' ? size.message : size.question)
    const readMm = Number(size.mm.toFixed(3))
    const check = { knownMm, readMm }
    const fault = checkFault(check)
    if (fault) return setSaid(`${fault}.`)
    const entry = { kind: 'note' as const, stepId: step?.id ?? null, workpiece, dimension: CHECK_PIECE, instrument }
    const kept = await write(
      { ...entry, text: checkWords(check), value: readMm, valueMm: readMm },
      `Kept: ${formatPlain(readMm, 2)} mm on the check piece.`,
    )
    if (kept) setDraft('')
  }
  return {
    knownMm,
    draft,
    setDraft,
    jaws: { nearMm: knownMm, isExact: true },
    last,
    says: last && checkSays(last, errorMm),
    withinMm: tellsWithinMm(errorMm, last),
    take,
    /** Sets the zero of the stand-in; of real calipers that is a press on them. */
    setZero: async () => {
      const answer = await fetch('/api/instruments/calipers', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{}',
      }).catch(() => undefined)
      setSaid(answer?.ok ? 'The simulated calipers are set to zero, their jaws closed.' : 'The program is not responding.')
    },
  }
}

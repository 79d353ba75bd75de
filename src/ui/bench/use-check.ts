import { useState } from 'react'
import {
  CHECK_PIECE,
  checkFault,
  checkSays,
  checkWords,
  type InstrumentCheck,
  readCheck,
  STAND_IN_CALIPERS,
  tellsWithinMm,
} from '@/core/instruments'
import { figureOf } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { setToZero } from '../shared/stand-in-zero'
import { useWorkshop } from '../shared/workshop-context'
import type { BenchEntry } from './tray-view'
import type { InHand } from './use-reading'
import type { Writing } from './use-writing'

/**
 * The newest look at the check piece: at this tray, or the one at another that was known when the page was given. One at the stand-in says nothing
 * of real calipers: it counts only where it is practised.
 */
function newest(entries: readonly BenchEntry[], given: InstrumentCheck | null, practice: boolean): InstrumentCheck | undefined {
  const counts = ({ kind, dimension, instrument }: BenchEntry) =>
    kind === 'note' && dimension === CHECK_PIECE && (practice || instrument !== STAND_IN_CALIPERS)
  const here = entries.filter(counts).flatMap(({ text, at }) => readCheck(text, at) ?? [])
  const all = given ? [given, ...here] : here
  return all.toSorted((a, b) => a.at.localeCompare(b.at)).at(-1)
}

/** The calipers tried on a check piece of known size: what they were found off by, and a new look. */
export function useCheck(entries: readonly BenchEntry[], given: InstrumentCheck | null, { step, workpiece }: InHand, writing: Writing) {
  const { bench, practice } = useWorkshop()
  const { sizeOf, setSaid, write } = writing
  const [draft, setDraft] = useState('')
  const [zeroed, setZeroed] = useState(0)
  const knownMm = figureOf('check-piece', bench.figures)
  const errorMm = figureOf('caliper-error', bench.figures)
  const last = newest(entries, given, practice)

  const take = async (typed: string, instrument: string) => {
    const sizeMm = sizeOf(typed)
    if (sizeMm === undefined) return
    const readMm = Number(sizeMm.toFixed(3))
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
    jaws: { nearMm: knownMm, isExact: true, zeroed },
    last,
    says: last && checkSays(last, errorMm),
    withinMm: tellsWithinMm(errorMm, last),
    take,
    /** How often the stand-in was set to zero here. */
    zeroed,
    /** Sets the zero of the stand-in; of real calipers that is a press on them. */
    setZero: () => {
      setSaid(setToZero('calipers') ? 'The simulated calipers are set to zero, their jaws closed.' : 'This device cannot keep their zero.')
      setZeroed((times) => times + 1)
    },
  }
}

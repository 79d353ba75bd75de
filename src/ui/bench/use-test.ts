import { useEffect, useState } from 'react'
import { asksForRework, FAILED, gapWords, PASSED, TEST_READINGS, TESTED } from '@/core/logbook'
import { parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import type { InHand } from './use-reading'
import { NO_PANEL, type Writing } from './use-writing'

/** What a test shows that is measured as how far something sits off; everything else that is measured is a gap. */
export const ASKEW = 'it sits askew'

/** The test of a joint or a fit: what is measured at it, and its result. */
export function useTest({ step, workpiece, place }: InHand, { setPanel, setDraft, setSaid, write }: Writing) {
  /** What was measured, until the result is told. */
  const [measuredMm, setMeasuredMm] = useState<number | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next piece begins with nothing measured
  useEffect(() => setMeasuredMm(null), [place])
  const here = { stepId: step?.id ?? null, workpiece }
  const measuredAs = (dimension: keyof typeof TEST_READINGS) =>
    measuredMm === null ? {} : { dimension, value: measuredMm, valueMm: measuredMm }

  /** A gap measured at a test is kept with its result; none is 0. */
  const take = (typed: string) => {
    const size = parseSize(typed, { gaugeSystem: 'B&S' })
    const mm = Number(typed) === 0 && typed.trim() !== '' ? 0 : 'mm' in size ? size.mm : null
    const { mostMm } = TEST_READINGS.gap
    if (mm === null || mm > mostMm) return setSaid(`A gap is from 0 to ${mostMm} mm; "${typed}" was typed.`)
    setMeasuredMm(mm)
    setPanel(NO_PANEL)
    setDraft('')
    setSaid(`Gap ${formatPlain(mm, 2)} mm: ${gapWords(mm)}.`)
  }

  /** A joint that fails goes round again, this piece alone; a fit that fails is tried again at the same step. */
  const fail = async (shows: string, part: string | null) => {
    if (!step) return
    const text = shows ? `${FAILED}: ${shows}` : FAILED
    const told = { text, ...(part === null ? {} : { part }), ...measuredAs(shows === ASKEW ? 'offset' : 'gap') }
    if (!(await write({ kind: 'test', ...here, ...told }, 'Noted. Try it again when it is mended.'))) return
    setMeasuredMm(null)
    if (asksForRework(step.op)) await write({ kind: 'done', ...here }, 'Clean, pickle, flux and solder it again: the steps come next.')
  }

  return {
    isTest: step !== null && TESTED.has(step.op),
    measuredMm,
    take,
    fail,
    pass: () => write({ kind: 'test', ...here, text: PASSED, ...measuredAs('gap') }, ''),
  }
}

'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { asksForRework, FAILED, type FarOff, farOff, gapWords, PASSED, TEST_READINGS, TESTED } from '@/core/logbook'
import { parseSize } from '@/core/sizes'
import { COLOUR_RUNS, plannedRuns, runNote, runsNoted } from '@/core/surface'
import { formatPlain } from '@/core/units'
import { useWorkshop } from '../shared/workshop-context'
import type { BenchEntry, BenchStepView, BenchTrayView } from './tray-view'
import { useAsSeen } from './use-as-seen'
import { useCalipers } from './use-calipers'
import { useLeaving } from './use-leaving'
import { useSerial } from './use-serial'
import { type NewBenchEntry, useTray } from './use-tray'
import { useWedge } from './use-wedge'

/** What lies over the step: nothing, the box for a reading, a question about one, why a piece is lost. */
export type Panel =
  | { readonly kind: 'none' | 'type' | 'wrong' | 'failed' | 'colour' }
  | { readonly kind: 'ask'; readonly far: FarOff; readonly typed: string; readonly instrument: string; readonly from: 'type' | 'none' }

const NONE: Panel = { kind: 'none' }
const SAID: Readonly<Record<string, string>> = { done: 'done', loss: 'lost', note: 'the note', reading: 'the reading', test: 'the test' }
/** What a test shows that is measured as how far something sits off; everything else that is measured is a gap. */
export const ASKEW = 'it sits askew'

/** What went wrong, with which piece, and with which part where only that is made again. */
export interface WentWrong {
  readonly text: string
  readonly workpiece: number
  readonly part: string | null
}

/** One tray under the hands: what may be pressed, and what each press writes down. */
export function useBench(tray: BenchTrayView) {
  const { practice } = useWorkshop()
  const onTray = useTray(tray)
  const { progress, entries, steps, add, isRead } = onTray
  const step = steps[progress.stepIndex] ?? null
  const [panel, setPanel] = useState<Panel>(NONE)
  const [said, setSaid] = useState('')
  /** Set while a steady figure is waited for. */
  const [holding, setHolding] = useState(false)
  const [draft, setDraft] = useState('')
  /** What was measured at a test, until its result is told. */
  const [measuredMm, setMeasuredMm] = useState<number | null>(null)
  const place = `${step?.id}-${progress.workpiece}`
  const simulated = useCalipers(practice ? (step?.target?.valueMm ?? null) : null, place)
  const serial = useSerial()
  const calipers = serial.reading ?? simulated

  const out = useLeaving(onTray, tray.pieceId, setSaid)
  const asSeen = useAsSeen(isRead, `${place}-${entries.length}`)
  const write = useCallback(
    async (entry: NewBenchEntry, words: string) => {
      setPanel(NONE)
      setHolding(false)
      if (!(await asSeen())) {
        setSaid('More was done already than was shown, and nothing was written. What is in hand now stands here: press once more for it.')
        return false
      }
      const kept = await add(entry)
      setSaid(kept ? words : 'This device could not store it: its storage is full or blocked. Free some space, then do it again.')
      return kept
    },
    [add, asSeen],
  )

  const isTest = step !== null && TESTED.has(step.op)
  const colour = step ? colourRunOf(step, entries, progress.workpiece) : null
  const here = { stepId: step?.id ?? null, workpiece: progress.workpiece }
  const keepReading = async (valueMm: number, typed: number | string, instrument: string) => {
    if (!step?.target) return
    const reading = { value: typed, valueMm, instrument, dimension: step.target.dimension }
    const kept = await write(
      { kind: 'reading', ...here, workpiece: progress.workpiece ?? 1, ...reading },
      `Kept: ${formatPlain(valueMm, 2)} mm.`,
    )
    if (kept) setDraft('')
  }

  /** A gap measured at a test is kept with its result; none is 0. */
  const takeAtTest = (typed: string) => {
    const size = parseSize(typed, { gaugeSystem: 'B&S' })
    const mm = Number(typed) === 0 && typed.trim() !== '' ? 0 : 'mm' in size ? size.mm : null
    const { mostMm } = TEST_READINGS.gap
    if (mm === null || mm > mostMm) return setSaid(`A gap is from 0 to ${mostMm} mm; "${typed}" was typed.`)
    setMeasuredMm(mm)
    setPanel(NONE)
    setDraft('')
    setSaid(`Gap ${formatPlain(mm, 2)} mm: ${gapWords(mm)}.`)
  }

  /** A reading goes straight down where it is near the target; a far one is asked about first. */
  const take = (typed: string, instrument: string, from: 'type' | 'none') => {
    if (isTest) return takeAtTest(typed)
    if (!step?.target) return
    const size = parseSize(typed, { gaugeSystem: 'B&S' })
    if (!('mm' in size)) return setSaid(size.kind === 'unknown' ? size.message : size.question)
    const far = farOff(size.mm, step.target)
    setHolding(false)
    if (far) setPanel({ kind: 'ask', far, typed, instrument, from })
    else void keepReading(size.mm, typed, instrument)
  }

  const steadyMm = calipers?.steady ? calipers.valueMm : null
  const instrument = calipers?.instrument ?? ''
  // biome-ignore lint/correctness/useExhaustiveDependencies: taken once, when the figure stands still while it is waited for
  useEffect(() => {
    if (holding && steadyMm !== null) take(String(steadyMm), instrument, 'none')
  }, [holding, steadyMm])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next piece begins with nothing said or waited for
  useEffect(() => {
    setHolding(false)
    setMeasuredMm(null)
  }, [place])

  useWedge(step?.target && panel.kind === 'none' ? (typed) => take(typed, 'typing-calipers', 'none') : undefined)

  /** M: with calipers the reading as soon as the figure stands still, without them the box. */
  const measure = () => {
    if (colour) return setPanel({ kind: 'colour' })
    if (!isTest && !step?.target) return
    if (calipers && !isTest) setHolding(true)
    else setPanel({ kind: 'type' })
    setSaid(calipers && !isTest ? 'Waiting for the reading to settle. Esc cancels.' : '')
  }

  /** A piece is done once at a step, however often the key is struck before the page has moved on. */
  const doneAt = useRef('')
  const markDone = async (result?: string) => {
    if (doneAt.current === place) return
    doneAt.current = place
    if (result !== undefined && !(await write({ kind: 'test', ...here, text: result, ...measuredAs('gap') }, ''))) {
      doneAt.current = ''
      return
    }
    if (!(await write({ kind: 'done', ...here }, ''))) doneAt.current = ''
  }

  const measuredAs = (dimension: keyof typeof TEST_READINGS) =>
    measuredMm === null ? {} : { dimension, value: measuredMm, valueMm: measuredMm }

  /** A joint that fails goes round again, this piece alone; a fit that fails is tried again at the same step. */
  const failTest = async (seen: string, part: string | null) => {
    if (!step) return
    const text = seen ? `${FAILED}: ${seen}` : FAILED
    const told = { text, ...(part === null ? {} : { part }), ...measuredAs(seen === ASKEW ? 'offset' : 'gap') }
    if (!(await write({ kind: 'test', ...here, ...told }, 'Noted. Try it again when it is mended.'))) return
    setMeasuredMm(null)
    if (asksForRework(step.op)) await write({ kind: 'done', ...here }, 'Clean, pickle, flux and solder it again: the steps come next.')
  }

  const takeBack = async () => {
    doneAt.current = ''
    const last = entries.findLast((entry) => entry.kind !== 'started')
    if (!last) return setSaid('There is nothing to take back.')
    await write(
      { kind: 'reversal', stepId: last.stepId, workpiece: last.workpiece, reverses: last.token },
      `Taken back: ${wordsOf(steps, last)}.`,
    )
  }

  /** Esc: out of whatever lies over the step, and from the bare step out of the tray. */
  const onEsc = () => {
    if (panel.kind === 'ask' && panel.from === 'type') return setPanel({ kind: 'type' })
    if (panel.kind !== 'none') return setPanel(NONE)
    if (holding) {
      setHolding(false)
      return setSaid('')
    }
    out.leave()
  }
  return {
    ...onTray,
    step,
    panel,
    said,
    draft,
    setDraft,
    holding,
    calipers,
    serial,
    done: () => void markDone(),
    isTest,
    /** How often the piece in hand was dipped or sprayed at this step; null where nothing is coloured. */
    colour,
    sawColour: (looks: string, next: string) => {
      if (step && colour)
        void write(
          { kind: 'note', ...here, text: runNote(step.op, colour.runs + 1, looks) },
          `${colour.run} ${colour.runs + 1}, ${looks}: ${next}.`,
        )
    },
    measuredMm,
    /** The next steps of sub-trays that could be taken up instead of the one in hand. */
    others: progress.open.flatMap((index) => (index === progress.stepIndex ? [] : (steps[index] ?? []))),
    takeUp: (stepId: string) => void write({ kind: 'started', stepId, workpiece: null }, ''),
    passed: () => void markDone(PASSED),
    failed: (seen: string, part: string | null) => void failTest(seen, part),
    /** Takes a piece out of the tray, or only a part of it, which is made again. */
    lose: ({ text, workpiece, part }: WentWrong) =>
      void write(
        { kind: 'loss', ...here, workpiece, text, ...(part === null ? {} : { part }) },
        part === null ? '' : 'It is made again, from its first step.',
      ),
    noteDown: (text: string) => void write({ kind: 'note', ...here, text }, 'Note kept.'),
    take,
    answer: (mm: number) => {
      if (panel.kind === 'ask') void keepReading(mm, mm === panel.far.readMm ? panel.typed : mm, panel.instrument)
    },
    measure,
    takeBack: () => void takeBack(),
    onEsc,
    ...out,
    show: (kind: 'type' | 'wrong' | 'failed' | 'colour') => setPanel(panel.kind === kind ? NONE : { kind }),
  }
}

/** The dips or sprays of the piece in hand at a step that colours, and how many were planned. */
function colourRunOf({ id, op, params }: BenchStepView, entries: readonly BenchEntry[], workpiece: number | null) {
  const kind = COLOUR_RUNS[op]
  if (!kind) return null
  const notes = entries.filter((entry) => entry.kind === 'note' && entry.stepId === id && entry.workpiece === workpiece)
  return {
    run: kind.run,
    runs: runsNoted(
      op,
      notes.map(({ text }) => text),
    ),
    planned: plannedRuns(op, params),
  }
}

function wordsOf(steps: readonly BenchStepView[], entry: BenchEntry): string {
  const step = steps.find((item) => item.id === entry.stepId)
  const piece = entry.workpiece === null ? 'the whole tray' : `piece ${entry.workpiece}`
  return `${SAID[entry.kind] ?? entry.kind}, ${piece}${step ? `, ${step.title.toLowerCase()}` : ''}`
}

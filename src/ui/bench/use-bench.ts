'use client'
import { useRef } from 'react'
import { COLOUR_RUNS, plannedRuns, runNote, runsNoted } from '@/core/surface'
import type { BenchEntry, BenchStepView, BenchTrayView } from './tray-view'
import { useCheck } from './use-check'
import { useLeaving } from './use-leaving'
import { type InHand, useReading } from './use-reading'
import { useTest } from './use-test'
import { useTray } from './use-tray'
import { useWedge } from './use-wedge'
import { NO_PANEL, type Panel, useWriting } from './use-writing'

const SAID: Readonly<Record<string, string>> = { done: 'done', loss: 'lost', note: 'the note', reading: 'the reading', test: 'the test' }

/** What went wrong, with which piece, and with which part where only that is made again. */
export interface WentWrong {
  readonly text: string
  readonly workpiece: number
  readonly part: string | null
}

/** One tray under the hands: what may be pressed, and what each press writes down. */
export function useBench(tray: BenchTrayView) {
  const onTray = useTray(tray)
  const { progress, entries, steps } = onTray
  const { workpiece } = progress
  const step = steps[progress.stepIndex] ?? null
  const place = `${step?.id}-${workpiece}`
  const inHand: InHand = { step, workpiece, place }
  const writing = useWriting(onTray, `${place}-${entries.length}`)
  const { panel, setPanel, setSaid, write } = writing
  const check = useCheck(entries, tray.checked, inHand, writing)
  const reading = useReading(
    inHand,
    panel.kind === 'check' ? check.jaws : step?.target ? { nearMm: step.target.valueMm, isExact: false, zeroed: check.zeroed } : null,
    writing,
  )
  const test = useTest(inHand, writing)
  const out = useLeaving(onTray, tray.pieceId, setSaid)
  const colour = step ? colourRunOf(step, entries, workpiece) : null
  const here = { stepId: step?.id ?? null, workpiece }

  const take: typeof reading.take = (typed, instrument, from) => {
    if (panel.kind === 'check') void check.take(typed, instrument)
    else if (test.isTest) test.take(typed)
    else reading.take(typed, instrument, from)
  }
  useWedge(step?.target && panel.kind === 'none' ? (typed) => take(typed, 'typing-calipers', 'none') : undefined)

  /** M: the colour at a dip, the gap at a test, and the size where one is measured. */
  const measure = () => {
    if (colour) return setPanel({ kind: 'colour' })
    if (!test.isTest) return step?.target ? reading.measure() : undefined
    setPanel({ kind: 'type' })
    setSaid('')
  }

  /** A piece is done once at a step, however often the key is struck before the page has moved on. */
  const doneAt = useRef('')
  const markDone = async (before: () => Promise<boolean> = async () => true) => {
    if (doneAt.current === place) return
    doneAt.current = place
    if (!(await before()) || !(await write({ kind: 'done', ...here }, ''))) doneAt.current = ''
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
    if (panel.kind !== 'none') return setPanel(NO_PANEL)
    if (!reading.cancel()) out.leave()
  }
  return {
    ...onTray,
    ...out,
    step,
    panel,
    said: writing.said,
    draft: writing.draft,
    setDraft: writing.setDraft,
    calipers: reading.calipers,
    serial: reading.serial,
    answer: reading.answer,
    check,
    take,
    measure,
    isTest: test.isTest,
    measuredMm: test.measuredMm,
    passed: () => void markDone(test.pass),
    failed: (shows: string, part: string | null) => void test.fail(shows, part),
    done: () => void markDone(),
    /** How often the piece in hand was dipped or sprayed at this step; null where nothing is coloured. */
    colour,
    sawColour: (looks: string, next: string) => {
      if (step && colour)
        void write(
          { kind: 'note', ...here, text: runNote(step.op, colour.runs + 1, looks) },
          `${colour.run} ${colour.runs + 1}, ${looks}: ${next}.`,
        )
    },
    /** The next steps of sub-trays that could be taken up instead of the one in hand. */
    others: progress.open.flatMap((index) => (index === progress.stepIndex ? [] : (steps[index] ?? []))),
    takeUp: (stepId: string) => void write({ kind: 'started', stepId, workpiece: null }, ''),
    /** Takes a piece out of the tray, or only a part of it, which is made again. */
    lose: ({ text, workpiece: lost, part }: WentWrong) =>
      void write(
        { kind: 'loss', ...here, workpiece: lost, text, ...(part === null ? {} : { part }) },
        part === null ? '' : 'It is made again, from its first step.',
      ),
    noteDown: (text: string) => void write({ kind: 'note', ...here, text }, 'Note kept.'),
    takeBack: () => void takeBack(),
    onEsc,
    show: (kind: Exclude<Panel['kind'], 'none' | 'ask'>) => setPanel(panel.kind === kind ? NO_PANEL : { kind }),
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

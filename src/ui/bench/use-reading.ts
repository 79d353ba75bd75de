import { useEffect } from 'react'
import { farOff } from '@/core/logbook'
import { formatPlain } from '@/core/units'
import { useWorkshop } from '../shared/workshop-context'
import type { BenchStepView } from './tray-view'
import { type InJaws, type LiveReading, useCalipers } from './use-calipers'
import { CALIPERS_ON_CABLE, useSerial } from './use-serial'
import type { Writing } from './use-writing'

/** The piece in hand at its step, and a name of the two. */
export interface InHand {
  readonly step: BenchStepView | null
  readonly workpiece: number | null
  readonly place: string
}

/** The size that a step measures: the calipers' figure, waited for until it stands still, or one that is typed. What is in the `jaws` is told to a stand-in. */
export function useReading({ step, workpiece, place }: InHand, jaws: InJaws | null, writing: Writing) {
  const { sizeOf, panel, setPanel, setDraft, setSaid, holding, setHolding, write } = writing
  const { practice } = useWorkshop()
  const simulated = useCalipers(practice ? jaws : null, place)
  const serial = useSerial(CALIPERS_ON_CABLE)
  const onCable: LiveReading | null = serial.shown && {
    valueMm: serial.shown.value,
    steady: serial.shown.steady,
    instrument: 'serial-calipers',
    title: 'Calipers',
  }
  const calipers = onCable ?? simulated

  const keep = async (valueMm: number, typed: number | string, instrument: string) => {
    if (!step?.target) return
    const reading = { value: typed, valueMm, instrument, dimension: step.target.dimension }
    const entry = { kind: 'reading' as const, stepId: step.id, workpiece: workpiece ?? 1, ...reading }
    if (await write(entry, `Kept: ${formatPlain(valueMm, 2)} mm.`)) setDraft('')
  }

  /** A reading goes straight down where it is near the target; a far one is asked about first. */
  const take = (typed: string, instrument: string, from: 'type' | 'none') => {
    if (!step?.target) return
    const sizeMm = sizeOf(typed)
    if (sizeMm === undefined) return
    const far = farOff(sizeMm, step.target)
    setHolding(false)
    if (far) setPanel({ kind: 'ask', far, typed, instrument, from })
    else void keep(sizeMm, typed, instrument)
  }

  const steadyMm = calipers?.steady ? calipers.valueMm : null
  const instrument = calipers?.instrument ?? ''
  // biome-ignore lint/correctness/useExhaustiveDependencies: taken once, when the figure stands still while it is waited for
  useEffect(() => {
    if (holding && steadyMm !== null) take(String(steadyMm), instrument, 'none')
  }, [holding, steadyMm])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next piece begins with nothing waited for
  useEffect(() => setHolding(false), [place])

  return {
    calipers,
    serial,
    take,
    /** With calipers the reading as soon as the figure stands still, without them the box. */
    measure: () => {
      if (calipers) setHolding(true)
      else setPanel({ kind: 'type' })
      setSaid(calipers ? 'Waiting for the reading to settle. Esc cancels.' : '')
    },
    /** Waits no longer; whether there was something to wait for. */
    cancel: () => {
      if (!holding) return false
      setHolding(false)
      setSaid('')
      return true
    },
    /** The answer to the question about a far reading. */
    answer: (mm: number) => {
      if (panel.kind === 'ask') void keep(mm, mm === panel.far.readMm ? panel.typed : mm, panel.instrument)
    },
  }
}

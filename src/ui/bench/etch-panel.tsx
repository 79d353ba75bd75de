'use client'
import Box from '@mui/material/Box'
import { useEffect, useRef, useState } from 'react'
import { ETCH_BEGUN, type EtchGoal, type EtchState, nextEtch, STOP_WORDS } from '@/core/etching'
import { SUPPLY_FAULTS, type SupplyFault } from '@/core/instruments'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import { Dial } from './dial'

/** The supply is read so often; a minute of the bath goes by at each reading of the stand-in. */
const EVERY_MS = 250
const PRACTICE_S = 60
const FAULT_WORDS: Readonly<Record<SupplyFault, string>> = { short: 'a short', contact: 'contact lost', drift: 'drift' }

interface Meter {
  readonly amps: number
  readonly volts: number
}

interface EtchPanelProps {
  readonly goal: EtchGoal
  /** Keeps what came of it, in words. */
  readonly onStopped: (words: string) => void
}

/** What is kept of an etch: its charge, its minutes and its depth by them, and why it stopped. */
const told = ({ coulombs, seconds, depthMm, stopped = 'by hand' }: EtchState) =>
  `Simulated supply: etched ${formatPlain(depthMm, 3)} mm by charge: ${formatPlain(coulombs, 0)} C in ${formatPlain(seconds / 60, 0)} min; ${STOP_WORDS[stopped]}`

/** The practice supply under an etch: its meters, the depth the charge has come to, and it switches off by itself at the depth or at a fault. */
export function EtchPanel({ goal, onStopped }: EtchPanelProps) {
  const [isOn, setIsOn] = useState(false)
  const [state, setState] = useState<EtchState>(ETCH_BEGUN)
  const [meter, setMeter] = useState<Meter>({ amps: 0, volts: 0 })
  const [fault, setFault] = useState<{ readonly kind: SupplyFault; readonly sinceS: number }>()
  const [problem, setProblem] = useState('')
  const now = useRef({ state, fault })
  now.current = { state, fault }
  const isReading = useRef(false)
  const switchOff = (last: EtchState) => {
    setIsOn(false)
    setMeter({ amps: 0, volts: 0 })
    if (last.seconds > 0) onStopped(told(last))
  }
  const off = useRef(switchOff)
  off.current = switchOff
  useEffect(() => {
    if (!isOn) return
    const read = async () => {
      if (isReading.current) return
      isReading.current = true
      const { state: was, fault: wrong } = now.current
      const asked = new URLSearchParams({ set: String(goal.currentA), at: String(was.seconds) })
      if (wrong) {
        asked.set('fault', wrong.kind)
        asked.set('since', String(wrong.sinceS))
      }
      const answer = await fetch(`/api/instruments/supply?${asked}`).catch(() => undefined)
      isReading.current = false
      if (!answer?.ok) return setProblem('The supply is not responding. Watch its own ammeter; the clock here stands still.')
      setProblem('')
      const shown = (await answer.json()) as Meter
      const next = nextEtch(goal, was, shown.amps, PRACTICE_S)
      setMeter(shown)
      setState(next)
      if (next.stopped) off.current(next)
    }
    const timer = setInterval(() => void read(), EVERY_MS)
    return () => clearInterval(timer)
  }, [isOn, goal])
  const begin = () => {
    setFault(undefined)
    // what the charge has done so far stands; only why it stopped is over
    setState(({ stopped: _, ...was }) => ({ ...was, over: 0, under: 0 }))
    setIsOn(true)
  }
  const share = Math.min(1, state.depthMm / goal.depthMm)
  return (
    <Box component="section" aria-label="Etching supply" sx={{ p: 3, display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
        <Dial label={`Current, set to ${formatPlain(goal.currentA, 2)} A`} value={`${formatPlain(meter.amps, 2)} A`} />
        <Dial label="Voltage" value={`${formatPlain(meter.volts, 1)} V`} />
        <Dial label="Current on for" value={`${formatPlain(state.seconds / 60, 0)} min`} />
        <Dial
          label={`Depth by charge, of ${formatPlain(goal.depthMm, 2)} mm`}
          value={`${formatPlain(state.depthMm, 3)} mm`}
          colour={PALETTE.verdigrisBench}
        />
      </Box>
      <Box role="progressbar" aria-label="Depth" aria-valuenow={Math.round(100 * share)} sx={{ height: 14, bgcolor: PALETTE.petrolLine }}>
        <Box sx={{ height: 14, width: `${100 * share}%`, bgcolor: PALETTE.verdigrisBench }} />
      </Box>
      {state.isDrifting ? (
        <Box sx={{ fontSize: 17, color: PALETTE.ribbonNow }}>
          The current drifts from what was set: the charge is counted, so the depth stays right.
        </Box>
      ) : null}
      <Box role="status" sx={{ fontSize: 17, color: PALETTE.fireBench }}>
        {problem || (state.stopped && !isOn ? STOP_WORDS[state.stopped] : '')}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {isOn ? (
          <BigButton onPress={() => switchOff({ ...state, stopped: 'by hand' })}>Switch off</BigButton>
        ) : state.stopped === 'depth' ? null : (
          <BigButton onPress={begin}>{state.seconds > 0 ? 'Switch on again' : 'Switch on'}</BigButton>
        )}
        {isOn
          ? SUPPLY_FAULTS.map((kind) => (
              <BigButton key={kind} plain onPress={() => setFault({ kind, sinceS: state.seconds })}>
                practise {FAULT_WORDS[kind]}
              </BigButton>
            ))
          : null}
      </Box>
      <Box sx={{ fontSize: 16, color: PALETTE.petrolMuted }}>Simulated supply: a minute of the bath goes by at each reading.</Box>
    </Box>
  )
}

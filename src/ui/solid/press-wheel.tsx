'use client'
import Box from '@mui/material/Box'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { PALETTE } from '../theme/palette'

interface PressWheelProps {
  /** How far it is formed: 0 flat, 1 finished. */
  readonly value: number
  readonly onChange: (value: number) => void
}

/** From flat to finished the wheel goes round so far, rad. */
const WHOLE_TURN_RAD = 1.5 * Math.PI
const KEY_STEP = 0.02
const PAGE_STEP = 0.1
const SIZE = 64
const SPOKES = [0, 1, 2, 3]

const KEYS: Readonly<Record<string, (value: number) => number>> = {
  ArrowRight: (value) => value + KEY_STEP,
  ArrowUp: (value) => value + KEY_STEP,
  ArrowLeft: (value) => value - KEY_STEP,
  ArrowDown: (value) => value - KEY_STEP,
  PageUp: (value) => value + PAGE_STEP,
  PageDown: (value) => value - PAGE_STEP,
  Home: () => 0,
  End: () => 1,
}

const within = (value: number) => Math.min(1, Math.max(0, value))

/** The handwheel of a press: turned by hand, wheel or keys, it forms the flat blank and lets it out again. */
export function PressWheel({ value, onChange }: PressWheelProps) {
  const last = useRef<number | null>(null)
  const angleAt = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect()
    return Math.atan2(event.clientY - box.top - box.height / 2, event.clientX - box.left - box.width / 2)
  }
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Formed"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(100 * value)}
      aria-valuetext={`${Math.round(100 * value)} % formed`}
      onPointerDown={(event: PointerEvent) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        last.current = angleAt(event)
      }}
      onPointerMove={(event: PointerEvent) => {
        if (last.current === null) return
        const now = angleAt(event)
        const turned = Math.atan2(Math.sin(now - last.current), Math.cos(now - last.current))
        last.current = now
        onChange(within(value + turned / WHOLE_TURN_RAD))
      }}
      onPointerUp={() => {
        last.current = null
      }}
      onWheel={(event) => onChange(within(value + Math.sign(event.deltaY) * KEY_STEP))}
      onKeyDown={(event: KeyboardEvent) => {
        const next = KEYS[event.key]
        if (!next) return
        event.preventDefault()
        onChange(within(next(value)))
      }}
      sx={{ width: SIZE, height: SIZE, cursor: 'grab', touchAction: 'none', borderRadius: '50%', flexShrink: 0 }}
    >
      <svg width={SIZE} height={SIZE} viewBox="-32 -32 64 64" aria-hidden="true">
        <g transform={`rotate(${((value * WHOLE_TURN_RAD * 180) / Math.PI).toFixed(1)})`} stroke={PALETTE.steelEdge} fill="none">
          <circle r="27" strokeWidth="6" stroke={PALETTE.steel} />
          <circle r="30" strokeWidth="1" />
          <circle r="24" strokeWidth="1" />
          {SPOKES.map((spoke) => (
            <path key={spoke} d="M0 7V24" strokeWidth="4" stroke={PALETTE.steel} transform={`rotate(${90 * spoke})`} />
          ))}
          <circle r="7" fill={PALETTE.steel} strokeWidth="1" />
          <path d="M-3 0H3M0 -3V3" strokeWidth="1.2" />
          <circle cy="-27" r="5" fill={PALETTE.verdigris} stroke={PALETTE.ground} strokeWidth="1.5" />
        </g>
      </svg>
    </Box>
  )
}

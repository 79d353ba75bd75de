'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { FormResult } from '@/core/forms'
import { solidsOf } from '@/core/forms'
import { metalColour } from '../drawing/metal-colour'
import { PressWheel } from './press-wheel'
import type { Turn } from './solid-canvas'

const SolidCanvas = dynamic(() => import('./solid-canvas').then((module) => module.SolidCanvas), { ssr: false })

const START: Turn = { yaw: -0.55, pitch: 0.5 }
const RAD_A_PIXEL = 0.01
const KEY_RAD = 0.12
/** It is drawn fine again so long after it last moved. */
const REST_MS = 180

const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-KEY_RAD, 0],
  ArrowRight: [KEY_RAD, 0],
  ArrowUp: [0, -KEY_RAD],
  ArrowDown: [0, KEY_RAD],
}

function canDraw(): boolean {
  const context = document.createElement('canvas').getContext('webgl2')
  context?.getExtension('WEBGL_lose_context')?.loseContext()
  return context !== null
}

/** What turns the piece: a hand on it, or the arrow keys. */
function useTurning() {
  const turn = useRef<Turn>({ ...START })
  const redraw = useRef<() => void>(() => undefined)
  const [turning, setTurning] = useState(false)
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined)
  const held = useRef<{ x: number; y: number } | null>(null)
  useEffect(() => () => clearTimeout(rest.current), [])
  const by = useCallback((yaw: number, pitch: number) => {
    turn.current.yaw += yaw
    turn.current.pitch = Math.min(1.57, Math.max(-1.57, turn.current.pitch + pitch))
    redraw.current()
    setTurning(true)
    clearTimeout(rest.current)
    rest.current = setTimeout(() => setTurning(false), REST_MS)
  }, [])
  const onReady = useCallback((draw: () => void) => {
    redraw.current = draw
  }, [])
  const hand = {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      held.current = { x: event.clientX, y: event.clientY }
    },
    onPointerMove: (event: PointerEvent) => {
      if (!held.current) return
      by((event.clientX - held.current.x) * RAD_A_PIXEL, (event.clientY - held.current.y) * RAD_A_PIXEL)
      held.current = { x: event.clientX, y: event.clientY }
    },
    onPointerUp: () => {
      held.current = null
    },
    onKeyDown: (event: KeyboardEvent) => {
      const step = KEYS[event.key]
      if (!step) return
      event.preventDefault()
      by(...step)
    },
  }
  return { turn, turning, onReady, hand }
}

/** The finished piece in 3D, true to scale, and its unrolling into the blank. */
export function SolidView({ result }: { readonly result: FormResult }) {
  const parts = useMemo(() => solidsOf(result), [result])
  const [formed, setFormed] = useState(1)
  const [drawable, setDrawable] = useState<boolean>()
  useEffect(() => setDrawable(canDraw()), [])
  const { turn, turning, onReady, hand } = useTurning()
  const flat = parts.every(({ solid }) => solid.kind === 'plate' || solid.kind === 'turned')
  const colour = metalColour(result)
  return (
    <Box component="figure" sx={{ m: 0, height: '100%', minHeight: { xs: 460, md: 0 }, display: 'flex', flexDirection: 'column' }}>
      <Box component="figcaption" sx={{ display: 'flex', justifyContent: 'space-between', px: 2.25, pt: 1.25 }}>
        <Typography variant="h2">{formed === 1 ? 'Finished' : formed === 0 ? 'Flat blank' : 'On the way'}</Typography>
        <Typography variant="body2">drag it, or turn it with the arrow keys</Typography>
      </Box>
      <Box
        role="group"
        aria-label="The piece in 3D; the arrow keys turn it"
        tabIndex={0}
        data-turning={turning}
        {...hand}
        sx={{ flex: 1, minHeight: 0, cursor: 'grab', touchAction: 'none', '& canvas': { display: 'block' } }}
      >
        {drawable ? (
          <SolidCanvas parts={parts} formed={formed} colour={colour} turn={turn} turning={turning} onReady={onReady} />
        ) : drawable === false ? (
          <Typography sx={{ p: 2.25 }}>
            This browser cannot draw in 3D. The drawing beside shows the same piece in section and flat.
          </Typography>
        ) : null}
      </Box>
      {flat ? null : (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 3, pb: 1.5 }}>
          <PressWheel value={formed} onChange={setFormed} />
          <Typography variant="body2">
            <span className="fig">{Math.round(100 * formed)} %</span> formed: turn the wheel back for the flat blank.
          </Typography>
          <Button onClick={() => setFormed(formed > 0 ? 0 : 1)}>{formed > 0 ? 'Flat blank' : 'Finished'}</Button>
        </Box>
      )}
    </Box>
  )
}

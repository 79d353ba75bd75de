'use client'
import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useRef, useState } from 'react'
import type { Turn } from './solid-canvas'

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

/** What turns the piece: a hand on it, or the arrow keys; and whether this browser can draw it at all. */
export function useTurning() {
  const [drawable, setDrawable] = useState<boolean>()
  useEffect(() => setDrawable(canDraw()), [])
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
  return { turn, turning, drawable, onReady, hand }
}

'use client'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'

interface HeightHandleProps {
  /** Where the crown stands on the drawing. */
  readonly at: readonly [number, number]
  readonly heightMm: number
  readonly mostMm: number
  /** Drawing units for a millimetre. */
  readonly perMm: number
  readonly onHeight: (heightMm: number, isStill: boolean) => void
}

const KEYS: Readonly<Record<string, number>> = { ArrowUp: 0.1, ArrowDown: -0.1, PageUp: 1, PageDown: -1 }
/** Over the figure that stands at the crown. */
const RAISED = 46

/** A mark over the crown: dragged up or down, or moved by keys, it asks for a dome of another height. */
export function HeightHandle({ at: [x, y], heightMm, mostMm, perMm, onHeight }: HeightHandleProps) {
  const from = useRef<{ readonly y: number; readonly heightMm: number; readonly perPixel: number } | null>(null)
  const within = (mm: number) => Math.min(mostMm, Math.max(0.2, mm))
  const heightAt = (event: PointerEvent) => {
    const start = from.current
    return start ? within(start.heightMm + (start.y - event.clientY) * start.perPixel) : heightMm
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Height of the dome"
      aria-valuemin={0.2}
      aria-valuemax={Math.round(10 * mostMm) / 10}
      aria-valuenow={Math.round(10 * heightMm) / 10}
      aria-valuetext={`${formatPlain(heightMm, 1)} mm`}
      style={{ cursor: 'ns-resize', touchAction: 'none', pointerEvents: 'all' }}
      onPointerDown={(event: PointerEvent<SVGGElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        const scale = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1
        from.current = { y: event.clientY, heightMm, perPixel: 1 / (perMm * scale) }
      }}
      onPointerMove={(event: PointerEvent) => {
        if (from.current) onHeight(heightAt(event), false)
      }}
      onPointerUp={(event: PointerEvent) => {
        if (!from.current) return
        const mm = heightAt(event)
        from.current = null
        onHeight(mm, true)
      }}
      onKeyDown={(event: KeyboardEvent) => {
        const step = KEYS[event.key]
        if (step === undefined) return
        event.preventDefault()
        onHeight(within(heightMm + step), true)
      }}
    >
      <circle cx={x} cy={y - RAISED} r={16} fill="transparent" />
      <path
        d={`M${x} ${y - RAISED - 10}l6 7h-4v6h4l-6 7l-6 -7h4v-6h-4z`}
        fill={PALETTE.verdigris}
        stroke={PALETTE.white}
        strokeWidth={1}
        strokeLinejoin="round"
      />
    </g>
  )
}

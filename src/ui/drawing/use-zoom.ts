'use client'
import { select } from 'd3-selection'
import { type ZoomBehavior, type ZoomTransform, zoom, zoomIdentity } from 'd3-zoom'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Fit } from './scale'

/** From half as large as it fits to so many times. */
const RANGE = [0.5, 40] as const
const STEP = 1.5

/** Wheel and drag by mouse; two fingers by touch, so that one finger scrolls the page. A mark that is dragged is left to itself. */
function isForZoom(event: Event): boolean {
  if (event.target instanceof Element && event.target.closest('[role="slider"]')) return false
  if (event instanceof MouseEvent && event.type === 'mousedown') return event.button === 0
  return !('touches' in event) || (event as TouchEvent).touches.length > 1
}

/** A drawing that can be looked at closer: by wheel, drag and pinch, or in steps; twice pressed it fits again. */
export function useZoom(width: number, height: number) {
  const ref = useRef<SVGSVGElement>(null)
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity)
  const behaviour = useMemo(
    (): ZoomBehavior<SVGSVGElement, unknown> =>
      zoom<SVGSVGElement, unknown>()
        .scaleExtent([...RANGE])
        .filter(isForZoom)
        .on('zoom', ({ transform: next }: { transform: ZoomTransform }) => setTransform(next)),
    [],
  )
  useEffect(() => {
    const svg = ref.current
    if (!svg) return
    const own = select(svg)
    own.call(behaviour).on('dblclick.zoom', () => behaviour.transform(own, zoomIdentity))
    return () => void own.on('.zoom', null)
  }, [behaviour])
  const extent = useMemo(
    () =>
      [
        [0, 0],
        [width, height],
      ] as [[number, number], [number, number]],
    [width, height],
  )
  behaviour.extent(extent).translateExtent(extent)
  const by = useCallback(
    (factor: number) => {
      if (ref.current) behaviour.scaleBy(select(ref.current), factor)
    },
    [behaviour],
  )
  return {
    ref,
    isFitted: transform.k === 1 && transform.x === 0 && transform.y === 0,
    closer: () => by(STEP),
    wider: () => by(1 / STEP),
    /** So many times as large as it fits. */
    to: (factor: number) => {
      if (ref.current) behaviour.scaleTo(select(ref.current), factor)
    },
    fit: () => {
      if (ref.current) behaviour.transform(select(ref.current), zoomIdentity)
    },
    /** The place of everything as it is looked at now. */
    zoomed: (fit: Fit): Fit => ({
      scale: fit.scale * transform.k,
      toX: (x) => transform.applyX(fit.toX(x)),
      toY: (y) => transform.applyY(fit.toY(y)),
    }),
  }
}

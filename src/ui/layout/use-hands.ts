'use client'
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { boundsOf, type Point } from '@/core/geometry'
import { type LayoutInput, type LayoutItem, type LayoutSheet, type Placement, placedRegion, type RestLine, restOf } from '@/core/layout'
import { keyOf, NOTHING, type Selection } from './selection'
import type { SheetScale } from './sheet-scale'

/** What the hands do to a layout. */
export interface LayoutHands {
  readonly place: (keys: Selection, from: readonly Placement[], dx: number, dy: number) => void
  readonly move: (keys: Selection, dx: number, dy: number) => void
  /** Turns a selection from where it lies, or from where it lay when it was taken hold of. */
  readonly turn: (keys: Selection, byDeg: number, from?: readonly Placement[]) => void
  readonly pin: (keys: Selection) => void
  readonly takeOff: (keys: Selection) => void
}

interface HandsSetup {
  readonly sheet: LayoutSheet
  readonly scale: SheetScale
  readonly items: ReadonlyMap<string, { readonly item: LayoutItem }>
  readonly placements: readonly Placement[]
  readonly gaps: Pick<LayoutInput, 'kerfMm' | 'marginMm'>
  /** Whether a dragged blank comes to rest beside others and on centre lines. */
  readonly comesToRest: boolean
  readonly selected: Selection
  readonly onSelect: (keys: Selection) => void
  readonly hands: LayoutHands
}

const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }
/** Steps of the arrow keys, mm. */
const STEP_MM = { fine: 0.5, coarse: 5 } as const
const TURN_DEG = { quarter: 90, fine: 5 } as const
/** A blank comes to rest from so near, px, and no farther than this, mm. */
const REACH = { px: 9, mostMm: 2.5 } as const
/** A press that moves less than this selects, px. */
const STILL_PX = 3

interface Drag {
  readonly from: Point
  readonly keys: Selection
  readonly before: readonly Placement[]
}

/** What is turned by its handle: about which place of the window, and from which angle the hand began. */
interface Turning {
  readonly middle: Point
  readonly fromDeg: number
  readonly keys: Selection
  readonly before: readonly Placement[]
}

/** A blank that is turned comes to rest at each of these, from so near. */
const REST_DEG = { every: 15, reach: 3 } as const

/** The angle of a place of the window about another, counter-clockwise. */
const angleDeg = ([cx, cy]: Point, { clientX, clientY }: PointerEvent) => (Math.atan2(cy - clientY, clientX - cx) * 180) / Math.PI

/** Where a blank that lay at an angle comes to rest when it is turned so far. */
function restedDeg(lay: number, byDeg: number): number {
  const near = Math.round((lay + byDeg) / REST_DEG.every) * REST_DEG.every
  return Math.abs(near - lay - byDeg) <= REST_DEG.reach ? near - lay : byDeg
}

/** A frame drawn over the sheet, in its millimetres. */
export interface Frame {
  readonly from: Point
  readonly to: Point
}

/** Selecting, dragging, framing and the keys on a sheet's blanks. */
export function useHands({ sheet, scale, items, placements, gaps, comesToRest, selected, onSelect, hands }: HandsSetup) {
  const drag = useRef<Drag>(undefined)
  const turning = useRef<Turning>(undefined)
  const [frame, setFrame] = useState<Frame>()
  const [lines, setLines] = useState<readonly RestLine[]>([])
  const onSheet = (list: readonly Placement[]) =>
    list.flatMap((pose) => {
      const item = items.get(pose.id)?.item
      return item ? [{ item, pose }] : []
    })

  const restFrom = ({ keys, before }: Drag, dx: number, dy: number) => {
    const moved = before.filter((place) => keys.has(keyOf(place)) && !place.pinned)
    const others = onSheet(before.filter((place) => !moved.includes(place)))
    const there = onSheet(moved.map((place) => ({ ...place, x: place.x + dx, y: place.y + dy })))
    return restOf(there, { sheet, others, ...gaps }, Math.min(REACH.px / scale.pxPerMm, REACH.mostMm))
  }

  const onBlankDown = (place: Placement) => (event: PointerEvent<SVGGElement>) => {
    event.stopPropagation()
    const key = keyOf(place)
    const toggled = selected.has(key) ? [...selected].filter((one) => one !== key) : [...selected, key]
    const keys: Selection = event.shiftKey ? new Set(toggled) : selected.has(key) ? selected : new Set([key])
    event.currentTarget.setPointerCapture(event.pointerId)
    onSelect(keys)
    drag.current = { from: [event.clientX, event.clientY], keys, before: placements }
  }
  /** Takes hold of the turning handle of what is selected; its middle is a place of the sheet, mm. */
  const onTurnDown = (middle: Point) => (event: PointerEvent<SVGGElement>) => {
    const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!svg) return
    event.stopPropagation()
    event.currentTarget.setPointerCapture(event.pointerId)
    const about: Point = [svg.left + scale.toX(middle[0]), svg.top + scale.toY(middle[1])]
    turning.current = { middle: about, fromDeg: angleDeg(about, event), keys: selected, before: placements }
  }
  const turnTo = ({ middle, fromDeg, keys, before }: Turning, event: PointerEvent) => {
    const byDeg = angleDeg(middle, event) - fromDeg
    const first = before.find((place) => keys.has(keyOf(place)) && !place.pinned)
    hands.turn(keys, comesToRest && !event.altKey ? restedDeg(first?.rotationDeg ?? 0, byDeg) : byDeg, before)
  }
  const onGroundDown = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const from = scale.toMm(event.clientX - box.left, event.clientY - box.top)
    event.currentTarget.setPointerCapture(event.pointerId)
    setFrame({ from, to: from })
  }
  const onMove = (event: PointerEvent<SVGSVGElement>) => {
    if (frame) {
      const box = event.currentTarget.getBoundingClientRect()
      setFrame({ ...frame, to: scale.toMm(event.clientX - box.left, event.clientY - box.top) })
    }
    if (turning.current) return turnTo(turning.current, event)
    const held = drag.current
    if (!held) return
    const [px, py] = [event.clientX - held.from[0], event.clientY - held.from[1]]
    if (Math.hypot(px, py) < STILL_PX) return
    const [dx, dy] = [px / scale.pxPerMm, -py / scale.pxPerMm]
    const rest = comesToRest && !event.altKey ? restFrom(held, dx, dy) : { dx: 0, dy: 0, lines: [] }
    setLines(rest.lines)
    hands.place(held.keys, held.before, dx + rest.dx, dy + rest.dy)
  }
  const onUp = () => {
    drag.current = undefined
    turning.current = undefined
    setLines([])
    if (!frame) return
    setFrame(undefined)
    const [left, right] = [Math.min(frame.from[0], frame.to[0]), Math.max(frame.from[0], frame.to[0])]
    const [low, high] = [Math.min(frame.from[1], frame.to[1]), Math.max(frame.from[1], frame.to[1])]
    const within = onSheet(placements).filter(({ item, pose }) => {
      const box = boundsOf(placedRegion(item, pose).outer)
      return box.minX >= left && box.maxX <= right && box.minY >= low && box.maxY <= high
    })
    onSelect(new Set(within.map(({ pose }) => keyOf(pose))))
  }
  /** Blanks reached by the keyboard are selected; those under the pointer are by their own press. */
  const onBlankFocus = (place: Placement) => () => {
    if (!drag.current && !selected.has(keyOf(place))) onSelect(new Set([keyOf(place)]))
  }
  const move = ([x, y]: Point, isCoarse: boolean) => {
    const step = isCoarse ? STEP_MM.coarse : STEP_MM.fine
    hands.move(selected, x * step, y * step)
  }
  /** What a key does here; undefined where it is not one of ours. */
  const actOf = ({ key, shiftKey, ctrlKey, metaKey }: KeyboardEvent): (() => void) | undefined => {
    const all = () => onSelect(new Set(placements.map(keyOf)))
    if (ctrlKey || metaKey) return key.toLowerCase() === 'a' ? all : undefined
    const way = WAYS[key]
    if (way) return () => move(way, shiftKey)
    const acts: Readonly<Record<string, () => void>> = {
      r: () => hands.turn(selected, shiftKey ? TURN_DEG.fine : TURN_DEG.quarter),
      p: () => hands.pin(selected),
      delete: () => hands.takeOff(selected),
      backspace: () => hands.takeOff(selected),
      escape: () => onSelect(NOTHING),
    }
    return acts[key.toLowerCase()]
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const act = actOf(event)
    if (!act) return
    event.preventDefault()
    act()
  }
  return { frame, lines, onTurnDown, onBlankDown, onBlankFocus, onGroundDown, onMove, onUp, onKeyDown }
}

import {
  type Announcements,
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
  KeyboardCode,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { useRef, useState } from 'react'
import { COLUMN } from './board-shape'

/** A step that is taken up: where it stood, and over which place it is held. */
interface Held {
  readonly from: number
  readonly to: number
}

interface StepDrag {
  readonly steps: readonly { readonly id: string; readonly title: string }[]
  readonly onOver: (from: number, to: number) => void
  readonly onDrop: (from: number, to: number) => void
}

/** How a step is taken up; said once, so that a board drawn anew keeps its steps as they are. */
const BY_POINTER = { activationConstraint: { distance: 4 } }

/** With each arrow key a step goes one place on. */
const oneColumn: KeyboardCoordinateGetter = ({ code }, { currentCoordinates: { x, y } }) => {
  if (code === KeyboardCode.Right) return { x: x + COLUMN, y }
  if (code === KeyboardCode.Left) return { x: x - COLUMN, y }
  return undefined
}
const BY_KEYS = { coordinateGetter: oneColumn }

const HOW = { draggable: 'Space takes the step up, the left and right arrow keys move it, Space puts it down and Escape puts it back.' }

/** How far a column makes room for the step that is held, px. */
export function roomFor(held: Held | undefined, index: number): number {
  if (!held || index === held.from) return 0
  if (held.from < index && index <= held.to) return -COLUMN
  return held.to <= index && index < held.from ? COLUMN : 0
}

/** A step taken by its tag and held over another place, by pointer and by keys: every column is as wide, so the way it has gone says where it is. */
export function useStepDrag({ steps, onOver, onDrop }: StepDrag) {
  const [held, setHeld] = useState<Held>()
  // a move is told before it is drawn
  const over = useRef(0)
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS))
  const indexOf = (id: UniqueIdentifier) => steps.findIndex((step) => step.id === id)
  const titleOf = (id: UniqueIdentifier) => steps[indexOf(id)]?.title ?? 'The step'
  const placeOf = (from: number, { x }: { readonly x: number }) => Math.max(0, Math.min(steps.length - 1, from + Math.round(x / COLUMN)))
  const letGo = (from: number, to: number) => {
    setHeld(undefined)
    onDrop(from, to)
  }
  const announcements: Announcements = {
    onDragStart: ({ active: { id } }) => `${titleOf(id)}, number ${indexOf(id) + 1}, is taken up.`,
    onDragMove: ({ active: { id } }) => `${titleOf(id)} would be number ${over.current + 1}.`,
    onDragOver: () => undefined,
    onDragEnd: ({ active: { id } }) => `${titleOf(id)} is put down.`,
    onDragCancel: ({ active: { id } }) => `${titleOf(id)} stays where it was.`,
  }
  return {
    held,
    sensors,
    accessibility: { announcements, screenReaderInstructions: HOW },
    onDragStart: ({ active }: DragStartEvent) => {
      over.current = indexOf(active.id)
      setHeld({ from: over.current, to: over.current })
    },
    onDragMove: ({ active, delta }: DragMoveEvent) => {
      const from = indexOf(active.id)
      const to = placeOf(from, delta)
      if (to === held?.to) return
      over.current = to
      setHeld({ from, to })
      onOver(from, to)
    },
    onDragEnd: ({ active, delta }: DragEndEvent) => letGo(indexOf(active.id), placeOf(indexOf(active.id), delta)),
    onDragCancel: () => letGo(0, 0),
  }
}

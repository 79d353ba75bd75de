'use client'
import { CornerLeftDown, CornerLeftUp, Hammer, Trash2 } from 'lucide-react'
import { MoreMenu } from '../shared/more-menu'

interface StepMenuProps {
  readonly title: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onMove: (by: number) => void
  readonly onRemove: () => void
}

/** What can be done with a step of a route. */
export function StepMenu({ title, isFirst, isLast, onMove, onRemove }: StepMenuProps) {
  return (
    <MoreMenu
      label={`Change ${title}`}
      icon={Hammer}
      entries={[
        { label: 'Do it earlier', icon: CornerLeftUp, disabled: isFirst, onChoose: () => onMove(-1) },
        { label: 'Do it later', icon: CornerLeftDown, disabled: isLast, onChoose: () => onMove(1) },
        { label: 'Take it out', icon: Trash2, onChoose: onRemove },
      ]}
    />
  )
}

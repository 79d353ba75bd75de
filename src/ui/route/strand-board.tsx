'use client'
import { DndContext, type DraggableAttributes, type DraggableSyntheticListeners, useDraggable } from '@dnd-kit/core'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { memo, useEffect, useId, useMemo, useRef, useState } from 'react'
import type { DesignStep, Strands } from '@/core/piece'
import type { Finding } from '@/core/rules'
import { useSteadyAll } from '../shared/use-steady'
import { PALETTE } from '../theme/palette'
import { type BoardShape, boardShape, COLUMN, columnX, LEFT } from './board-shape'
import { StepMenu } from './step-menu'
import { StepNumbers, StepTag } from './step-tag'
import { roomFor, useStepDrag } from './use-step-drag'
import { Wires } from './wires'

export interface BoardStep {
  readonly step: DesignStep
  readonly title: string
  /** What it is done to, by name; empty where the piece has only one thing. */
  readonly on: string
}

interface StrandBoardProps {
  readonly strands: Strands
  readonly steps: readonly BoardStep[]
  readonly colours: ReadonlyMap<string, string>
  readonly names: ReadonlyMap<string, string>
  readonly findings: readonly Finding[]
  readonly chosen: string | undefined
  readonly onChoose: (id: string) => void
  readonly onOver: (from: number, to: number) => void
  readonly onDrop: (from: number, to: number) => void
  readonly onRemove: (index: number) => void
}

/** What is drawn over the wires, and the steps it stands at. */
interface Over {
  readonly shape: BoardShape
  readonly ids: readonly string[]
}

/** What each wire is called, where there are several. */
function Names({ shape: { names: places }, colours, names }: Pick<Over, 'shape'> & Pick<StrandBoardProps, 'colours' | 'names'>) {
  if (places.length < 2) return null
  return places.map(({ thing, at: [x, y] }) => (
    <text key={thing} x={x} y={y} fontSize={13} fill={colours.has(thing) ? PALETTE.ink : PALETTE.muted} fontWeight={600}>
      {names.get(thing) ?? thing}
    </text>
  ))
}

/** A broken rule, from the step it begins at to the one that breaks it; a word at each end says which. */
function Breaks({ shape, ids, findings }: Over & Pick<StrandBoardProps, 'findings'>) {
  return findings.map(({ rule, level, steps, overridden }) => {
    const [from, to] = [steps[0] ?? 0, steps.at(-1) ?? 0]
    const [first, last] = [shape.columns[from], shape.columns[to]]
    if (!first || !last) return null
    const [fromX, toX] = [columnX(from), columnX(to)]
    const colour = overridden ? PALETTE.muted : level === 'stop' ? PALETTE.fire : PALETTE.ochre
    const dip = Math.min(shape.height - 4, Math.max(first.y, last.y) + 26)
    const path =
      from === to ? `M${toX - 16} ${dip}h32` : `M${fromX} ${first.y + 18}C${fromX} ${dip + 10} ${toX} ${dip + 10} ${toX} ${last.y + 18}`
    return (
      <g key={`${rule} ${steps.map((i) => ids[i]).join(' ')}`}>
        <path d={path} fill="none" stroke={colour} strokeWidth={2} strokeDasharray={overridden ? '2 4' : '7 4'} />
        <text x={toX + 19} y={last.y + 20} fontSize={12} fontWeight={700} fill={colour}>
          {rule}
        </text>
      </g>
    )
  })
}

/** What can be done with a step; the same functions as long as the board is there. */
interface StepHand {
  readonly choose: (id: string) => void
  readonly move: (id: string, by: number) => void
  readonly remove: (id: string) => void
}

interface FaceProps {
  readonly id: string
  readonly title: string
  readonly on: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly y: number
  readonly isChosen: boolean
  readonly hand: StepHand
  readonly attributes: DraggableAttributes
  readonly listeners: DraggableSyntheticListeners
}

/** A step on the board: its tag, its words and what can be done with it. Drawn anew only where something of it has changed. */
const StepFace = memo(function StepFace({ id, title, on, isFirst, isLast, y, isChosen, hand, attributes, listeners }: FaceProps) {
  return (
    <>
      <div style={{ position: 'absolute', left: COLUMN / 2 - 18, top: y - 12 }}>
        <StepTag
          id={id}
          label={`Drag ${title}`}
          isChosen={isChosen}
          attributes={attributes}
          listeners={listeners}
          onChoose={() => hand.choose(id)}
        />
      </div>
      <ButtonBase
        onClick={() => hand.choose(id)}
        aria-pressed={isChosen}
        sx={{
          display: 'block',
          width: '100%',
          minHeight: 64,
          px: 0.25,
          fontSize: 12.5,
          lineHeight: 1.2,
          verticalAlign: 'top',
          fontWeight: isChosen ? 700 : 500,
          color: isChosen ? PALETTE.verdigris : PALETTE.ink,
          overflowWrap: 'anywhere',
        }}
      >
        {title}
        {on ? <span style={{ display: 'block', color: PALETTE.muted, fontWeight: 400 }}>{on}</span> : null}
      </ButtonBase>
      <StepMenu title={title} isFirst={isFirst} isLast={isLast} onMove={(by) => hand.move(id, by)} onRemove={() => hand.remove(id)} />
    </>
  )
})

interface ColumnProps extends Omit<FaceProps, 'attributes' | 'listeners'> {
  readonly height: number
  /** How far it makes room for a step that is held, px. */
  readonly room: number
  /** Whether it is not drawn where it is out of view. */
  readonly isLeftOut: boolean
}

const StepColumn = memo(function StepColumn({ height, room, isLeftOut, ...face }: ColumnProps) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: face.id })
  return (
    <li
      ref={setNodeRef}
      style={{
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : room ? `translateX(${room}px)` : undefined,
        contentVisibility: isLeftOut ? 'auto' : undefined,
        transition: isDragging ? 'none' : undefined,
        zIndex: isDragging ? 1 : undefined,
        width: COLUMN,
        flexShrink: 0,
        position: 'relative',
        paddingTop: height,
        textAlign: 'center',
      }}
    >
      <StepFace {...face} attributes={attributes} listeners={listeners} />
    </li>
  )
})

/** The route as the metal runs: a wire for each part, a stamped tag on it for each step, wires bound together where they are joined. */
export function StrandBoard({ strands, steps, colours, names, findings, chosen, onChoose, onOver, onDrop, onRemove }: StrandBoardProps) {
  const dndId = useId()
  const shape = boardShape(strands)
  const ids = steps.map(({ step }) => step.id)
  const row = useRef<HTMLOListElement>(null)
  const [rowPx, setRowPx] = useState<number>()
  // drawn once as a whole, the row keeps its height, and what is out of view need not be drawn anew
  useEffect(() => setRowPx(row.current?.offsetHeight), [])
  const indexOf = (id: unknown) => steps.findIndex(({ step }) => step.id === id)
  const hand: StepHand = useSteadyAll({
    choose: onChoose,
    move: (id: string, by: number) => onDrop(indexOf(id), indexOf(id) + by),
    remove: (id: string) => onRemove(indexOf(id)),
  })
  const numbers = useMemo(() => new Map(steps.map(({ step }, i) => [step.id, i + 1])), [steps])
  const { held, ...drag } = useStepDrag({ steps: steps.map(({ step, title }) => ({ id: step.id, title })), onOver, onDrop })
  return (
    <div style={{ position: 'relative', width: shape.width }}>
      <Wires shape={shape} ids={ids} colours={colours} />
      <svg width={shape.width} height={shape.height} style={{ position: 'absolute', left: 0, top: 0 }} aria-hidden="true">
        <Names shape={shape} colours={colours} names={names} />
        <Breaks shape={shape} ids={ids} findings={findings} />
      </svg>
      <DndContext id={dndId} {...drag}>
        <StepNumbers value={numbers}>
          <Box
            component="ol"
            ref={row}
            aria-label="Steps in order"
            style={{ minHeight: rowPx }}
            sx={{
              listStyle: 'none',
              m: 0,
              p: 0,
              pl: `${LEFT}px`,
              display: 'flex',
              // put down, the steps stand at once where they were held
              ...(held ? { '& > li': { transition: 'transform 160ms' } } : {}),
            }}
          >
            {steps.map((item, i) => (
              <StepColumn
                key={item.step.id}
                id={item.step.id}
                title={item.title}
                on={item.on}
                isFirst={i === 0}
                isLast={i === steps.length - 1}
                y={shape.columns[i]?.y ?? 0}
                height={shape.height}
                room={roomFor(held, i)}
                isLeftOut={rowPx !== undefined}
                isChosen={item.step.id === chosen}
                hand={hand}
              />
            ))}
          </Box>
        </StepNumbers>
      </DndContext>
      {steps.length === 0 ? <Typography sx={{ p: 2 }}>There is no step yet.</Typography> : null}
    </div>
  )
}

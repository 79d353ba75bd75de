'use client'
import { memo } from 'react'
import { PALETTE } from '../theme/palette'
import { type BoardColumn, type BoardShape, COLUMN, LEFT, type Wire } from './board-shape'

/** What is no metal: a strand of its own, thin and dotted. */
const PLAIN = { stroke: PALETTE.steelEdge, strokeWidth: 1.5, strokeDasharray: '2 4' }

type Colours = ReadonlyMap<string, string>

interface PiecesProps {
  readonly wires: readonly Wire[]
  readonly colours: Colours
}

const together = (wires: readonly Wire[]) => wires.map(({ path }) => path).join('')

/** Pieces of wire, all of one look in one path: metal with an edge in its own colour, the rest dotted. */
function Pieces({ wires, colours }: PiecesProps) {
  const metal = wires.filter(({ thing }) => colours.has(thing))
  const plain = wires.filter(({ thing }) => !colours.has(thing))
  const faces = [...new Set(metal.map(({ thing }) => colours.get(thing)))]
  return (
    <>
      <path d={together(plain)} fill="none" {...PLAIN} />
      <path d={together(metal)} fill="none" stroke={PALETTE.steelEdge} strokeWidth={5.5} />
      {faces.map((colour) => (
        <path
          key={colour}
          d={together(metal.filter(({ thing }) => colours.get(thing) === colour))}
          fill="none"
          stroke={colour}
          strokeWidth={3.5}
        />
      ))}
    </>
  )
}

interface ColumnProps {
  readonly column: BoardColumn
  readonly height: number
  readonly colours: Colours
}

/** Whether a column looks the same: the wires are worked out anew with every change of the route. */
function isSame(a: ColumnProps, b: ColumnProps): boolean {
  const [one, other] = [a.column, b.column]
  return (
    a.height === b.height &&
    one.y === other.y &&
    one.joins === other.joins &&
    one.others.join() === other.others.join() &&
    one.wires.length === other.wires.length &&
    one.wires.every(({ thing, path }, i) => path === other.wires[i]?.path && a.colours.get(thing) === b.colours.get(thing))
  )
}

/** The wires that pass at a step, and which of them it takes hold of; out of view it is not drawn. */
const WireColumn = memo(function WireColumn({ column: { wires, y, others, joins }, height, colours }: ColumnProps) {
  const x = COLUMN / 2
  return (
    <div style={{ width: COLUMN, height, flexShrink: 0, contentVisibility: 'auto' }}>
      <svg aria-hidden width={COLUMN} height={height} style={{ display: 'block' }}>
        <Pieces wires={wires} colours={colours} />
        {others.map((other) => (
          <g key={other}>
            <line x1={x} x2={x} y1={y} y2={other} stroke={PALETTE.steelEdge} strokeWidth={1.5} />
            <circle cx={x} cy={other} r={4} fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
          </g>
        ))}
        {joins === 'hot' ? <path d={`M${x - 26} ${y + 14}l8 -15 8 15z`} fill={PALETTE.fire} /> : null}
        {joins === 'cold' ? <rect x={x - 25} y={y + 4} width={10} height={10} fill="none" stroke={PALETTE.ink} strokeWidth={1.5} /> : null}
      </svg>
    </div>
  )
}, isSame)

interface WiresProps {
  readonly shape: BoardShape
  readonly ids: readonly string[]
  readonly colours: Colours
}

/** The wires of the route: one for each part, bent to the one it is joined to, and from there side by side. Drawn by columns, so that a step put in moves what follows it and draws only itself. */
export function Wires({ shape: { height, lead, tail, columns }, ids, colours }: WiresProps) {
  return (
    <div style={{ position: 'absolute', left: 0, top: 0, display: 'flex' }}>
      <svg aria-hidden width={LEFT} height={height} style={{ display: 'block', flexShrink: 0 }}>
        <Pieces wires={lead} colours={colours} />
      </svg>
      {columns.map((column, i) => (
        <WireColumn key={ids[i]} column={column} height={height} colours={colours} />
      ))}
      <svg aria-hidden width={12} height={height} style={{ display: 'block', flexShrink: 0 }}>
        <Pieces wires={tail} colours={colours} />
      </svg>
    </div>
  )
}

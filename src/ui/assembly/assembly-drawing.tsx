'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { AssemblyView } from '@/core/assembly'
import { partOfCopy } from '@/core/piece'
import { fitView } from '../drawing/scale'
import { useSize } from '../drawing/use-size'
import { PALETTE } from '../theme/palette'

interface AssemblyDrawingProps {
  readonly views: readonly AssemblyView[]
  readonly colours: ReadonlyMap<string, { readonly face: string; readonly edge: string }>
  readonly chosen: string | undefined
  readonly onPick: (part: string) => void
}

type Outline = readonly (readonly [number, number])[]

interface ViewProps extends Omit<AssemblyDrawingProps, 'views'> {
  readonly view: AssemblyView
  readonly width: number
  readonly height: number
}

/** Lines of lettering want so much room, px. */
const LINE_PX = 19

/** Names one under the other where they would lie on each other. */
function spreadOut(labels: readonly { readonly x: number; readonly y: number; readonly text: string }[]) {
  let last = Number.NEGATIVE_INFINITY
  return [...labels]
    .sort((a, b) => a.y - b.y)
    .map((label) => {
      last = Math.max(label.y, last + LINE_PX)
      return { ...label, toY: last }
    })
}

function View({ view, width, height, colours, chosen, onPick }: ViewProps) {
  const [over, setOver] = useState<string>()
  const fit = fitView(view, width, height)
  const labels = spreadOut(view.notes.map(({ at, text }) => ({ x: fit.toX(at[0]), y: fit.toY(at[1]), text })))
  const pathOf = (outline: Outline) =>
    `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${fit.toX(x).toFixed(1)} ${fit.toY(y).toFixed(1)}`).join('')}Z`
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography component="figcaption" variant="h2" sx={{ px: 2.25, pt: 1 }}>
        {view.title}
      </Typography>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={view.title}
        style={{ display: 'block' }}
      >
        {view.shapes.map((shape, i) => {
          if (shape.kind !== 'region') return null
          const part = partOfCopy(view.partOf[i] ?? '')
          const colour = colours.get(part) ?? { face: PALETTE.steel, edge: PALETTE.steelEdge }
          const isOn = part === chosen || part === over
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the list beside it has the same parts as buttons
            <path
              key={`${part}-${i}`}
              d={[shape.outer, ...shape.holes].map(pathOf).join('')}
              fillRule="evenodd"
              fill={colour.face}
              stroke={isOn ? PALETTE.verdigris : colour.edge}
              strokeWidth={isOn ? 3 : 1.2}
              style={{ cursor: 'pointer' }}
              onClick={() => onPick(part)}
              onPointerEnter={() => setOver(part)}
              onPointerLeave={() => setOver(undefined)}
            />
          )
        })}
        {labels.map(({ x, y, toY, text }) => (
          <g key={text} pointerEvents="none">
            <path d={`M${x + 2} ${y}L${x + 14} ${toY}h7`} fill="none" stroke={PALETTE.muted} />
            <text x={x + 24} y={toY + 5} fontSize={13} fill={PALETTE.ink} stroke={PALETTE.ground} strokeWidth={4} paintOrder="stroke">
              {text}
            </text>
          </g>
        ))}
      </svg>
    </Box>
  )
}

/** The parts standing together in section and from above, each in its own metal; a part is picked by pressing it. */
export function AssemblyDrawing({ views, ...rest }: AssemblyDrawingProps) {
  const { ref, width, height } = useSize({ width: 600, height: 520 })
  return (
    <Box ref={ref} sx={{ height: '100%', minHeight: { xs: 420, md: 0 }, overflow: 'hidden' }}>
      {views.map((view) => (
        <View key={view.id} view={view} width={width} height={Math.max(120, height / views.length - 32)} {...rest} />
      ))}
    </Box>
  )
}

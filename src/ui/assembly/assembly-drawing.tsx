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

function View({ view, width, height, colours, chosen, onPick }: ViewProps) {
  const [over, setOver] = useState<string>()
  const fit = fitView(view, width, height)
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
        {view.notes.map(({ at, text }, i) => (
          <g key={`${text}-${i}`} pointerEvents="none">
            <path d={`M${fit.toX(at[0]) + 2} ${fit.toY(at[1])}l10 -6h8`} fill="none" stroke={PALETTE.muted} />
            <text x={fit.toX(at[0]) + 23} y={fit.toY(at[1]) - 2} fontSize={13} fill={PALETTE.ink}>
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

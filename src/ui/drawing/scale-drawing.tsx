'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tooltip from '@mui/material/Tooltip'
import Typography from '@mui/material/Typography'
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react'
import { useRef } from 'react'
import { type DrawingHandle, type DrawingShape, type DrawingView, kerfLine } from '@/core/drawing'
import { IconAction } from '../shared/icon-action'
import { useWorkshop } from '../shared/workshop-context'
import { FONTS, PALETTE } from '../theme/palette'
import { DimensionLine } from './dimension-line'
import { type Fit, fitView, scaleWords } from './scale'
import { usePxPerMm } from './true-size'
import { useZoom } from './use-zoom'

interface ScaleDrawingProps {
  readonly view: DrawingView
  readonly colour: { readonly face: string; readonly edge: string }
  readonly width: number
  readonly height: number
  /** Largest scale, px to a millimetre; small things want more. */
  readonly maxScale?: number
  /** Called with the field and how much to add to it; absent, the drawing is only looked at. */
  readonly onHandle?: (field: string, change: number) => void
}

/** Narrower than this there is no room for more than the title. */
const HINT_FROM_PX = 400

const LINE: Readonly<Record<string, object>> = {
  saw: { stroke: PALETTE.fire, strokeWidth: 1.4, strokeDasharray: '6 3', fill: 'none' },
  scribe: { stroke: PALETTE.ink, strokeWidth: 0.8, fill: 'none' },
  fold: { stroke: PALETTE.ink, strokeWidth: 1, strokeDasharray: '7 2 1.5 2', fill: 'none' },
  centre: { stroke: PALETTE.muted, strokeWidth: 0.9, strokeDasharray: '8 3 2 3', fill: 'none' },
  allowance: { stroke: PALETTE.ochre, strokeWidth: 1.2, strokeDasharray: '2 2', fill: 'none' },
  tool: { stroke: PALETTE.ink, strokeWidth: 1.2, fill: PALETTE.steel },
}

function pathOf(points: readonly (readonly [number, number])[], fit: Fit, close: boolean): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${fit.toX(x).toFixed(2)} ${fit.toY(y).toFixed(2)}`).join('') + (close ? 'Z' : '')
}

interface ShapeProps {
  readonly shape: DrawingShape
  readonly fit: Fit
  readonly colour: ScaleDrawingProps['colour']
  readonly kerfMm: number
}

/** The metal the blade takes, on its own side of the line. */
const KERF = { stroke: PALETTE.fire, strokeOpacity: 0.22, fill: 'none' }

function Shape({ shape, fit, colour, kerfMm }: ShapeProps) {
  if (shape.kind === 'region') {
    const d = [shape.outer, ...shape.holes].map((outline) => pathOf(outline, fit, true)).join('')
    return <path d={d} fillRule="evenodd" fill={colour.face} stroke={colour.edge} strokeWidth={1.2} />
  }
  if (shape.kind === 'circle')
    return <circle cx={fit.toX(shape.centre[0])} cy={fit.toY(shape.centre[1])} r={shape.radiusMm * fit.scale} {...LINE[shape.layer]} />
  if (shape.kind === 'cut')
    return (
      <>
        <path d={pathOf(kerfLine(shape, kerfMm), fit, shape.closed)} {...KERF} strokeWidth={Math.max(0.5, kerfMm * fit.scale)} />
        <path d={pathOf(shape.points, fit, shape.closed)} {...LINE.saw} />
      </>
    )
  const [a, b] = shape.points
  const isShort = a !== undefined && b !== undefined && shape.layer === 'centre' && Math.hypot(a[0] - b[0], a[1] - b[1]) * fit.scale < 60
  const last = shape.points.at(-1)
  const isOpen = a === undefined || last === undefined || a[0] !== last[0] || a[1] !== last[1]
  return (
    <path
      d={pathOf(shape.points, fit, false)}
      {...LINE[shape.layer]}
      {...(isOpen ? { fill: 'none' } : {})}
      {...(isShort ? { strokeDasharray: 'none' } : {})}
    />
  )
}

const KEY_STEP: Readonly<Record<string, number>> = {
  ArrowUp: 0.1,
  ArrowRight: 0.1,
  ArrowDown: -0.1,
  ArrowLeft: -0.1,
  PageUp: 1,
  PageDown: -1,
}

/** A centre-punch mark where scribed lines cross: what it marks can be moved. */
function Handle({ handle, fit, onMove }: { readonly handle: DrawingHandle; readonly fit: Fit; readonly onMove: (change: number) => void }) {
  const last = useRef<{ x: number; y: number } | null>(null)
  return (
    <g
      transform={`translate(${fit.toX(handle.at[0])} ${fit.toY(handle.at[1])})`}
      role="slider"
      tabIndex={0}
      aria-label={`${handle.label}: drag, or arrow keys`}
      aria-valuenow={Number((handle.at[0] * handle.along[0] + handle.at[1] * handle.along[1]).toFixed(2))}
      style={{ cursor: handle.along[0] === 0 ? 'ns-resize' : 'ew-resize', touchAction: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        last.current = { x: event.clientX, y: event.clientY }
      }}
      onPointerMove={(event) => {
        if (!last.current) return
        const mm = ((event.clientX - last.current.x) * handle.along[0] - (event.clientY - last.current.y) * handle.along[1]) / fit.scale
        const change = Math.round(mm * handle.gain * 10) / 10
        if (change === 0) return
        last.current = { x: event.clientX, y: event.clientY }
        onMove(change)
      }}
      onPointerUp={() => {
        last.current = null
      }}
      onKeyDown={(event) => {
        const step = KEY_STEP[event.key]
        if (step === undefined) return
        event.preventDefault()
        onMove(step)
      }}
    >
      <circle r={12} fill="transparent" />
      <path d="M-11 0H-4M4 0H11M0 -11V-4M0 4V11" stroke={PALETTE.ground} strokeWidth={3.4} />
      <path d="M-11 0H-4M4 0H11M0 -11V-4M0 4V11" stroke={PALETTE.verdigris} strokeWidth={1.6} />
      <circle r={4} fill={PALETTE.verdigris} stroke={PALETTE.ground} strokeWidth={1.2} />
      <circle r={1.3} fill={PALETTE.ground} />
    </g>
  )
}

interface ZoomButtonsProps {
  readonly zoom: ReturnType<typeof useZoom>
  readonly title: string
  /** How many times as large as it fits the piece is on this screen in its own size. */
  readonly trueSize: number
}

/** Closer, wider, the whole, and as large as the piece. */
function ZoomButtons({ zoom, title, trueSize }: ZoomButtonsProps) {
  return (
    <Box
      className="no-print"
      role="group"
      aria-label={`Look at ${title}`}
      sx={{ display: 'flex', alignItems: 'center', ml: 1, flexShrink: 0 }}
    >
      <IconAction label="Zoom in" icon={ZoomIn} onPress={zoom.closer} />
      <IconAction label="Zoom out" icon={ZoomOut} onPress={zoom.wider} />
      <IconAction label="Show all of it" icon={Maximize} disabled={zoom.isFitted} onPress={zoom.fit} />
      <Tooltip title="True size" describeChild>
        <Button variant="text" sx={{ minHeight: 24, minWidth: 26, px: 0.5, py: 0, fontSize: 12.5 }} onClick={() => zoom.to(trueSize)}>
          100 %
        </Button>
      </Tooltip>
    </Box>
  )
}

/** One view of the piece, true to scale in its own metal, with dimension lines and handles that change the inputs. */
export function ScaleDrawing({ view, colour, width, height, maxScale, onHandle }: ScaleDrawingProps) {
  const whole = fitView(view, width, height, maxScale)
  const zoom = useZoom(width, height)
  const fit = zoom.zoomed(whole)
  const pxPerMm = usePxPerMm()
  const { kerfMm } = useWorkshop()
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box component="figcaption" sx={{ display: 'flex', justifyContent: 'space-between', px: 2.25, pt: 1.25 }}>
        <Typography variant="h2">
          {view.title},{' '}
          <span className="fig" style={{ whiteSpace: 'nowrap' }}>
            {scaleWords(fit.scale, pxPerMm)}
          </span>
        </Typography>
        {onHandle ? <ZoomButtons zoom={zoom} title={view.title} trueSize={pxPerMm / whole.scale} /> : null}
      </Box>
      <svg
        ref={onHandle ? zoom.ref : undefined}
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`${view.title}: ${view.dimensions.map((dimension) => dimension.text).join(', ')}`}
        style={{ display: 'block', maxWidth: '100%', touchAction: 'pan-x pan-y' }}
      >
        {onHandle && width >= HINT_FROM_PX && view.handles.length > 0 ? (
          <title>{`Drag ${view.handles.map((handle) => `the ${handle.label}`).join(' or ')}`}</title>
        ) : null}
        {view.shapes.map((shape, i) => (
          <Shape key={`${shape.kind}-${i}`} shape={shape} fit={fit} colour={colour} kerfMm={kerfMm} />
        ))}
        {view.dimensions.map((dimension, i) => (
          <DimensionLine key={`${dimension.text}-${i}`} dimension={dimension} fit={fit} />
        ))}
        {view.notes.map((note) => (
          <text
            key={`${note.text}-${note.at[0]}`}
            x={fit.toX(note.at[0])}
            y={fit.toY(note.at[1]) + 5}
            textAnchor="middle"
            fontFamily={FONTS.mono}
            fontSize={14}
            fill={PALETTE.onMetal}
          >
            {note.text}
          </text>
        ))}
        {onHandle
          ? view.handles.map((handle) => (
              <Handle key={handle.field} handle={handle} fit={fit} onMove={(change) => onHandle(handle.field, change)} />
            ))
          : null}
      </svg>
    </Box>
  )
}

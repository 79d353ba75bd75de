import DxfParser, { type IEntity } from 'dxf-parser'
import * as z from 'zod'
import { flattenVertices } from '../geometry/bulge'
import type { Point } from '../geometry/point'
import { splinePoints } from './dxf-spline'
import { type DrawnLines, DrawnUnread, ellipsePoints, MOST_POINTS, makeTally, type Tally, type Trace } from './trace'

/** Millimetres to each unit a DXF may name (source: dxf-r12 and after, $INSUNITS). */
const UNIT_MM: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 25.4e-6,
  9: 0.0254,
  10: 914.4,
  13: 0.001,
  14: 100,
}
const DEEPEST = 16

const point = z.object({ x: z.number(), y: z.number() })
const corner = point.extend({ bulge: z.number().optional() })
const ENTITIES = {
  LINE: z.object({ vertices: z.array(point).length(2) }),
  LWPOLYLINE: z.object({ vertices: z.array(corner), shape: z.boolean().optional() }),
  POLYLINE: z.object({ vertices: z.array(corner), shape: z.boolean().optional() }),
  CIRCLE: z.object({ center: point, radius: z.number().positive() }),
  ARC: z.object({ center: point, radius: z.number().positive(), startAngle: z.number(), endAngle: z.number() }),
  ELLIPSE: z.object({ center: point, majorAxisEndPoint: point, axisRatio: z.number(), startAngle: z.number(), endAngle: z.number() }),
  SPLINE: z.object({
    controlPoints: z.array(point).optional(),
    knotValues: z.array(z.number()).optional(),
    degreeOfSplineCurve: z.number(),
    closed: z.boolean().optional(),
    rational: z.boolean().optional(),
  }),
  INSERT: z.object({
    name: z.string(),
    position: point,
    xScale: z.number().default(1),
    yScale: z.number().default(1),
    rotation: z.number().default(0),
    columnCount: z.number().default(1),
    rowCount: z.number().default(1),
    columnSpacing: z.number().default(0),
    rowSpacing: z.number().default(0),
  }),
}

type Place = (p: Point) => Point
interface Walk {
  readonly blocks: Readonly<
    Record<string, { readonly entities?: readonly IEntity[]; readonly position?: { readonly x: number; readonly y: number } }>
  >
  readonly traces: Trace[]
  readonly leftOut: Tally
  points: number
}

const xy = ({ x, y }: { readonly x: number; readonly y: number }): Point => [x, y]
const turned = (from: number, to: number) => {
  const sweep = (to - from) % (2 * Math.PI)
  return sweep <= 1e-12 ? sweep + 2 * Math.PI : sweep
}

function polyline({ vertices, shape }: z.output<typeof ENTITIES.LWPOLYLINE>): Trace | undefined {
  if (vertices.length < 2) return undefined
  const told = vertices.map((v, i) => ({ at: xy(v), bulge: !shape && i === vertices.length - 1 ? 0 : (v.bulge ?? 0) }))
  return { points: flattenVertices(told), closed: shape ?? false }
}

function ellipse({ center, majorAxisEndPoint, axisRatio, startAngle, endAngle }: z.output<typeof ENTITIES.ELLIPSE>): Trace {
  const long = Math.hypot(majorAxisEndPoint.x, majorAxisEndPoint.y)
  const sweepRad = turned(startAngle, endAngle)
  const closed = sweepRad > 2 * Math.PI - 1e-9
  const points = ellipsePoints({
    centre: xy(center),
    radii: [long, long * axisRatio],
    turnRad: Math.atan2(majorAxisEndPoint.y, majorAxisEndPoint.x),
    fromRad: startAngle,
    sweepRad,
  })
  return { points: closed ? points.slice(0, -1) : points, closed }
}

function arc(center: Point, radius: number, fromRad: number, sweepRad: number): Point[] {
  return ellipsePoints({ centre: center, radii: [radius, radius], turnRad: 0, fromRad, sweepRad })
}

function spline({ controlPoints, knotValues, degreeOfSplineCurve, closed, rational }: z.output<typeof ENTITIES.SPLINE>): Trace | undefined {
  // weights are not among what is read of the file: a rational curve would be drawn wrong
  if (rational || !controlPoints || !knotValues) return undefined
  const points = splinePoints({ degree: degreeOfSplineCurve, knots: knotValues, controls: controlPoints.map(xy) })
  return points ? { points, closed: closed ?? false } : undefined
}

/** The line an entity draws in its own place; undefined where it draws none that can be read. */
function traceOf(entity: IEntity): Trace | undefined {
  const { type } = entity as { type: string }
  if (type === 'LINE') return { points: ENTITIES.LINE.parse(entity).vertices.map(xy), closed: false }
  if (type === 'LWPOLYLINE' || type === 'POLYLINE') return polyline(ENTITIES[type].parse(entity))
  if (type === 'ELLIPSE') return ellipse(ENTITIES.ELLIPSE.parse(entity))
  if (type === 'SPLINE') return spline(ENTITIES.SPLINE.parse(entity))
  if (type === 'CIRCLE') {
    const { center, radius } = ENTITIES.CIRCLE.parse(entity)
    return { points: arc(xy(center), radius, 0, 2 * Math.PI).slice(0, -1), closed: true }
  }
  if (type !== 'ARC') return undefined
  const { center, radius, startAngle, endAngle } = ENTITIES.ARC.parse(entity)
  return { points: arc(xy(center), radius, startAngle, turned(startAngle, endAngle)), closed: false }
}

function placeInsert(insert: z.output<typeof ENTITIES.INSERT>, origin: Point, column: number, row: number): Place {
  const angle = (insert.rotation * Math.PI) / 180
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return ([px, py]) => {
    const x = (px - origin[0]) * insert.xScale + column * insert.columnSpacing
    const y = (py - origin[1]) * insert.yScale + row * insert.rowSpacing
    return [insert.position.x + x * cos - y * sin, insert.position.y + x * sin + y * cos]
  }
}

/** Why an entity is left out; undefined where it is not. */
function leftOutAs(entity: IEntity, trace: Trace | undefined): string | undefined {
  const { type, extrusionDirectionZ } = entity as { type: string; extrusionDirectionZ?: number }
  if (extrusionDirectionZ !== undefined && extrusionDirectionZ < 0) return `${type.toLowerCase()} seen from below`
  if (trace) return undefined
  return type === 'SPLINE' ? 'spline with weights or without knots' : type.toLowerCase()
}

function walk(entity: IEntity, place: Place, into: Walk, using: readonly string[]): void {
  if ((entity as { type: string }).type === 'INSERT') {
    walkInsert(ENTITIES.INSERT.parse(entity), place, into, using)
    return
  }
  const trace = traceOf(entity)
  const left = leftOutAs(entity, trace)
  if (left || !trace) {
    into.leftOut.add(left ?? 'line that cannot be read')
    return
  }
  into.points += trace.points.length
  if (into.points > MOST_POINTS) throw new DrawnUnread('too-much', `the drawing has more than ${MOST_POINTS} points`)
  into.traces.push({ ...trace, points: trace.points.map(place) })
}

function walkInsert(insert: z.output<typeof ENTITIES.INSERT>, place: Place, into: Walk, using: readonly string[]): void {
  const block = Object.hasOwn(into.blocks, insert.name) ? into.blocks[insert.name] : undefined
  if (!block || using.includes(insert.name) || using.length >= DEEPEST) {
    into.leftOut.add('block that is not there or holds itself')
    return
  }
  const [columns, rows] = [Math.max(1, Math.min(200, insert.columnCount)), Math.max(1, Math.min(200, insert.rowCount))]
  for (let i = 0; i < columns * rows; i++) {
    const own = placeInsert(insert, block.position ? xy(block.position) : [0, 0], i % columns, Math.floor(i / columns))
    for (const child of block.entities ?? []) walk(child, (p) => place(own(p)), into, [...using, insert.name])
  }
}

/** The lines that a DXF draws, in millimetres. Throws DrawnUnread. */
export function readDxf(text: string): DrawnLines {
  let parsed: ReturnType<DxfParser['parseSync']>
  try {
    parsed = new DxfParser().parseSync(text)
  } catch (error) {
    throw new DrawnUnread('not-dxf', `the DXF cannot be read: ${error instanceof Error ? error.message.slice(0, 120) : 'it is damaged'}`)
  }
  if (!parsed) throw new DrawnUnread('not-dxf', 'the DXF cannot be read: it holds nothing')
  const unit = Number(parsed.header?.$INSUNITS ?? 0)
  const scale = UNIT_MM[unit] ?? 1
  const into: Walk = { blocks: parsed.blocks ?? {}, traces: [], leftOut: makeTally(), points: 0 }
  try {
    for (const entity of parsed.entities) walk(entity, ([x, y]) => [x * scale, y * scale], into, [])
  } catch (error) {
    if (error instanceof DrawnUnread) throw error
    throw new DrawnUnread('not-dxf', 'the DXF cannot be read: a line of it lacks what it needs')
  }
  return {
    traces: into.traces,
    isUnitKnown: UNIT_MM[unit] !== undefined,
    notes: into.leftOut.notes(),
  }
}

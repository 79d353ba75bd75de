import { linesAndArcs, type Vertex } from '../geometry/bulge'
import type { Point } from '../geometry/point'
import { roundTo } from '../units/format'
import { LINE_PURPOSE_IDS, LINE_PURPOSES, type LinePurpose, type Pattern } from './pattern'

/** Runs and arcs of a line lie so near its points, mm. */
const NEAR_MM = 0.004

const pair = (code: number, value: string | number) => `${code}\n${value}`
const point = ([x, y]: readonly [number, number]) => [pair(10, roundTo(x, 5)), pair(20, roundTo(y, 5)), pair(30, 0)]

function polyline(vertices: readonly Vertex[], isClosed: boolean, layer: string): string[] {
  return [
    pair(0, 'POLYLINE'),
    pair(8, layer),
    pair(66, 1),
    ...point([0, 0]),
    pair(70, isClosed ? 1 : 0),
    ...vertices.flatMap(({ at, bulge }) => [
      pair(0, 'VERTEX'),
      pair(8, layer),
      ...point(at),
      ...(bulge === 0 ? [] : [pair(42, roundTo(bulge, 8))]),
    ]),
    pair(0, 'SEQEND'),
    pair(8, layer),
  ]
}

function layerRow(purpose: LinePurpose): string[] {
  const { layer, colour } = LINE_PURPOSES[purpose]
  return [pair(0, 'LAYER'), pair(2, layer), pair(70, 0), pair(62, colour), pair(6, 'CONTINUOUS')]
}

const straight = (points: readonly Point[]): Vertex[] => points.map((at) => ({ at, bulge: 0 }))

/** A pattern as a DXF of release 12 in millimetres: a layer for each purpose, arcs of closed lines as bulges. */
export function patternDxf({ lines }: Pattern): string {
  const used = LINE_PURPOSE_IDS.filter((purpose) => lines.some((line) => line.purpose === purpose))
  const text = [
    pair(0, 'SECTION'),
    pair(2, 'HEADER'),
    pair(9, '$ACADVER'),
    pair(1, 'AC1009'),
    pair(9, '$INSUNITS'),
    pair(70, 4),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'TABLES'),
    pair(0, 'TABLE'),
    pair(2, 'LAYER'),
    pair(70, used.length),
    ...used.flatMap(layerRow),
    pair(0, 'ENDTAB'),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'ENTITIES'),
    ...lines.flatMap(({ purpose, points, closed }) =>
      polyline(closed ? linesAndArcs(points, NEAR_MM) : straight(points), closed, LINE_PURPOSES[purpose].layer),
    ),
    pair(0, 'ENDSEC'),
    pair(0, 'EOF'),
  ]
  return `${text.join('\n')}\n`
}

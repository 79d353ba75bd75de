import type { Vertex } from '../geometry/bulge'
import { roundTo } from '../units/format'

/** The layer of lines that are cut along, and its colour. */
const LAYER = { name: 'CUT', colour: 7 }
const pair = (code: number, value: string | number) => `${code}\n${value}`
const point = ([x, y]: readonly [number, number]) => [pair(10, roundTo(x, 5)), pair(20, roundTo(y, 5)), pair(30, 0)]

function polyline(vertices: readonly Vertex[]): string[] {
  return [
    pair(0, 'POLYLINE'),
    pair(8, LAYER.name),
    pair(66, 1),
    ...point([0, 0]),
    pair(70, 1),
    ...vertices.flatMap(({ at, bulge }) => [
      pair(0, 'VERTEX'),
      pair(8, LAYER.name),
      ...point(at),
      ...(bulge === 0 ? [] : [pair(42, roundTo(bulge, 8))]),
    ]),
    pair(0, 'SEQEND'),
    pair(8, LAYER.name),
  ]
}

/** Closed lines to cut along as a DXF of release 12 in millimetres, arcs as bulges. */
export function dxfOf(lines: readonly (readonly Vertex[])[]): string {
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
    pair(70, 1),
    pair(0, 'LAYER'),
    pair(2, LAYER.name),
    pair(70, 0),
    pair(62, LAYER.colour),
    pair(6, 'CONTINUOUS'),
    pair(0, 'ENDTAB'),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'ENTITIES'),
    ...lines.flatMap(polyline),
    pair(0, 'ENDSEC'),
    pair(0, 'EOF'),
  ]
  return `${text.join('\n')}\n`
}

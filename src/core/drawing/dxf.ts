import type { Vertex } from '../geometry/bulge'
import { roundTo } from '../units/format'

/** Layers of a drawing for a cutter, by what is done along their lines. */
export type DxfLayer = 'CUT' | 'STOCK' | 'SCRIBE'

export interface DxfLine {
  readonly layer: DxfLayer
  readonly vertices: readonly Vertex[]
}

const COLOURS: Readonly<Record<DxfLayer, number>> = { CUT: 7, STOCK: 8, SCRIBE: 3 }
const pair = (code: number, value: string | number) => `${code}\n${value}`
const point = ([x, y]: readonly [number, number]) => [pair(10, roundTo(x, 5)), pair(20, roundTo(y, 5)), pair(30, 0)]

function polyline({ layer, vertices }: DxfLine): string[] {
  return [
    pair(0, 'POLYLINE'),
    pair(8, layer),
    pair(66, 1),
    ...point([0, 0]),
    pair(70, 1),
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

/** Closed lines as a DXF of release 12 in millimetres, arcs as bulges, one layer to each purpose (source: dxf-r12). */
export function dxfOf(lines: readonly DxfLine[]): string {
  const layers = [...new Set(lines.map((line) => line.layer))]
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
    pair(70, layers.length),
    ...layers.flatMap((layer) => [pair(0, 'LAYER'), pair(2, layer), pair(70, 0), pair(62, COLOURS[layer]), pair(6, 'CONTINUOUS')]),
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

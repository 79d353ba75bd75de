import type { Bounds } from '@/core/geometry'

/** Pages lie over one another by so much, with marks to lay them true in the middle of it. */
const OVERLAP_MM = 10
/** How far along a joint its marks stand. */
const MARKS_AT = [0.2, 0.8] as const

/** A part of a pattern that takes one page. */
export interface Tile {
  readonly left: number
  readonly bottom: number
  readonly name: string
  /** Where pages meet: marks are drawn there, the same on both. */
  readonly marks: readonly (readonly [number, number])[]
}

/** Room for the pattern on a page, mm. */
export interface Area {
  readonly width: number
  readonly height: number
}

/** As many steps as cover a length, and how long each is. */
function stepsOver(length: number, room: number): { readonly count: number; readonly stepMm: number } {
  if (length <= room + 1e-9) return { count: 1, stepMm: room }
  const stepMm = room - OVERLAP_MM
  return { count: Math.ceil((length - OVERLAP_MM) / stepMm - 1e-9), stepMm }
}

/** The pages that a box takes, from the lower left, row by row. */
export function tilesOf(box: Bounds, area: Area): Tile[] {
  const [across, up] = [stepsOver(box.maxX - box.minX, area.width), stepsOver(box.maxY - box.minY, area.height)]
  const count = across.count * up.count
  return Array.from({ length: count }, (_, i) => {
    const [column, row] = [i % across.count, Math.floor(i / across.count)]
    const [left, bottom] = [box.minX + column * across.stepMm, box.minY + row * up.stepMm]
    const joints = [column - 1, column]
      .filter((at) => at >= 0 && at < across.count - 1)
      .map((at) => box.minX + (at + 1) * across.stepMm + OVERLAP_MM / 2)
    const floors = [row - 1, row].filter((at) => at >= 0 && at < up.count - 1).map((at) => box.minY + (at + 1) * up.stepMm + OVERLAP_MM / 2)
    return {
      left,
      bottom,
      name: count > 1 ? `part ${i + 1} of ${count}: column ${column + 1}, row ${row + 1}` : '',
      marks: [
        ...joints.flatMap((x) => MARKS_AT.map((share): [number, number] => [x, bottom + share * area.height])),
        ...floors.flatMap((y) => MARKS_AT.map((share): [number, number] => [left + share * area.width, y])),
      ],
    }
  })
}

import { intersectRegions, type Region } from '../geometry/clip'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'

const each = ({ outer, holes }: Region, change: (outline: Outline) => Outline): Region => ({
  outer: change(outer),
  holes: holes.map(change),
})

/** A template so many times as large, about its middle. `factor` is above 0. */
export function scaled(template: Region, factor: number): Region {
  const [cx, cy] = middleOf(boundsOf(template.outer))
  return each(template, (outline) => outline.map(([x, y]): Point => [cx + (x - cx) * factor, cy + (y - cy) * factor]))
}

/** A template mirrored about a line through its middle, `angleRad` from x. Points run the other way, so that metal stays on its side. */
export function mirroredAbout(template: Region, angleRad: number): Region {
  const [cx, cy] = middleOf(boundsOf(template.outer))
  const [cos, sin] = [Math.cos(2 * angleRad), Math.sin(2 * angleRad)]
  const flip = ([x, y]: Point): Point => [cx + (x - cx) * cos + (y - cy) * sin, cy + (x - cx) * sin - (y - cy) * cos]
  return each(template, (outline) => outline.map(flip).reverse())
}

/** Corners of the rim of a wedge, so that its arc lies outside the template. */
const RIM = 24

/** A template divided into `count` equal sectors about its middle, 2 to 60 of them, the first beginning at `fromRad`. */
export function sectorsOf(template: Region, count: number, fromRad = 0): readonly (readonly Region[])[] {
  const [cx, cy] = middleOf(boundsOf(template.outer))
  const box = boundsOf(template.outer)
  const reach = Math.hypot(box.maxX - box.minX, box.maxY - box.minY)
  return Array.from({ length: count }, (_, i) => {
    const at = (share: number): Point => {
      const angle = fromRad + (2 * Math.PI * (i + share)) / count
      return [cx + reach * Math.cos(angle), cy + reach * Math.sin(angle)]
    }
    const rim = Array.from({ length: RIM + 1 }, (_, k) => at(k / RIM))
    return intersectRegions([template], [{ outer: [[cx, cy], ...rim], holes: [] }])
  })
}

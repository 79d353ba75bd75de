import type { Region } from '../geometry/clip'
import { boundsOf, type Outline } from '../geometry/point'
import { roundTo } from '../units/format'

/**
 * The artwork of a blank to print at full size: dark is resist, the edge of the blank a hairline round it. Mirrored it reads right once it is
 * laid on face down.
 */
export function artworkSvg(title: string, blank: Region, dark: readonly Region[], isMirrored: boolean): string {
  const { minX, maxX, minY, maxY } = boundsOf(blank.outer)
  const [width, height] = [roundTo(maxX - minX, 4), roundTo(maxY - minY, 4)]
  const toX = (x: number) => roundTo(isMirrored ? maxX - x : x - minX, 4)
  const path = (ring: Outline) => `${ring.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${toX(x)} ${roundTo(maxY - y, 4)}`).join('')}Z`
  const whole = (regions: readonly Region[]) =>
    regions
      .flatMap(({ outer, holes }) => [outer, ...holes])
      .map(path)
      .join('')
  const escaped = title.replace(/&/g, '&amp;').replace(/</g, '&lt;')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><title>${escaped}</title><path d="${whole(dark)}" fill="#000000" fill-rule="evenodd"/><path d="${whole([blank])}" fill="none" stroke="#7a8790" stroke-width="0.1"/></svg>\n`
}

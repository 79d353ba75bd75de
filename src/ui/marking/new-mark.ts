import { boundsOf, type Outline } from '@/core/geometry'
import type { Mark } from '@/core/marks'

/** A star of eight points with its links: what a map begins as, until its own points are typed. */
const FIRST_MAP = {
  points: [
    [0, 0],
    [3, 1],
    [5, 4],
    [9, 5],
    [7, 8],
  ],
  links: [
    [0, 1],
    [1, 2],
    [2, 3],
    [2, 4],
  ],
} as const

const rounded = (mm: number) => Math.max(0.5, Math.round(mm * 10) / 10)

/** A mark of a kind as it is first put on a blank: sized to it, in the middle. */
export function newMark(kind: Mark['kind'], outer: Outline): Mark {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const [wide, high] = [maxX - minX, maxY - minY]
  const small = Math.min(wide, high)
  const isCompact = Math.max(wide, high) < 2 * small
  const face = 'front' as const
  const round = { kind: 'circle', radiusMm: rounded(0.36 * small), middleDeg: 90, facing: 'outwards' } as const
  const line = isCompact ? round : ({ kind: 'straight', angleDeg: wide >= high ? 0 : 90 } as const)
  switch (kind) {
    case 'letters':
      return { kind, face, text: 'NIGHT MAIL', heightMm: small < 14 ? 1.5 : 2, spacingMm: 0, line }
    case 'repeat':
      return { kind, face, widthMm: 1.5, stampCount: 12, by: 'length', line }
    case 'holes':
      return {
        kind,
        face,
        diameterMm: 1,
        stampCount: 4,
        by: 'length',
        line: { kind: 'edge', insetMm: rounded(0.12 * small), facing: 'outwards' },
      }
    case 'stamp':
      return { kind, face, widthMm: 3, at: [(minX + maxX) / 2, (minY + maxY) / 2], angleDeg: 0 }
    case 'hallmark':
      return { kind, face: 'back', widthsMm: [1.5, 1.5], heightMm: 1.5, gapMm: 0.5, share: 0.5 }
    case 'map':
      return {
        kind,
        face,
        points: FIRST_MAP.points.map(([x, y]) => ({ x, y })),
        links: FIRST_MAP.links.map(([a, b]) => [a, b]),
        dotMm: 1.2,
        linkDotMm: 0.6,
        pitchMm: 1.5,
        marginMm: 2,
      }
  }
}

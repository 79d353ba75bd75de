'use client'
import Box from '@mui/material/Box'
import { boundsOf, type Outline } from '@/core/geometry'
import type { PlacedMark } from '@/core/marks'
import { formatPlain } from '@/core/units'
import { useSize } from '../drawing/use-size'
import { Blows, inkOf } from '../marking/blow'
import { faceScale } from '../marking/face-scale'
import { LetterLayer } from '../marking/letter-layer'
import { PALETTE } from '../theme/palette'
import type { MarkedBlank } from './tray-view'

/** What each step puts on a blank. */
const MADE_AT: Readonly<Record<string, readonly PlacedMark['kind'][]>> = {
  letter: ['letter'],
  stamp: ['stamp', 'dot', 'hallmark', 'letter'],
  drill: ['hole'],
  'punch-hole': ['hole'],
}

/** The blows that a step makes on a blank; none where it makes none. */
export const blowsAt = (op: string, marked: MarkedBlank | null | undefined): readonly PlacedMark[] =>
  marked?.blows.filter(({ kind }) => MADE_AT[op]?.includes(kind)) ?? []

const TALL_PX = 300
/** More numbers than this cover one another. */
const MOST_NUMBERED = 40

/** Of a blank longer than this many times its width, what is struck is drawn alone where that is less than so much of its length. */
const [LONG, LITTLE] = [3, 0.6]

/** What of a blank is drawn: all of it, or of a long one the length that is struck and as much beside it as it is wide. */
function windowOf({ outer }: MarkedBlank, blows: readonly PlacedMark[]): Outline {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const [wide, high] = [maxX - minX, maxY - minY]
  const isUpright = high > wide
  if (blows.length === 0 || Math.max(wide, high) < LONG * Math.min(wide, high)) return outer
  const along = blows.map(({ x, y }) => (isUpright ? y : x))
  const beside = Math.min(wide, high)
  const [from, to] = [Math.min(...along) - beside, Math.max(...along) + beside]
  if (to - from > LITTLE * Math.max(wide, high)) return outer
  const [low, top] = isUpright ? [minX, maxX] : [minY, maxY]
  const corners: Outline = [
    [from, low],
    [to, low],
    [to, top],
    [from, top],
  ]
  return isUpright ? corners.map(([a, b]) => [b, a]) : corners
}

interface BlowPictureProps {
  readonly marked: MarkedBlank
  readonly blows: readonly PlacedMark[]
  readonly metal: string
}

/** The blank in hand with every blow of this step in its place, numbered in the order in which they are struck. */
export function BlowPicture({ marked, blows, metal }: BlowPictureProps) {
  const { ref, width } = useSize({ width: 540, height: TALL_PX })
  const drawn = windowOf(marked, blows)
  const scale = faceScale(drawn, width, TALL_PX)
  const isNumbered = blows.length <= MOST_NUMBERED
  const [first] = blows
  const along =
    first?.fromMiddleMm === undefined ? '' : `, the first ${formatPlain(Math.abs(first.fromMiddleMm), 2)} mm from the middle of its line`
  return (
    <Box ref={ref} sx={{ px: 2 }}>
      <div style={{ position: 'relative' }}>
        <svg
          width={width}
          height={TALL_PX}
          role="img"
          aria-label={`Where each of ${blows.length} goes on the blank`}
          style={{ display: 'block', maxWidth: '100%' }}
        >
          <path d={[marked.outer, ...marked.holes].map(scale.path).join('')} fillRule="evenodd" fill={metal} stroke={PALETTE.petrolLine} />
          <Blows blows={blows} isChosen={false} scale={scale} />
          {isNumbered
            ? blows.map((blow, i) => (
                <text
                  key={blow.order}
                  x={scale.toX(blow.x) + (blow.widthMm * scale.pxPerMm) / 2 + 3}
                  y={scale.toY(blow.y) + 13}
                  fontSize={16}
                  fontWeight={700}
                  fill={PALETTE.petrolDeep}
                >
                  {i + 1}
                </text>
              ))
            : null}
        </svg>
        <LetterLayer blows={blows} inkOf={() => inkOf(false)} scale={scale} width={width} height={TALL_PX} />
      </div>
      <Box sx={{ fontSize: 17, color: PALETTE.petrolMuted, pb: 1 }}>
        {blows.length} in all{along}
        {blows.some(({ face }) => face === 'back') ? '; the back as you look at it' : ''}
        {drawn === marked.outer ? '' : '; the length that is struck, drawn alone'}
      </Box>
    </Box>
  )
}

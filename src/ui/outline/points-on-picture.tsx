'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import type { Point } from '@/core/geometry'
import { PALETTE } from '../theme/palette'
import type { ShownPicture } from './use-picture-url'
import type { TwoPoints } from './use-two-points'

const NAMES = ['First point', 'Second point'] as const
const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
/** With Shift an arrow key goes so many pixels. */
const FAR_PX = 10
/** A cross reaches so far, as a share of the picture's width; and so much of the picture stands under the glass, pixels. */
const CROSS = 0.018
const GLASS_PX = 60

interface PointsProps {
  readonly picture: ShownPicture
  readonly points: TwoPoints
  readonly onLay: (which: 0 | 1, place: Point) => void
}

function Cross({ at: [x, y], reach }: { readonly at: Point; readonly reach: number }) {
  const lines = `M${x - reach} ${y}H${x - reach / 4}M${x + reach / 4} ${y}H${x + reach}M${x} ${y - reach}V${y - reach / 4}M${x} ${y + reach / 4}V${y + reach}`
  return (
    <>
      <path d={lines} fill="none" stroke={PALETTE.white} strokeWidth={4} vectorEffect="non-scaling-stroke" />
      <path d={lines} fill="none" stroke={PALETTE.fire} strokeWidth={1.8} vectorEffect="non-scaling-stroke" />
    </>
  )
}

/** A part of the picture about a point, as under a glass. */
function Glass({ picture: { url, size }, at, name }: { readonly picture: ShownPicture; readonly at: Point; readonly name: string }) {
  const half = GLASS_PX / 2
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        viewBox={`${at[0] - half} ${at[1] - half} ${GLASS_PX} ${GLASS_PX}`}
        aria-hidden
        style={{ width: 150, height: 150, display: 'block', border: `1px solid ${PALETTE.hairline}`, borderRadius: 75 }}
      >
        <image href={url} width={size[0]} height={size[1]} />
        <Cross at={at} reach={half / 2} />
      </svg>
      <Typography component="figcaption" variant="body2" sx={{ textAlign: 'center' }}>
        {name}
      </Typography>
    </Box>
  )
}

/** The photograph with the two crosses that are laid on two places of a known distance, and each of them under a glass. */
export function PointsOnPicture({ picture, points, onLay }: PointsProps) {
  const board = useRef<SVGSVGElement>(null)
  const { url, size } = picture
  const placeAt = (event: PointerEvent): Point => {
    const box = board.current?.getBoundingClientRect()
    if (!box) return [0, 0]
    return [((event.clientX - box.left) / box.width) * size[0], ((event.clientY - box.top) / box.height) * size[1]]
  }
  const nudge = (which: 0 | 1, event: KeyboardEvent) => {
    const way = WAYS[event.key]
    if (!way) return
    event.preventDefault()
    const [x, y] = points.places[which]
    const far = event.shiftKey ? FAR_PX : 1
    onLay(which, [x + way[0] * far, y + way[1] * far])
  }
  return (
    <Box component="section" aria-label="Two points" sx={{ mb: 2 }}>
      <Typography variant="body2" sx={{ mb: 1 }}>
        Drag the crosses onto two places whose distance you know: two marks of a steel rule beside the thing, far apart. The arrow keys move
        the one that is chosen by a pixel, with Shift by ten.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'start' }}>
        <svg
          ref={board}
          viewBox={`0 0 ${size[0]} ${size[1]}`}
          role="group"
          aria-label="Photograph with two points"
          style={{ width: 'min(100%, 620px)', display: 'block', touchAction: 'none' }}
        >
          <image href={url} width={size[0]} height={size[1]} />
          {([0, 1] as const).map((which) => {
            const at = points.places[which]
            return (
              <g
                key={which}
                role="button"
                tabIndex={0}
                aria-label={`${NAMES[which]}, ${Math.round(at[0])} right and ${Math.round(at[1])} down, pixels${points.isLaid[which] ? '' : ', not laid yet'}`}
                style={{ cursor: 'move' }}
                onKeyDown={(event) => nudge(which, event)}
                onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && onLay(which, placeAt(event))}
              >
                <circle cx={at[0]} cy={at[1]} r={CROSS * 1.4 * size[0]} fill="transparent" />
                <Cross at={at} reach={CROSS * size[0]} />
              </g>
            )
          })}
        </svg>
        <Box sx={{ display: 'flex', gap: 2 }}>
          {([0, 1] as const).map((which) => (
            <Glass key={which} picture={picture} at={points.places[which]} name={NAMES[which]} />
          ))}
        </Box>
      </Box>
    </Box>
  )
}

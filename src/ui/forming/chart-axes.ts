import { ticks } from 'd3-array'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'

type Ends = readonly [low: number, high: number]

const TICK = { fontFamily: FONTS.mono, fontSize: 12, fill: PALETTE.muted }
const ALONG = { type: 'number', tick: TICK, stroke: PALETTE.muted } as const

/** Room round every chart of forming, and how dashed its marks are. */
export const CHART_MARGIN = { top: 10, right: 24, bottom: 4, left: 4 } as const
export const DASHED = { stroke: PALETTE.ink, strokeDasharray: '2 4' } as const

/** A dashed mark's words. */
export const markWords = (value: string, position: 'insideTopLeft' | 'insideTopRight') =>
  ({ value, position, fontSize: 12, fill: PALETTE.ink }) as const

/** An axis up the side, in mm with so many digits. */
export const mmUp = (ends: Ends, count: number, digits: number) => ({
  tick: TICK,
  stroke: PALETTE.muted,
  width: 58,
  domain: [...ends],
  ticks: ticks(...ends, count),
  tickFormatter: (mm: number) => formatPlain(mm, digits),
})

/** An axis along the foot, in mm. */
export const mmAlong = (ends: Ends, count: number) => ({
  ...ALONG,
  domain: [...ends],
  ticks: ticks(...ends, count),
  tickFormatter: (mm: number) => formatPlain(mm, 1),
})

/** An axis along the foot in hundredths of the way, its ends named, and what stands between them. */
export const wayAlong = (from: string, to: string, between: (share: number) => string) => ({
  ...ALONG,
  domain: [0, 100],
  ticks: [0, 25, 50, 75, 100],
  tickFormatter: (share: number) => (share === 0 ? from : share === 100 ? to : between(share)),
})

import type { Region } from '../geometry/clip'
import { withFewerPoints } from '../geometry/fewer-points'
import { laidAlong } from '../geometry/least-box'
import { boundsOf, type Outline, placeOutline } from '../geometry/point'
import { roundTo } from '../units/format'

/** Directions in which an outline's width is taken. */
const DIRECTIONS = 720
/** Corners that lie off the line between their neighbours by so little are left out, mm; the coarser as long as there are too many. */
const FEWER_MM = [0.03, 0.06, 0.12, 0.25, 0.5]
const MOST_CORNERS = 150

/** What a strip measures that is wrapped round an outline, mm: π times its mean width over all directions (Cauchy). */
export function wrappedRoundMm(outline: Outline): number {
  let sum = 0
  for (let i = 0; i < DIRECTIONS; i++) {
    const { minX, maxX } = boundsOf(placeOutline(outline, (Math.PI * i) / DIRECTIONS, 0, 0))
    sum += maxX - minX
  }
  return (Math.PI * sum) / DIRECTIONS
}

/** What the form of a setting is told of a stone whose outline was measured; all else stays open. */
export interface StoneSetting {
  readonly form: 'bezel' | 'tab-setting'
  readonly input: Readonly<Record<string, unknown>>
}

/** A bezel and tabs for a stone of a measured outline: as it is wrapped, and by its corners. */
export function settingsFor({ outer }: Region): { readonly bezel: StoneSetting; readonly tabs: StoneSetting } {
  const lying = laidAlong(outer)
  const { minX, maxX, minY, maxY } = boundsOf(lying)
  const sizes = { stoneLengthMm: roundTo(maxX - minX, 2), stoneWidthMm: roundTo(maxY - minY, 2) }
  const fewer = FEWER_MM.map((mm) => withFewerPoints(lying, mm))
  const corners = fewer.find(({ length }) => length <= MOST_CORNERS) ?? fewer.at(-1) ?? lying
  return {
    bezel: { form: 'bezel', input: { shape: 'wrapped', ...sizes, roundMm: roundTo(wrappedRoundMm(lying), 2) } },
    tabs: {
      form: 'tab-setting',
      input: { shape: 'free', ...sizes, corners: corners.map(([x, y]) => `${roundTo(x, 2)} ${roundTo(y, 2)}`).join('; ') },
    },
  }
}

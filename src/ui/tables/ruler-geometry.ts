import { ticks } from 'd3-array'
import { scaleLinear, scaleLog } from 'd3-scale'

/** A window on a ruler's axis and where it lies on screen. */
export interface Axis {
  readonly low: number
  readonly high: number
  readonly left: number
  readonly right: number
  readonly toX: (value: number) => number
}

/** The window round a value: a share of it to each side, by difference or by ratio. */
export function axisOf(
  spacing: 'linear' | 'ratio',
  value: number,
  span: number,
  px: { readonly left: number; readonly right: number },
): Axis {
  const ratio = spacing === 'ratio'
  const low = ratio ? value / (1 + 4 * span) : Math.max(0, value * (1 - span))
  const high = ratio ? value * (1 + 4 * span) : value * (1 + span)
  const toX = (ratio ? scaleLog() : scaleLinear()).domain([low, high]).range([px.left, px.right])
  return { low, high, ...px, toX }
}

/** Round numbers along the axis, four to nine of them. */
export function niceTicks({ low, high }: Pick<Axis, 'low' | 'high'>): number[] {
  return ticks(low, high, 6)
}

interface Label {
  readonly x: number
  readonly width: number
  /** Shown whatever is next to it. */
  readonly keep: boolean
}

/** Which labels of a row have room: kept ones first, then from the left, never touching and never over the ends. */
export function spacedLabels({ left, right }: Pick<Axis, 'left' | 'right'>, labels: readonly Label[]): boolean[] {
  const taken: { from: number; to: number }[] = []
  const shown = labels.map(() => false)
  const place = (i: number) => {
    const label = labels[i]
    if (!label) return
    const [from, to] = [label.x - label.width / 2 - 4, label.x + label.width / 2 + 4]
    if (!label.keep && (from < left || to > right)) return
    if (taken.some((other) => from < other.to && to > other.from)) return
    taken.push({ from, to })
    shown[i] = true
  }
  labels.forEach((label, i) => {
    if (label.keep) place(i)
  })
  labels.forEach((label, i) => {
    if (!label.keep) place(i)
  })
  return shown
}

import type { DrawingView } from '@/core/drawing'
import { boundsOf, type Outline, type Region } from '@/core/geometry'
import { formatPlain } from '@/core/units'

/** Outlines as a view with their length and width. */
export function outlineDrawing(regions: readonly Region[]): DrawingView {
  const { minX, minY, maxX, maxY } = boundsOf(regions.flatMap(({ outer }) => outer))
  return {
    id: 'outline',
    title: 'Outline',
    shapes: regions.map(({ outer, holes }) => ({ kind: 'region', layer: 'metal', outer, holes })),
    dimensions: [
      { from: [minX, minY], to: [maxX, minY], offset: -1.6, text: formatPlain(maxX - minX, 2) },
      { from: [maxX, minY], to: [maxX, maxY], offset: -1.6, text: formatPlain(maxY - minY, 2) },
    ],
    handles: [],
    notes: [],
  }
}

/** What a drawing that stays open has, with a ring at each gap. */
export function openDrawing(
  lines: readonly Outline[],
  gaps: readonly { readonly from: readonly [number, number]; readonly to: readonly [number, number]; readonly mm: number }[],
): DrawingView {
  const box = boundsOf(lines.flat())
  const ringMm = 0.03 * Math.max(box.maxX - box.minX, box.maxY - box.minY, 1)
  return {
    id: 'open',
    title: 'Open lines',
    shapes: [
      ...lines.map((points) => ({ kind: 'line' as const, layer: 'scribe' as const, points })),
      ...gaps.map(({ from, to, mm }) => ({
        kind: 'circle' as const,
        layer: 'saw' as const,
        centre: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const,
        radiusMm: Math.max(ringMm, mm / 2),
      })),
    ],
    dimensions: [],
    handles: [],
    notes: [],
  }
}

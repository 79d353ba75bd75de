import { arcPoints, rectangleOutline } from '../geometry/outline'
import type { Point } from '../geometry/point'
import { formatPlain } from '../units/format'
import { cutAlong } from './cut'
import type { Drawing, DrawingHandle, DrawingView } from './drawing'

export interface ClosedBandDrawing {
  readonly insideDiameterMm: number
  readonly thicknessMm: number
  /** Strip width, or the wire's diameter. */
  readonly widthMm: number
  readonly cutMm: number
  readonly lengthMm: number
  readonly wire: boolean
}

function circlePoints(radiusMm: number): Point[] {
  return arcPoints([0, 0], radiusMm, 0, 2 * Math.PI).slice(0, -1)
}

function sectionView(band: ClosedBandDrawing): DrawingView {
  const inner = band.insideDiameterMm / 2
  const outer = inner + band.thicknessMm
  const handles: DrawingHandle[] = [
    { field: 'insideDiameterMm', label: 'inside diameter', at: [inner, 0], along: [1, 0], gain: 2 },
    { field: 'thicknessMm', label: 'thickness', at: [0, outer], along: [0, 1], gain: 1 },
  ]
  return {
    id: 'section',
    title: 'Section',
    handles,
    notes: [],
    shapes: [
      { kind: 'region', layer: 'metal', outer: circlePoints(outer), holes: [[...circlePoints(inner)].reverse()] },
      { kind: 'circle', layer: 'centre', centre: [0, 0], radiusMm: inner + band.thicknessMm / 2 },
      cutAlong([0, -inner], [0, -outer]),
    ],
    dimensions: [
      { from: [-inner, 0], to: [inner, 0], offset: 0, text: `${formatPlain(band.insideDiameterMm, 2)} inside` },
      { from: [-outer, -outer], to: [outer, -outer], offset: -2.2, text: `${formatPlain(2 * outer, 2)} outside` },
    ],
  }
}

function blankView(band: ClosedBandDrawing): DrawingView {
  const handles: DrawingHandle[] = band.wire
    ? []
    : [{ field: 'widthMm', label: 'width', at: [band.cutMm / 2, band.widthMm], along: [0, 1], gain: 1 }]
  return {
    id: 'blank',
    title: 'Blank',
    handles,
    notes: [],
    shapes: [
      { kind: 'region', layer: 'metal', outer: rectangleOutline(band.cutMm, band.widthMm), holes: [] },
      cutAlong([band.cutMm, -0.18 * band.cutMm ** 0.6], [band.cutMm, band.widthMm + 0.18 * band.cutMm ** 0.6], 'outside'),
      ...(band.lengthMm < band.cutMm
        ? [
            {
              kind: 'line' as const,
              layer: 'allowance' as const,
              points: [
                [band.lengthMm, 0],
                [band.lengthMm, band.widthMm],
              ] as const,
            },
          ]
        : []),
      {
        kind: 'line',
        layer: 'centre',
        points: [
          [band.cutMm / 2, 0],
          [band.cutMm / 2, band.widthMm],
        ],
      },
    ],
    dimensions: [
      { from: [0, 0], to: [band.cutMm, 0], offset: -2.4, text: `cut ${formatPlain(band.cutMm, 2)}` },
      {
        from: [0, band.widthMm],
        to: [0, 0],
        offset: -1.6,
        text: band.wire ? `${formatPlain(band.widthMm, 2)} wire` : `${formatPlain(band.widthMm, 2)} wide`,
      },
    ],
  }
}

/** Section and flat blank of a closed round band, with handles on the inside, the thickness and the width. */
export function drawClosedBand(band: ClosedBandDrawing): Drawing {
  return { views: [sectionView(band), blankView(band)] }
}

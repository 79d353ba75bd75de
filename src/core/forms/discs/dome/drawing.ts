import { cutAround } from '../../../drawing/cut'
import type { Drawing, DrawingView } from '../../../drawing/drawing'
import { capHalfAngleRad, capRadiusMm, type DomeMid } from '../../../forming/dome'
import { circleOutline } from '../../../geometry/outline'
import { formatPlain } from '../../../units/format'
import { shellSection } from '../../common/shell'
import type { DomeInput } from './input'

function sectionView(input: DomeInput, mid: DomeMid): DrawingView {
  const radius = capRadiusMm(mid)
  const half = capHalfAngleRad(mid)
  const [from, to] = [Math.PI / 2 - half, Math.PI / 2 + half]
  const centre = [0, mid.heightMm - radius] as const
  const top = mid.heightMm + input.thicknessMm / 2
  const edge = mid.baseRadiusMm
  return {
    id: 'section',
    title: 'Section',
    notes: [],
    shapes: [
      { kind: 'region', layer: 'metal', outer: shellSection(centre, radius, input.thicknessMm, from, to), holes: [] },
      {
        kind: 'line',
        layer: 'centre',
        points: [
          [0, 0],
          [0, top],
        ],
      },
    ],
    dimensions: [
      { from: [-input.widthMm / 2, 0], to: [input.widthMm / 2, 0], offset: -1.6, text: `${formatPlain(input.widthMm, 2)} across the rim` },
      { from: [edge * 1.16, 0], to: [edge * 1.16, input.heightMm], offset: -0.6, text: formatPlain(input.heightMm, 2) },
    ],
    handles: [
      { field: 'heightMm', label: 'dome height', at: [0, top], along: [0, 1], gain: 1 },
      { field: 'widthMm', label: 'width across the rim', at: [input.widthMm / 2, 0], along: [1, 0], gain: 2 },
    ],
  }
}

function blankView(blankMm: number, markAt: number): DrawingView {
  const radius = blankMm / 2
  return {
    id: 'blank',
    title: 'Blank',
    notes: [],
    handles: [],
    shapes: [
      { kind: 'region', layer: 'metal', outer: circleOutline(radius), holes: [] },
      cutAround(circleOutline(markAt / 2), 'outside'),
      {
        kind: 'line',
        layer: 'centre',
        points: [
          [-radius * 0.1, 0],
          [radius * 0.1, 0],
        ],
      },
      {
        kind: 'line',
        layer: 'centre',
        points: [
          [0, -radius * 0.1],
          [0, radius * 0.1],
        ],
      },
    ],
    dimensions: [
      {
        from: [-markAt / 2, -markAt / 2],
        to: [markAt / 2, -markAt / 2],
        offset: -1.6,
        text: `${formatPlain(blankMm, 2)} blank, saw outside at ${formatPlain(markAt, 2)}`,
      },
    ],
  }
}

/** Section through the crown, and the flat disc with its saw line. */
export function drawDome(input: DomeInput, mid: DomeMid, blankMm: number, markAt: number): Drawing {
  return { views: [sectionView(input, mid), blankView(blankMm, markAt)] }
}

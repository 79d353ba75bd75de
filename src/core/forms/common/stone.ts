import { ellipseOutline, roundedRectangle } from '../../geometry/outline'
import type { Outline } from '../../geometry/point'
import { choice, lengthMm } from '../../units/fields'
import { derive, given, type WorkingLog } from '../../working/derive'
import { roundOvalMm } from './oval'

export const STONE_SHAPES = { oval: 'Oval or round', cushion: 'Rectangle, rounded corners' } as const

/** The outline of a stone, in the order it is measured. */
export const stoneFields = {
  stoneLengthMm: lengthMm({ label: 'Stone length', min: 2, max: 120 }),
  stoneWidthMm: lengthMm({ label: 'Stone width', min: 2, max: 120 }),
  cornerMm: lengthMm({ label: 'Corner radius', min: 0.1, max: 60, help: 'Of a rectangle.' }).default(1),
}

export const stoneShape = () => choice('Stone', STONE_SHAPES).default('oval')

export interface Stone {
  readonly shape: string
  readonly stoneLengthMm: number
  readonly stoneWidthMm: number
  readonly cornerMm: number
}

export const STONE_TURNED = {
  path: ['stoneWidthMm'],
  error: 'Stone width: it is more than the length; swap them',
}
export const STONE_CORNER = { path: ['cornerMm'], error: 'Corner radius: half the width at most' }

export const notTurned = (stone: Stone) => stone.stoneWidthMm <= stone.stoneLengthMm
export const cornerFits = (stone: Stone) => stone.shape !== 'cushion' || stone.cornerMm <= stone.stoneWidthMm / 2

/** The stone seen from above, about its middle, counter-clockwise. */
export function stoneOutline({ shape, stoneLengthMm, stoneWidthMm, cornerMm }: Stone): Outline {
  return shape === 'cushion' ? roundedRectangle(stoneLengthMm, stoneWidthMm, cornerMm) : ellipseOutline(stoneLengthMm / 2, stoneWidthMm / 2)
}

/** Round the stone, mm: Ramanujan's ellipse, or sides and corners of a rounded rectangle. */
export function roundStoneMm(log: WorkingLog, stone: Stone): number {
  if (stone.shape !== 'cushion') return roundOvalMm(log, 'Round the stone', stone.stoneLengthMm, stone.stoneWidthMm)
  return derive(log, {
    label: 'Round the stone',
    formula: '2·(a + b) − 8·r + 2·π·r',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('a', 'length', stone.stoneLengthMm),
      given('b', 'width', stone.stoneWidthMm),
      given('r', 'corner radius', stone.cornerMm),
    ],
  })
}

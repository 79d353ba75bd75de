import { scaleLinear } from 'd3-scale'
import { SOLDERS } from '@/core/metals'
import type { TorchBook } from '@/core/piece'

/** A column of the ladder is so wide, px. */
export const RUNG = 190
export const LEFT = 58
const TOP = 26
const BOTTOM = 44
/** Above and below what is drawn there is so much room, °C. */
const ROOM_C = 25

export interface LadderShape {
  readonly width: number
  readonly height: number
  readonly ticks: readonly { readonly y: number; readonly tempC: number }[]
  readonly toY: (tempC: number) => number
  readonly middleOf: (index: number) => number
}

/** The scale of the falling ladder: temperature down the side, the heats in order along it. */
export function ladderShape({ heats }: TorchBook, height: number): LadderShape {
  const temps = heats.flatMap(({ solders, metals }) => [
    ...solders.flatMap((id) => [SOLDERS[id].solidusC, SOLDERS[id].liquidusC]),
    ...metals.map(({ solidusC }) => solidusC),
  ])
  const [low, high] = [Math.min(...temps, 650) - ROOM_C, Math.max(...temps, 800) + ROOM_C]
  const scale = scaleLinear([low, high], [height - BOTTOM, TOP])
  return {
    width: LEFT + heats.length * RUNG + 16,
    height,
    ticks: scale.ticks(6).map((tempC) => ({ tempC, y: scale(tempC) })),
    toY: (tempC) => scale(tempC),
    middleOf: (index) => LEFT + index * RUNG + RUNG / 2,
  }
}

import { uniteRegions } from '../../../geometry/clip'
import { arcPoints, circleOutline } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { RowBead } from './row'

/** A circle about a bead, wider than it by a rim. */
export function aroundBead({ centre: [x, y], radiusMm }: RowBead, rimMm = 0): Outline {
  return circleOutline(radiusMm + rimMm).map(([px, py]) => [px + x, py + y] as const)
}

/** What lies under an open row between its beads: a band along their middles, a quarter of a bead to each side. */
function band(beads: readonly RowBead[], pitchMm: number): Outline {
  const angles = beads.map(({ centre: [x, y] }) => Math.atan2(y, x))
  // an open row lies about the top: angles that fell past the left are carried on
  const turned = angles.map((angle) => (angle < -Math.PI / 2 ? angle + 2 * Math.PI : angle))
  const [from, to] = [Math.min(...turned), Math.max(...turned)]
  const half = Math.min(...beads.map(({ radiusMm }) => radiusMm)) / 2
  return [...arcPoints([0, 0], pitchMm / 2 + half, from, to), ...arcPoints([0, 0], Math.max(0.1, pitchMm / 2 - half), from, to).reverse()]
}

/**
 * The scalloped outline of a row: a scallop round each bead, united with the disc to their middles, or under an open row with a band along
 * them. It is sawn from the backing, and is the shape of the jig.
 */
export function scalloped(beads: readonly RowBead[], pitchMm: number, rimMm: number, isOpen: boolean): Outline {
  const under = isOpen ? band(beads, pitchMm) : circleOutline(pitchMm / 2)
  const parts = [under, ...beads.map((bead) => aroundBead(bead, rimMm))].map((outer) => ({ outer, holes: [] }))
  return uniteRegions(parts)[0]?.outer ?? under
}

import type { Outline, Point } from '../geometry/point'

/** Points of an ellipse that is measured along its edge: so many that the runs between them are the edge to a hundred-thousandth. */
const POINTS = 4096

/** An ellipse about the origin, counter-clockwise, as finely as a length along it is measured. */
export function ellipseTrackPoints(halfLengthMm: number, halfWidthMm: number): Outline {
  return Array.from({ length: POINTS }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / POINTS
    return [halfLengthMm * Math.cos(angle), halfWidthMm * Math.sin(angle)]
  })
}

import { ellipsePerimeterMm } from '../../tables/stones/stones'
import { note, type WorkingLog } from '../../working/derive'

/** Round an ellipse of two ways across, mm, by Ramanujan's second approximation, as a line of the working. */
export function roundOvalMm(
  log: WorkingLog,
  label: string,
  longMm: number,
  shortMm: number,
  formula = 'ellipse of the two sizes, Ramanujan',
): number {
  return note(log, { kind: 'lookup', label, formula, value: ellipsePerimeterMm(longMm, shortMm), unit: 'mm', source: 'ramanujan' })
}

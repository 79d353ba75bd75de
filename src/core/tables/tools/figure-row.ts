import { formatPlain } from '../../units/format'
import type { Figure } from '../figures'
import type { RowSpec } from '../table'

/** Columns of a table of figures beside name and preset. */
export const FIGURE_COLUMNS = [
  { key: 'unit', label: '' },
  { key: 'range', label: 'possible' },
] as const

/** A figure as a row that one's own can be put beside. */
export function figureRow([id, figure]: readonly [string, Figure]): RowSpec {
  return {
    id,
    name: figure.title,
    value: figure.preset,
    cells: { unit: figure.unit, range: `${formatPlain(figure.minimum, 2)} to ${formatPlain(figure.maximum, 2)}` },
    says: ['figure'],
    confidence: figure.confidence,
  }
}

import { derive, given, type WorkingLog } from '../../working/derive'

/** Round an ellipse of two ways across, mm, by Ramanujan's second approximation (source: ramanujan). 18 by 13 is 49.01. */
export function roundOvalMm(log: WorkingLog, label: string, longMm: number, shortMm: number): number {
  const share = derive(log, {
    label: 'How far from round',
    formula: '((a − b)/(a + b))^2',
    unit: 'ratio',
    source: 'ramanujan',
    given: [given('a', 'length', longMm), given('b', 'width', shortMm)],
  })
  return derive(log, {
    label,
    formula: 'π·(a + b)/2·(1 + 3·q/(10 + √(4 − 3·q)))',
    unit: 'mm',
    source: 'ramanujan',
    given: [given('a', 'length', longMm), given('b', 'width', shortMm), given('q', 'how far from round', share, 'ratio')],
  })
}

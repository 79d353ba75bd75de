import type { DomeMid } from '../../forming/dome'
import type { SourceId } from '../../sources/sources'
import { derive, given, type WorkingLog } from '../../working/derive'

export const BLANK_SCHOOLS = ['equal-area', 'corrected', 'diameter-plus-height', 'arc'] as const
export type BlankSchool = (typeof BLANK_SCHOOLS)[number]

interface BlankText {
  readonly title: string
  readonly why: string
  readonly formula: string
  readonly source: SourceId
}

export const BLANK_TEXTS: Readonly<Record<BlankSchool, BlankText>> = {
  'equal-area': {
    title: 'Equal area',
    formula: '2·√(a^2 + h^2)',
    source: 'spherical-cap',
    why: 'The dome has the area of the disc: crown thins as much as the rim thickens.',
  },
  corrected: {
    title: 'Least work',
    formula: '2·√(a^2 + h^2)·(1 + 0.023·(2·atan(h/a)/(π/2))^3)',
    source: 'dap-fit',
    why: 'Equal area, corrected for a rim free to draw in; quoted −2/+3 %.',
  },
  'diameter-plus-height': {
    title: 'Diameter and height',
    formula: '2·a + h',
    source: 'bench-practice',
    why: 'A rule of thumb for deep domes; leaves metal to trim.',
  },
  arc: {
    title: 'Along the arc',
    formula: '(a^2 + h^2)/h·2·atan(h/a)',
    source: 'closed-form',
    why: 'Nothing stretches from rim to rim; the largest disc, trimmed afterwards.',
  },
}

/** Disc for a dome of the given middle size, mm, before allowances. 20 across, 5 high: 22.36 by equal area, 23.18 along the arc. */
export function domeBlankMm(log: WorkingLog, school: BlankSchool, mid: DomeMid): number {
  const text = BLANK_TEXTS[school]
  return derive(log, {
    label: text.title,
    formula: text.formula,
    unit: 'mm',
    source: text.source,
    given: [given('a', 'half the width, middle of the metal', mid.baseRadiusMm), given('h', 'height, middle of the metal', mid.heightMm)],
  })
}

/** How far the crown stretches leaves open, −2 to +3 % of the disc: the same for every dome (source: dap-fit). */
export const domeSpread = (answer: { readonly value: number }) => ({
  plusMinus: 0.025 * answer.value,
  why: 'how far the crown stretches, −2 to +3 % of the disc',
})

import { describe, expect, it } from 'vitest'
import { findForm } from './registry'

/** Which way the answer goes when a field grows: up, down, or not at all; of the example of each form. */
const SLOPES: readonly (readonly [form: string, field: string, from: number, to: number, way: 1 | -1 | 0])[] = [
  ['ring-band', 'thicknessMm', 1, 1.4, 1],
  ['ring-band', 'insideDiameterMm', 16, 18, 1],
  ['ring-band', 'widthMm', 3, 3.6, 0],
  ['ring-band', 'growthMm', 0, 0.3, -1],
  ['ring-wire', 'thicknessMm', 1.2, 2, 1],
  ['ring-wrap', 'overlapMm', 5, 8, 1],
  ['ring-stack', 'ringCount', 2, 6, 1],
  ['ring-stack', 'thicknessMm', 1, 1.3, 1],
  ['ring-taper', 'frontMm', 7, 13, 1],
  ['ring-taper', 'backMm', 3, 4, 0],
  ['bangle-plain', 'insideDiameterMm', 58, 66, 1],
  ['bangle-hollow', 'insideDiameterMm', 58, 66, 1],
  ['bangle-oval', 'insideWidthMm', 50, 56, 1],
  ['cuff', 'gapMm', 20, 32, -1],
  ['cuff', 'wristMm', 150, 180, 1],
  ['disc', 'cleanUpMm', 0.1, 0.5, 1],
  ['dome', 'heightMm', 4, 8, 1],
  ['dome', 'trimMm', 0, 2, 1],
  ['dome-cup', 'rimMm', 12, 18, 1],
  ['dome-cup', 'cupMm', 19, 30, -1],
  ['dome-notched', 'heightMm', 5, 11, 1],
  ['dome-notched', 'openingMm', 5, 12, 0],
  ['bead', 'thicknessMm', 0.4, 0.8, -1],
  ['lentil', 'overMm', 5, 12, 1],
  ['washer', 'outsideMm', 30, 36, 1],
  ['tube-round', 'thicknessMm', 0.5, 0.9, -1],
  ['tube-oval', 'outsideLongMm', 13, 18, 1],
  ['tube-oval', 'thicknessMm', 0.4, 0.9, -1],
  ['cone', 'largeMm', 30, 38, 1],
  ['cone', 'heightMm', 20, 40, -1],
  ['box-tube', 'bendRadiusMm', 0.4, 1.2, -1],
  ['ferrule-d', 'upMm', 6, 9, 1],
  ['bezel', 'thicknessMm', 0.2, 0.5, 1],
  ['bezel', 'easeMm', 0, 0.2, 1],
  ['back-plate', 'borderMm', 1, 3, 1],
  ['back-plate', 'ledgeMm', 1, 3, 0],
  ['bail', 'dropMm', 4, 8, 1],
  ['bail', 'chainMm', 3, 4, 1],
  ['tab-setting', 'lapMm', 0.8, 1.6, 1],
  ['rivet-wire', 'betweenMm', 0, 3, 1],
  ['rivet-tube', 'lowerMm', 0.8, 2, 1],
  ['rivet-hidden', 'seatMm', 1.6, 2.4, 1],
  ['rivet-hidden', 'depthMm', 0.3, 0.8, 1],
  ['rivet-ball', 'ballMm', 2, 3.4, 1],
  ['rivet-ball', 'thicknessMm', 1, 1.15, -1],
  ['jump-rings', 'ringCount', 20, 60, 1],
  ['jump-rings', 'insideMm', 4, 7, 1],
  ['jump-oval', 'longMm', 5, 8, 1],
  ['jump-oval', 'shortMm', 3, 4.4, 1],
  ['ball', 'ballMm', 2, 4, 1],
  ['ear-wire', 'rodMm', 7, 10, 1],
  ['ear-wire', 'tailMm', 12, 20, 1],
  ['hook', 'tipMm', 1, 6, 1],
  ['border-wire', 'growthRatio', 0, 0.3, 0],
  ['border-wire', 'borderMm', 90, 140, 1],
  ['binding-wire', 'kinkCount', 0, 4, 1],
  ['strip-links', 'linkMm', 15, 22, 1],
  ['strap-loop', 'leatherMm', 2, 4, 1],
  ['strap-loop', 'radiusMm', 0.2, 1.2, -1],
  ['strap-loop', 'widthMm', 4, 9, 0],
  ['plate', 'lengthMm', 30, 40, 1],
  ['plate', 'holeMm', 1, 3, 0],
  ['buckle', 'windowMm', 8, 14, 1],
  ['buckle', 'strapMm', 20, 30, 0],
  ['bent-bar', 'riseMm', 4, 8, 1],
  ['bent-bar', 'spanMm', 20, 30, 1],
  ['bent-bar', 'radiusMm', 0.4, 1.6, 1],
  ['sectors', 'outsideMm', 40, 50, 1],
  ['sectors', 'sectorCount', 4, 9, 0],
  ['hole-row', 'webMm', 1, 2, 1],
  ['hole-row', 'holeCount', 2, 6, 1],
  ['folded-box', 'heightMm', 6, 12, 1],
  ['folded-box', 'widthInsideMm', 18, 26, 0],
  ['folded-box', 'webRatio', 0.1, 0.3, -1],
  ['fold-star', 'reachMm', 15, 30, 1],
  ['die-blank', 'marginMm', 4, 9, 1],
  ['bead-row', 'borderMm', 34, 40, 1],
]

function answerAt(id: string, field: string, value: number): number {
  const form = findForm(id)
  const run = form?.run({ ...form.example, [field]: value })
  if (!run?.ok) throw new Error(`${id} ${field} ${value}: ${JSON.stringify(run)}`)
  return run.result.answer.value
}

describe('the answer goes the way it must', () => {
  it.each(SLOPES)('%s, %s from %d to %d', (id, field, from, to, way) => {
    const steps = 8
    const whole = Number.isInteger(from) && Number.isInteger(to) && field.endsWith('Count')
    const at = (i: number) => {
      const value = from + ((to - from) * i) / steps
      return whole ? Math.round(value) : value
    }
    const answers = Array.from({ length: steps + 1 }, (_, i) => answerAt(id, field, at(i)))
    answers.slice(1).forEach((answer, i) => {
      const by = answer - (answers[i] ?? 0)
      if (way === 0) expect(by).toBeCloseTo(0, 9)
      else expect(way * by).toBeGreaterThanOrEqual(-1e-9)
    })
    if (way !== 0) expect(way * ((answers.at(-1) ?? 0) - (answers[0] ?? 0))).toBeGreaterThan(0)
  })
})

import { describe, expect, it } from 'vitest'
import { type FormResult, findForm } from '@/core/forms'

// Worked examples without another word are common practice, no source; closed forms are checked by another route than the code's own.

function result(form: string, input: Record<string, unknown>): FormResult {
  const run = findForm(form)?.run(input)
  if (!run?.ok) throw new Error(JSON.stringify(run))
  return run.result
}

function refusal(form: string, input: Record<string, unknown>): string {
  const run = findForm(form)?.run(input)
  return run && !run.ok ? run.issues.map((issue) => `${issue.path}: ${issue.message}`).join('\n') : ''
}

const school = (plan: FormResult, id: string) => plan.schools.find((item) => item.id === id)?.value ?? Number.NaN
const levels = (plan: FormResult, level: string) => plan.checks.filter((check) => check.level === level).map((check) => check.code)
const value = (plan: FormResult, name: string) => plan.results[name]?.value ?? Number.NaN

/** Length of the longest open line of a layer in a drawing: the middle of a bent part. */
function drawnMm(plan: FormResult, layer: 'centre'): number {
  const lengths = plan.drawing.views.flatMap((view) =>
    view.shapes.flatMap((shape) =>
      shape.kind === 'line' && shape.layer === layer
        ? [
            shape.points
              .slice(1)
              .reduce((sum, [x, y], i) => sum + Math.hypot(x - (shape.points[i]?.[0] ?? 0), y - (shape.points[i]?.[1] ?? 0)), 0),
          ]
        : [],
    ),
  )
  return Math.max(...lengths)
}

/** Simpson's rule, n even. */
function integrate(f: (x: number) => number, from: number, to: number, n = 2000): number {
  const h = (to - from) / n
  let sum = f(from) + f(to)
  for (let i = 1; i < n; i++) sum += (i % 2 === 1 ? 4 : 2) * f(from + i * h)
  return (sum * h) / 3
}

describe('ear wires', () => {
  const EAR = { rodMm: 9.525, alloy: 'sterling-925', thicknessMm: 0.812, tailMm: 19.05, frontMm: 8 }
  it('a 3/8 in rod and a 3/4 in tail go into 3 in of wire with a small eye', () => {
    const plan = result('ear-wire', { ...EAR, endMm: 2 })
    expect(plan.answer.value).toBeGreaterThan(45)
    expect(plan.answer.value).toBeLessThan(76.2)
  })
  it('three wraps take six turns of the wire’s own width more than the eye', () => {
    const plan = result('ear-wire', { ...EAR, endMm: 2 })
    expect(school(plan, 'wrapped') - school(plan, 'eye')).toBeCloseTo(3 * Math.PI * 2 * 0.812, 9)
  })
  it('a ball takes the wire of its volume', () => {
    const plan = result('ear-wire', { ...EAR, endMm: 2.32, schools: { end: 'ball' } })
    const ball = (Math.PI / 6) * 2.32 ** 3
    expect(value(plan, 'endMm') * (Math.PI / 4) * 0.812 ** 2).toBeCloseTo(ball, 6)
  })
  it('a tail shorter than the front is warned of', () =>
    expect(levels(result('ear-wire', { ...EAR, tailMm: 5 }), 'warn')).toContain('tail-balance'))
  it('is drawn as long as it is calculated, but for the gap of the eye', () => {
    const plan = result('ear-wire', EAR)
    expect(drawnMm(plan, 'centre') / plan.answer.value).toBeGreaterThan(0.97)
  })
})

describe('hooks, bails and bars', () => {
  it.each([
    [
      'hook',
      { hookMm: 6, eyeMm: 2.6, alloy: 'copper-c110', thicknessMm: 1.3, straightMm: 5, tipMm: 3.5, schools: { shape: 'hook-and-eye' } },
    ],
    ['hook', { hookMm: 6, eyeMm: 4, alloy: 'copper-c110', thicknessMm: 1.3, straightMm: 5, tipMm: 3.5, schools: { shape: 's-hook' } }],
    [
      'hook',
      { hookMm: 6, eyeMm: 2.6, alloy: 'copper-c110', thicknessMm: 1.3, straightMm: 5, tipMm: 3.5, schools: { shape: 'bent-tongue' } },
    ],
    ['bail', { chainMm: 4, dropMm: 6, alloy: 'sterling-925', thicknessMm: 0.6 }],
    ['bail', { chainMm: 4, dropMm: 6, alloy: 'sterling-925', thicknessMm: 0.6, schools: { fold: 'loop' } }],
    ['bent-bar', { spanMm: 20, riseMm: 5, alloy: 'copper-c110', thicknessMm: 1, footMm: 4, radiusMm: 1 }],
    ['bent-bar', { spanMm: 20, riseMm: 5, alloy: 'copper-c110', thicknessMm: 1, footMm: 4, schools: { shape: 'arch' } }],
  ])('%s %o: the drawn middle line is as long as the answer', (form, input) => {
    const plan = result(form, input)
    expect(Math.abs(drawnMm(plan, 'centre') / plan.answer.value - 1)).toBeLessThan(2e-3)
  })
  it('a hook too small for its ring is a stop', () =>
    expect(levels(result('hook', { hookMm: 2, eyeMm: 2, alloy: 'copper-c110', thicknessMm: 1, ringMm: 1.9 }), 'stop')).toContain(
      'hook-takes-ring',
    ))
  it('a bail whose clasp does not pass is a stop', () =>
    expect(levels(result('bail', { chainMm: 4, dropMm: 6, alloy: 'sterling-925', thicknessMm: 0.6, claspMm: 5 }), 'stop')).toContain(
      'clasp-passes',
    ))
  it('a flat bar that hardly rises comes to its span and feet (limit)', () =>
    expect(
      result('bent-bar', { spanMm: 20, riseMm: 0.2, alloy: 'copper-c110', thicknessMm: 0.1, footMm: 4, schools: { shape: 'arch' } }).answer
        .value,
    ).toBeCloseTo(28, 1))
  it('an arch of half a circle is half its circle (closed form)', () =>
    expect(
      result('bent-bar', { spanMm: 20, riseMm: 10, alloy: 'copper-c110', thicknessMm: 1, footMm: 0, schools: { shape: 'arch' } }).answer
        .value,
    ).toBeCloseTo(10 * Math.PI, 6))
  it('an arch agrees with the length of its circle by integration', () => {
    const [s, h] = [24, 4]
    const radius = (s * s) / (8 * h) + h / 2
    const arc = integrate((x) => radius / Math.sqrt(radius * radius - x * x), -s / 2, s / 2)
    expect(
      result('bent-bar', { spanMm: s, riseMm: h, alloy: 'copper-c110', thicknessMm: 1, footMm: 0, schools: { shape: 'arch' } }).answer
        .value,
    ).toBeCloseTo(arc, 6)
  })
  it('a bridge too low for its own bends is refused by name', () =>
    expect(refusal('bent-bar', { spanMm: 20, riseMm: 1, alloy: 'copper-c110', thicknessMm: 1, radiusMm: 0.5 })).toMatch(/^riseMm: Rise/))
})

describe('oval rings from round', () => {
  it('a round of 4.5 has 14.14 round its inside, and so has the oval made of it', () => {
    const plan = result('jump-oval', {
      longMm: 5.5,
      shortMm: (4.5 * Math.PI - 2 * 5.5) / (Math.PI - 2),
      alloy: 'copper-c110',
      thicknessMm: 1,
      kerfMm: 0,
    })
    expect(value(plan, 'insidePerimeterMm')).toBeCloseTo(14.14, 2)
    expect(value(plan, 'rodMm')).toBeCloseTo(4.5, 9)
  })
  it('equal ways are the round ring itself (limit)', () => {
    const plan = result('jump-oval', { longMm: 5, shortMm: 5, alloy: 'copper-c110', thicknessMm: 1, kerfMm: 0 })
    expect(value(plan, 'rodMm')).toBeCloseTo(5, 9)
    expect(school(plan, 'slot')).toBeCloseTo(school(plan, 'ellipse'), 6)
    expect(plan.answer.value).toBeCloseTo(6 * Math.PI, 9)
  })
  it('turned round ways are refused', () =>
    expect(refusal('jump-oval', { longMm: 4, shortMm: 5, alloy: 'copper-c110', thicknessMm: 1 })).toMatch(/^shortMm/))
})

describe('rolled border and binding wire', () => {
  it('2.588 round rolls to half round 3.66 by 1.83 with its length kept', () => {
    const plan = result('border-wire', { thicknessMm: 2.588, alloy: 'copper-c110', profile: 'half-round', borderMm: 100, growthRatio: 0 })
    expect(value(plan, 'widthMm')).toBeCloseTo(3.66, 2)
    expect(value(plan, 'heightMm')).toBeCloseTo(1.83, 2)
  })
  it.each(['half-round', 'square', 'oblong'])('%s keeps the volume, longer or not', (profile) => {
    const before = (plan: FormResult) => (Math.PI / 4) * 2 ** 2 * (plan.answer.value - 6)
    const area = (w: number, h: number) => (profile === 'half-round' ? (Math.PI * h * h) / 2 : w * h)
    for (const longer of ['kept', 'drawn']) {
      const plan = result('border-wire', {
        thicknessMm: 2,
        alloy: 'copper-c110',
        profile,
        borderMm: 120,
        growthRatio: 0.15,
        endsMm: 6,
        schools: { longer },
      })
      expect(area(value(plan, 'widthMm'), value(plan, 'heightMm')) * 120).toBeCloseTo(before(plan), 6)
    }
  })
  it('binding wire without a kink is warned of', () =>
    expect(
      levels(result('binding-wire', { acrossMm: 20, throughMm: 8, alloy: 'copper-c110', thicknessMm: 0.6, kinkCount: 0 }), 'warn'),
    ).toContain('kinks-give'))
  it('once round a block is its sides and a full turn of the wire’s thickness (parallel curve)', () =>
    expect(
      value(result('binding-wire', { acrossMm: 20, throughMm: 8, alloy: 'copper-c110', thicknessMm: 0.6 }), 'onceRoundMm'),
    ).toBeCloseTo(56 + Math.PI * 0.6, 9))
})

describe('settings', () => {
  it('a gallery of whole repeats is a whole number of them', () => {
    const plan = result('bezel-gallery', {
      shape: 'oval',
      stoneLengthMm: 18,
      stoneWidthMm: 13,
      patternMm: 1.7,
      alloy: 'fine-silver',
      thicknessMm: 0.3,
      easeMm: 0,
    })
    expect(value(plan, 'exactMm')).toBeCloseTo(49.95, 2)
    expect(plan.answer.value / 1.7).toBeCloseTo(Math.round(49.95 / 1.7), 9)
    expect(school(plan, 'over')).toBeGreaterThanOrEqual(value(plan, 'exactMm') - 1e-9)
    expect(school(plan, 'plain')).toBeCloseTo(49.95, 2)
  })
  it('by the stone alone a gallery is the plain bezel’s length', () => {
    const stone = {
      shape: 'cushion',
      stoneLengthMm: 14,
      stoneWidthMm: 10,
      cornerMm: 2,
      alloy: 'fine-silver',
      thicknessMm: 0.3,
      easeMm: 0.05,
    }
    expect(result('bezel-gallery', { ...stone, patternMm: 1.5, schools: { repeat: 'plain' } }).answer.value).toBeCloseTo(
      result('bezel', { ...stone, stoneHeightMm: 4 }).answer.value,
      9,
    )
  })
  it('a 7/8 in window in a 30 mm stone leaves a ledge of 3.9', () => {
    const plan = result('back-plate', {
      stoneLengthMm: 30,
      stoneWidthMm: 30,
      alloy: 'sterling-925',
      thicknessMm: 0.6,
      ledgeMm: (30 - 22.225) / 2,
    })
    expect(value(plan, 'windowMm')).toBeCloseTo(22.225, 6)
    expect((30 - 22.225) / 2).toBeCloseTo(3.9, 1)
  })
  it('a closed back has no hole and no window', () => {
    const plan = result('back-plate', { stoneLengthMm: 16, stoneWidthMm: 12, alloy: 'sterling-925', thicknessMm: 0.6 })
    expect(plan.blanks[0]?.holes).toEqual([])
    expect(value(plan, 'windowMm')).toBe(0)
  })
  it('a ledge so wide that no window stays is refused', () =>
    expect(refusal('back-plate', { stoneLengthMm: 16, stoneWidthMm: 12, alloy: 'sterling-925', thicknessMm: 0.6, ledgeMm: 5.8 })).toMatch(
      /no window stays/,
    ))
})

describe('rivets', () => {
  it('a tube rivet stands out half the tube, a millimetre at most, on both sides', () => {
    const at = (tubeMm: number) =>
      result('rivet-tube', { tubeMm, thicknessMm: 0.2, alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: tubeMm }).answer.value
    expect(at(1.6)).toBeCloseTo(2 + 1.6, 9)
    expect(at(3)).toBeCloseTo(4, 9)
  })
  it('its rim keeps the metal that stood out (volume of a flat ring)', () => {
    const plan = result('rivet-tube', { tubeMm: 3, thicknessMm: 0.3, alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: 3 })
    const stood = Math.PI * 2.7 * 0.3 * value(plan, 'flareMm')
    expect((Math.PI / 4) * (value(plan, 'rimMm') ** 2 - 3 ** 2) * 0.3).toBeCloseTo(stood, 9)
  })
  it('one longer than the passage is warned of, with the two cuts told; one that never passes has no length', () => {
    const plan = result('rivet-tube', {
      tubeMm: 3,
      thicknessMm: 0.3,
      alloy: 'copper-c110',
      upperMm: 4,
      lowerMm: 6,
      holeMm: 3,
      passageMm: 11.5,
    })
    expect(levels(plan, 'warn')).toContain('passage')
    expect(plan.checks.find((check) => check.code === 'two-cuts')?.message).toMatch(/cut roughly at 11\.3 mm.*cut to 11 mm under the head/)
    expect(
      refusal('rivet-tube', { tubeMm: 3, thicknessMm: 0.3, alloy: 'copper-c110', upperMm: 4, lowerMm: 6, holeMm: 3, passageMm: 10 }),
    ).toMatch(/^passageMm/)
  })
  it('a hidden rivet fills its seats by volume', () => {
    const plan = result('rivet-hidden', {
      thicknessMm: 1.3,
      alloy: 'copper-c110',
      upperMm: 1.2,
      lowerMm: 1.2,
      holeMm: 1.3,
      seatMm: 2,
      depthMm: 0.6,
      filingMm: 0,
    })
    const seat = ((Math.PI * 0.6) / 12) * (4 + 2 * 1.3 + 1.69)
    const straight = (Math.PI / 4) * 1.69 * (2.4 - 1.2)
    expect((Math.PI / 4) * 1.69 * plan.answer.value).toBeCloseTo(2 * seat + straight, 9)
  })
  it('a seat as wide as its hole needs no wire but the stack (limit)', () =>
    expect(
      result('rivet-hidden', {
        thicknessMm: 1.3,
        alloy: 'copper-c110',
        upperMm: 1,
        lowerMm: 1,
        holeMm: 1.3,
        seatMm: 1.3,
        depthMm: 0.5,
        filingMm: 0,
      }).answer.value,
    ).toBeCloseTo(2, 9))
  it('16 ga, 5 mm of it, is a ball of 2.32: the ball’s share of a ball-headed rivet', () =>
    expect(
      value(
        result('rivet-ball', { ballMm: 2.32, thicknessMm: 1.291, alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: 1.3 }),
        'ballWireMm',
      ),
    ).toBeCloseTo(5, 1))
  it('a ball smaller than its hole is a stop', () =>
    expect(
      levels(result('rivet-ball', { ballMm: 1.4, thicknessMm: 1.2, alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: 1.5 }), 'stop'),
    ).toContain('ball-holds'))
})

describe('rows of holes', () => {
  it('three holes with webs of 1: 5.96 at number 55, 7.33 at number 50; with an edge of 1, 6.96 and 8.33 of 9.525', () => {
    const row = (holeMm: number, edgeMm: number) =>
      result('hole-row', { holeMm, holeCount: 3, webMm: 1, edgeMm, widthMm: 6, alloy: 'copper-c110', thicknessMm: 0.8, roomMm: 9.525 })
    expect(value(row(1.321, 0), 'rowMm')).toBeCloseTo(5.96, 2)
    expect(value(row(1.778, 0), 'rowMm')).toBeCloseTo(7.33, 2)
    expect(row(1.321, 0.5).answer.value).toBeCloseTo(6.96, 2)
    expect(row(1.778, 0.5).answer.value).toBeCloseTo(8.33, 2)
    expect(levels(row(1.778, 0.5), 'ok')).toContain('row-fits')
  })
  it('a hole must take its post and hold its nut', () => {
    const at = (holeMm: number) =>
      result('hole-row', { holeMm, holeCount: 1, widthMm: 8, alloy: 'copper-c110', thicknessMm: 0.8, postMm: 1.3, nutMm: 1.8 })
    expect(levels(at(1.55), 'stop')).toEqual([])
    expect(levels(at(1.2), 'stop')).toContain('post-goes-through')
    expect(levels(at(1.9), 'stop')).toContain('nut-is-held')
  })
  it('one hole is the hole and its two edges (limit)', () =>
    expect(
      result('hole-row', { holeMm: 2, holeCount: 1, edgeMm: 1.5, widthMm: 6, alloy: 'copper-c110', thicknessMm: 0.8 }).answer.value,
    ).toBeCloseTo(5, 9))
})

describe('straps and buckles', () => {
  it('a loop goes round the strap and two thicknesses of leather', () => {
    const plan = result('strap-loop', { strapMm: 25, leatherMm: 3, easeMm: 0, alloy: 'copper-c110', thicknessMm: 0.8, radiusMm: 0 })
    expect(value(plan, 'insideHighMm')).toBeCloseTo(6, 9)
    expect(plan.answer.value).toBeCloseTo(2 * (25 + 6) + Math.PI * 0.8, 9)
  })
  it('a thicker leather asks for twice two thicknesses', () => {
    const at = (leatherMm: number) => result('strap-loop', { strapMm: 25, leatherMm, alloy: 'copper-c110', thicknessMm: 0.8 }).answer.value
    expect(at(3.5) - at(3)).toBeCloseTo(2, 9)
  })
  it('a buckle’s frame less its windows is what it weighs', () => {
    const plan = result('buckle', {
      strapMm: 24,
      easeMm: 1,
      windowMm: 9,
      frameMm: 5,
      barMm: 4,
      cornerMm: 0,
      cleanUpMm: 0,
      alloy: 'copper-c110',
      thicknessMm: 2,
    })
    expect(plan.answer.value).toBeCloseTo(2 * 5 + 2 * 9 + 4, 9)
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo(32 * 35 - 2 * 9 * 25, 6)
  })
})

describe('folded sheet', () => {
  it('a folded star of four rays has eight points, each ray half the side and each crease its diagonal', () => {
    const plan = result('fold-star', { sheet: 'four', reachMm: 25, alloy: 'copper-c110', thicknessMm: 0.4, cleanUpMm: 0 })
    expect(value(plan, 'pointsCount')).toBe(8)
    expect(value(plan, 'sideMm')).toBeCloseTo(50, 9)
    expect(value(plan, 'cornerMm')).toBeCloseTo(50 / Math.SQRT2, 9)
    expect(value(plan, 'cutDepthMm')).toBeCloseTo(12.5, 9)
  })
  it('a box scored to nothing is its bottom and walls with one thickness a fold (limit)', () =>
    expect(
      result('folded-box', { lengthInsideMm: 30, widthInsideMm: 20, heightMm: 8, alloy: 'copper-c110', thicknessMm: 1, webRatio: 0.05 })
        .answer.value,
    ).toBeCloseTo(30 + 16 + 4, 0))
  it('a box bent sharp about its inside is its inside alone (limit)', () =>
    expect(
      result('folded-box', {
        lengthInsideMm: 30,
        widthInsideMm: 20,
        heightMm: 8,
        alloy: 'copper-c110',
        thicknessMm: 0.05,
        radiusMm: 0,
        neutralAxisRatio: 0.3,
        schools: { fold: 'bent' },
      }).answer.value,
    ).toBeCloseTo(46, 1))
  it('a bent box agrees with the bend allowance of DIN 6935 written as inside and arcs', () => {
    const [r, t, k] = [1.2, 0.8, 0.4]
    const plan = result('folded-box', {
      lengthInsideMm: 30,
      widthInsideMm: 20,
      heightMm: 8,
      alloy: 'copper-c110',
      thicknessMm: t,
      radiusMm: r,
      neutralAxisRatio: k,
      schools: { fold: 'bent' },
    })
    const arc = (Math.PI / 2) * (r + k * t)
    expect(plan.answer.value).toBeCloseTo(30 - 2 * r + 2 * (8 - r) + 2 * arc, 9)
  })
  it('a web too thin to hold is warned of', () =>
    expect(
      levels(
        result('folded-box', {
          lengthInsideMm: 30,
          widthInsideMm: 20,
          heightMm: 8,
          alloy: 'copper-c110',
          thicknessMm: 0.8,
          webRatio: 0.05,
        }),
        'warn',
      ),
    ).toContain('score-web'))
})

describe('parts of a stamping', () => {
  it('four quadrants are two pairs', () => {
    const plan = result('sectors', { outsideMm: 40, sectorCount: 4, alloy: 'copper-c110', thicknessMm: 0.8 })
    expect(value(plan, 'partsCount')).toBe(4)
    expect(plan.checks.find((check) => check.code === 'pairs')?.message).toMatch(/^2 pairs/)
  })
  it('without a kerf a part’s chord is that of its angle', () =>
    expect(
      value(result('sectors', { outsideMm: 40, sectorCount: 6, kerfMm: 0, alloy: 'copper-c110', thicknessMm: 0.8 }), 'chordMm'),
    ).toBeCloseTo(20, 9))
  it('fans side by side with their kerfs never take more than the whole round', () => {
    for (const fanMm of [3, 7, 11, 17]) {
      const plan = result('sectors', {
        outsideMm: 40,
        fanMm,
        kerfMm: 0.3,
        alloy: 'copper-c110',
        thicknessMm: 0.8,
        schools: { split: 'fans' },
      })
      const each = 2 * Math.asin(fanMm / 40) + 0.6 / 40
      expect(value(plan, 'partsCount') * each).toBeLessThanOrEqual(2 * Math.PI + 1e-9)
      expect((value(plan, 'partsCount') + 1) * each).toBeGreaterThan(2 * Math.PI)
    }
  })
})

describe('domes by cup, with openings, lentils', () => {
  it('a rim as wide as its cup is a half sphere: disc of √2 times its middle', () => {
    const plan = result('dome-cup', { cupMm: 20, rimMm: 20, alloy: 'copper-c110', thicknessMm: 0.6 })
    expect(school(plan, 'equal-area')).toBeCloseTo(Math.SQRT2 * 19.4, 6)
    expect(school(plan, 'arc')).toBeCloseTo((Math.PI / 2) * 19.4, 6)
  })
  it('a 7.938 disc makes a half sphere of 5.61 (equal area) or 5.05 (arc)', () => {
    const cup = (rimMm: number) => result('dome-cup', { cupMm: rimMm, rimMm, alloy: 'copper-c110', thicknessMm: 0.05 })
    expect(school(cup(5.61 + 0.05), 'equal-area')).toBeCloseTo(7.938, 1)
    expect(school(cup(5.05 + 0.05), 'arc')).toBeCloseTo(7.938, 1)
  })
  it('a disc gives back the rim it was cut for (inverse of inverse)', () => {
    const plan = result('dome-cup', { cupMm: 24, rimMm: 18, alloy: 'copper-c110', thicknessMm: 0.6 })
    const back = result('dome-cup', { cupMm: 24, rimMm: 18, alloy: 'copper-c110', thicknessMm: 0.6, discMm: plan.answer.value })
    expect(value(back, 'rimFromDiscMm')).toBeCloseTo(18, 6)
  })
  it('a dome wider than its cup is refused', () =>
    expect(refusal('dome-cup', { cupMm: 10, rimMm: 12, alloy: 'copper-c110', thicknessMm: 0.5 })).toMatch(/^rimMm/))
  it('a window on the flat has the area of its cap', () => {
    const plan = result('dome-notched', {
      widthMm: 30,
      heightMm: 10,
      openingMm: 10,
      alloy: 'copper-c110',
      thicknessMm: 0.6,
      schools: { flat: 'equal-area' },
    })
    const [a, h] = [14.7, 9.7]
    const radius = (a * a + h * h) / (2 * h)
    const cap = integrate((x) => (2 * Math.PI * x * radius) / Math.sqrt(radius * radius - x * x), 0, 5)
    expect((Math.PI / 4) * value(plan, 'openingFlatMm') ** 2).toBeCloseTo(cap, 4)
  })
  it('a small window is hardly larger on the flat (limit)', () =>
    expect(
      value(result('dome-notched', { widthMm: 30, heightMm: 10, openingMm: 0.5, alloy: 'copper-c110', thicknessMm: 0.6 }), 'openingFlatMm'),
    ).toBeCloseTo(0.5, 3))
  it('a notch is wider on the flat than on the dome, for the rim draws in', () => {
    const plan = result('dome-notched', {
      widthMm: 30,
      heightMm: 12,
      opening: 'notch',
      openingMm: 6,
      notchMm: 5,
      alloy: 'copper-c110',
      thicknessMm: 0.6,
    })
    expect(value(plan, 'openingFlatMm')).toBeGreaterThan(6)
    expect(plan.blanks[0]?.areaMm2).toBeLessThan((Math.PI / 4) * plan.answer.markAt ** 2)
  })
  it('a lentil as thick as it is wide is a bead', () => {
    const common = { alloy: 'sterling-925', thicknessMm: 0.5, trimMm: 0.6 }
    expect(result('lentil', { ...common, acrossMm: 14, overMm: 14 }).answer.value).toBeCloseTo(
      result('bead', { ...common, outsideMm: 14 }).answer.value,
      9,
    )
  })
  it('a lentil grows toward its flat disc as it flattens (limit)', () => {
    const at = (overMm: number) =>
      result('lentil', { acrossMm: 30, overMm, alloy: 'sterling-925', thicknessMm: 0.2, trimMm: 0 }).answer.value
    expect(at(0.6)).toBeCloseTo(29.8, 1)
    expect(at(4)).toBeLessThan(at(8))
  })
  it('a lentil without an air hole is a stop', () =>
    expect(levels(result('lentil', { acrossMm: 21, overMm: 8, alloy: 'sterling-925', thicknessMm: 0.5, holeMm: 0 }), 'stop')).toContain(
      'air-hole',
    ))
})

describe('rings and tubes', () => {
  it('one narrow ring of a set measured together is the plain ring', () => {
    const ring = { insideDiameterMm: 17.32, alloy: 'sterling-925', thicknessMm: 1, widthMm: 2 }
    expect(result('ring-stack', { ...ring, ringCount: 2, schools: { fit: 'as-measured' } }).answer.value).toBeCloseTo(
      result('ring-band', ring).answer.value,
      9,
    )
  })
  it('a set over 4 mm wide is made larger by the house table, all of it alike', () => {
    const at = (ringCount: number) =>
      result('ring-stack', { insideDiameterMm: 17.32, ringCount, widthMm: 1.8, gapMm: 0.1, alloy: 'sterling-925', thicknessMm: 1 })
    expect(value(at(2), 'insideMm')).toBeCloseTo(17.32, 9)
    expect(value(at(3), 'insideMm')).toBeCloseTo(17.32 + 0.25 * 0.8128, 6)
    expect(at(3).blanks[0]?.qty).toBe(3)
  })
  it('a tapered band of equal widths is the strip (limit)', () => {
    const plan = result('ring-taper', { insideDiameterMm: 17.32, frontMm: 4, backMm: 4, alloy: 'sterling-925', thicknessMm: 1 })
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo(plan.answer.markAt * 4, 6)
    expect(value(plan, 'edgeAngleDeg')).toBe(0)
  })
  it('a straight taper has the area of its trapezes, a swell that of its curve by integration', () => {
    const ring = { insideDiameterMm: 17.32, frontMm: 10, backMm: 4, alloy: 'sterling-925', thicknessMm: 1 }
    const straight = result('ring-taper', ring)
    expect(straight.blanks[0]?.areaMm2).toBeCloseTo((straight.answer.markAt * (10 + 4)) / 2, 6)
    const swell = result('ring-taper', { ...ring, taper: 'swell' })
    const area = swell.answer.markAt * integrate((share) => 4 + 6 * Math.sin(Math.PI * share) ** 2, 0, 1)
    expect(Math.abs((swell.blanks[0]?.areaMm2 ?? 0) / area - 1)).toBeLessThan(1e-3)
  })
  it('an oval tube of equal ways is the round tube', () =>
    expect(result('tube-oval', { outsideLongMm: 12, outsideShortMm: 12, alloy: 'copper-c110', thicknessMm: 0.6 }).answer.value).toBeCloseTo(
      result('tube-round', { outsideDiameterMm: 12, alloy: 'copper-c110', thicknessMm: 0.6 }).answer.value,
      6,
    ))
  it('and says the round it is pressed from', () => {
    const plan = result('tube-oval', { outsideLongMm: 15, outsideShortMm: 9, alloy: 'copper-c110', thicknessMm: 0.6 })
    expect((value(plan, 'roundOutsideMm') - 0.6) * Math.PI).toBeCloseTo(plan.answer.value, 9)
  })
})

describe('plates', () => {
  const PLATE = { alloy: 'copper-c110', thicknessMm: 1, cleanUpMm: 0 }
  it('a free outline is stretched to its two ways and keeps its shape: a right triangle is half its box', () => {
    const plan = result('plate', { ...PLATE, shape: 'free', corners: '0 0; 4 0; 0 3', cornerMm: 0, lengthMm: 40, widthMm: 30 })
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo(600, 6)
  })
  it('half an outline is mirrored on its line', () => {
    const whole = result('plate', { ...PLATE, shape: 'free', corners: '0 -2; 5 -2; 8 0; 5 2; 0 2', cornerMm: 0, lengthMm: 40, widthMm: 20 })
    const half = result('plate', {
      ...PLATE,
      shape: 'free',
      corners: '8 0; 5 2; 0 2',
      mirror: 'half',
      cornerMm: 0,
      lengthMm: 40,
      widthMm: 20,
    })
    expect(half.blanks[0]?.areaMm2).toBeCloseTo(whole.blanks[0]?.areaMm2 ?? 0, 6)
  })
  it.each([
    ['0 0; 4 0', /three at least/],
    ['0 0; 4 4; 4 0; 0 4', /cross or touch/],
    ['0 0; 4 x; 4 4', /corner 2 is "4 x"/],
    ['0 0; 4 0; 8 0', /one line/],
    ['0 0 1; 4 0; 8 3', /corner 1 is/],
  ])('refuses the corners %s by name', (corners, message) => {
    const said = refusal('plate', { ...PLATE, shape: 'free', corners, lengthMm: 40, widthMm: 30 })
    expect(said).toMatch(/^corners: Corners of a free outline/)
    expect(said).toMatch(message)
  })
  it('a regular polygon has the area of its closed form', () => {
    const side = 20 * Math.sin(Math.PI / 6)
    const plan = result('plate', { ...PLATE, shape: 'polygon', sideCount: 6, cornerMm: 0, lengthMm: 20, widthMm: side * Math.sqrt(3) })
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo((3 * Math.sqrt(3) * side ** 2) / 2, 6)
  })
  it('rounded corners take from a square what its corners lose: (4 − π) r²', () => {
    const plan = result('plate', { ...PLATE, shape: 'polygon', sideCount: 4, cornerMm: 3, lengthMm: 30, widthMm: 30 })
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo(900 - (4 - Math.PI) * 9, 0)
  })
  it('a double D is its circle less two segments (closed form)', () => {
    const [D, w] = [30, 20]
    const half = Math.acos(w / D)
    const segment = ((D * D) / 4) * (half - Math.sin(half) * Math.cos(half))
    const plan = result('plate', { ...PLATE, shape: 'double-d', lengthMm: D, widthMm: w })
    expect(Math.abs((plan.blanks[0]?.areaMm2 ?? 0) / ((Math.PI * D * D) / 4 - 2 * segment) - 1)).toBeLessThan(1e-3)
  })
  it('a window too near the edge is warned of, over it a stop', () => {
    const at = (windowLengthMm: number) =>
      result('plate', { ...PLATE, shape: 'rectangle', lengthMm: 30, widthMm: 20, window: 'rectangle', windowLengthMm, windowWidthMm: 8 })
    expect(levels(at(20), 'warn')).not.toContain('hole-edge-distance')
    expect(levels(at(29), 'warn')).toContain('hole-edge-distance')
    expect(levels(at(31), 'stop')).toContain('hole-edge-distance')
  })
  it('a hole into the window is a stop', () =>
    expect(
      levels(
        result('plate', {
          ...PLATE,
          shape: 'rectangle',
          lengthMm: 60,
          widthMm: 20,
          holeMm: 4,
          holeCount: 2,
          holePitchMm: 12,
          window: 'slot',
          windowLengthMm: 14,
          windowWidthMm: 6,
        }),
        'stop',
      ),
    ).toContain('hole-web'))
})

describe('blanks for dies', () => {
  it('a flat impression is itself and its margins (limit)', () => {
    const plan = result('die-blank', { lengthMm: 30, widthMm: 20, depthMm: 0, marginMm: 5, alloy: 'copper-c110', thicknessMm: 0.6 })
    for (const id of ['held', 'free']) expect(school(plan, id)).toBeCloseTo(40, 4)
  })
  it('a free rim keeps its area: the blank grows by what the cap has more than its round, by integration', () => {
    const [a, h, m] = [30, 4, 5]
    const sphere = (a * a) / (8 * h) + h / 2
    const cap = integrate((r) => (2 * Math.PI * r * sphere) / Math.sqrt(sphere * sphere - r * r), 0, a / 2)
    const plan = result('die-blank', { lengthMm: a, widthMm: a, depthMm: h, marginMm: m, alloy: 'copper-c110', thicknessMm: 0.6 })
    expect(school(plan, 'free') ** 2 - (a + 2 * m) ** 2).toBeCloseTo(cap - (Math.PI * a * a) / 4, 3)
  })
  it('held all round, 20 across and 6 deep in 0.5 mm comes to 0.27 to 0.31, and 5.5 deep is warned of', () => {
    const held = (depthMm: number) =>
      result('die-blank', { lengthMm: 20, widthMm: 20, depthMm, alloy: 'sterling-925', thicknessMm: 0.5, schools: { die: 'held' } })
    expect(value(held(6), 'thinnestMm')).toBeGreaterThan(0.27)
    expect(value(held(6), 'thinnestMm')).toBeLessThan(0.31)
    expect(levels(held(5.5), 'warn')).toContain('die-thinning')
    expect(held(5).sizedSteps.find((step) => step.op === 'press-die')?.params.depthMm).toBe(5)
  })
})

describe('rings from what is in hand', () => {
  const RING = { insideDiameterMm: 16.51, alloy: 'sterling-925', thicknessMm: 1, widthMm: 3 }
  it('75 mm of strip closes to 22.87 inside in 1 mm metal, US 13.8; in 1.5 mm to 22.37, US 13.2', () => {
    const thin = result('ring-band', { ...RING, stripMm: 75 })
    expect(value(thin, 'stripInsideMm')).toBeCloseTo(22.87, 2)
    expect(value(thin, 'stripUsSize')).toBeCloseTo(13.8, 1)
    const thick = result('ring-band', { ...RING, thicknessMm: 1.5, stripMm: 75 })
    expect(value(thick, 'stripInsideMm')).toBeCloseTo(22.37, 2)
    expect(value(thick, 'stripUsSize')).toBeCloseTo(13.2, 1)
  })
  it('a ring’s own length gives its own size back (inverse of inverse)', () => {
    const plan = result('ring-band', RING)
    expect(value(result('ring-band', { ...RING, stripMm: plan.answer.value }), 'stripInsideMm')).toBeCloseTo(16.51, 9)
  })
  it('a former smaller than the strip’s own size makes the ends lap by what is over', () => {
    const plan = result('ring-band', { ...RING, stripMm: 75, formerMm: 20 })
    expect(value(plan, 'lapMm')).toBeCloseTo(75 - 21 * Math.PI, 9)
    expect(levels(plan, 'warn')).toContain('strip-laps')
    expect(levels(result('ring-band', { ...RING, stripMm: 75, formerMm: 24 }), 'warn')).not.toContain('strip-laps')
  })
  it('a strip too short for a finger is a stop', () =>
    expect(levels(result('ring-band', { ...RING, stripMm: 20 }), 'stop')).toContain('strip-in-hand'))
  it('a quarter size of growth in truing takes 0.64 mm off the cut: 57 becomes 56.36', () => {
    const ring = { insideDiameterMm: 16.51, alloy: 'sterling-925', thicknessMm: 1.63, widthMm: 3, roundUpMm: 0.01 }
    const grown = result('ring-band', { ...ring, growthMm: 0.25 * 0.8128 })
    expect(result('ring-band', ring).answer.value - grown.answer.value).toBeCloseTo(0.638, 3)
    expect(grown.outcomes[0]?.valueMm).toBeCloseTo(16.51, 2)
  })
})

describe('a bangle and the hand', () => {
  const BANGLE = { insideDiameterMm: 62, alloy: 'copper-c110', thicknessMm: 1, widthMm: 6 }
  it('does not pass a hand that is larger as a round', () => {
    expect(levels(result('bangle-plain', { ...BANGLE, handMm: 210 }), 'stop')).toContain('passes-hand')
    expect(levels(result('bangle-plain', { ...BANGLE, handMm: 190 }), 'ok')).toContain('passes-hand')
  })
  it('says nothing of a hand nobody measured', () =>
    expect(result('bangle-plain', BANGLE).checks.some((check) => check.code === 'passes-hand')).toBe(false))
})

describe('tab settings of any stone', () => {
  const TABS = { stoneLengthMm: 20, stoneWidthMm: 14, edgeMm: 3, alloy: 'copper-c110', thicknessMm: 0.6 }
  it('a rectangle with corners as large as its short half is a slot: its area and four tabs', () => {
    const plan = result('tab-setting', { ...TABS, shape: 'cushion', cornerMm: 7, slopeMm: 0, tabWidthMm: 2 })
    const stone = 6 * 14 + Math.PI * 49
    const tabs = (plan.blanks[0]?.areaMm2 ?? 0) - stone
    expect(tabs / (4 * 2 * plan.answer.markAt)).toBeCloseTo(1, 1)
  })
  it('a free outline carries its tabs all round, inside one piece', () => {
    const plan = result('tab-setting', { ...TABS, shape: 'free', corners: '0 0; 20 0; 26 7; 20 14; 0 14', tabCount: 5 })
    expect(plan.blanks[0]?.areaMm2).toBeGreaterThan(20 * 14 * 0.8)
    expect(plan.blanks[0]?.outline.length).toBeGreaterThan(15)
  })
  it('a bail loop is once round the chain and two to lie on the back', () => {
    const plan = result('tab-setting', { ...TABS, bailMm: 4 })
    expect(value(plan, 'bailLoopMm')).toBeCloseTo(4.6 * Math.PI + 2, 9)
    const top = Math.max(...(plan.blanks[0]?.outline.map(([, y]) => y) ?? []))
    expect(top).toBeCloseTo(7 + 4.6 * Math.PI + 2, 1)
  })
  it('a 5 mm stone by the bench rule takes 7 to 8 mm of tab', () => {
    const plan = result('tab-setting', { ...TABS, edgeMm: 5 })
    expect(school(plan, 'edge-plus-2')).toBeCloseTo(7, 9)
    expect(school(plan, 'edge-plus-3')).toBeCloseTo(8, 9)
  })
})

describe('any rivet inside a ring', () => {
  it.each([
    ['rivet-wire', { thicknessMm: 2, alloy: 'copper-c110', upperMm: 3, lowerMm: 3, holeMm: 2.05 }],
    ['rivet-hidden', { thicknessMm: 2, alloy: 'copper-c110', upperMm: 3, lowerMm: 3, holeMm: 2.05, seatMm: 3, depthMm: 1 }],
    ['rivet-ball', { ballMm: 3, thicknessMm: 2, alloy: 'copper-c110', upperMm: 3, lowerMm: 3, holeMm: 2.05 }],
  ])('%s has no length where the stack does not pass, and is told the two cuts where it does', (form, input) => {
    expect(refusal(form, { ...input, passageMm: 5 })).toMatch(/^passageMm: Passage inside the ring/)
    expect(levels(result(form, { ...input, passageMm: 60 }), 'note')).toContain('two-cuts')
    expect(levels(result(form, { ...input, passageMm: 60 }), 'ok')).toContain('passage')
  })
})

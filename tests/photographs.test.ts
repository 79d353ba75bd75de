import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import type { DoorAnswer } from '@/core/commands'
import { answerOutline, type OutlineAnswer } from '@/core/picture'
import { readPicture } from '@/files/read-picture'
import { runTask } from '@/server/long/run-task'
import type { Xy } from './support/photograph'

interface Truth {
  readonly id: string
  readonly outline: readonly Xy[]
  readonly heightMm: number
  readonly printScale: Xy
  readonly refused?: string
  /** Ends of the bar of 100 mm that lies beside the thing where there is no card, pixels. */
  readonly points?: readonly [Xy, Xy]
}

const FOLDER = 'tests/fixtures/photographs'
/** Photographs each like another: measured with PHOTOGRAPHS=all. */
const ALIKE = process.env.PHOTOGRAPHS === 'all' ? [] : ['star-dark', 'corner-copper-high', 'tag-steel-green', 'tag-red-stretched']
const TRUTHS = (JSON.parse(readFileSync(`${FOLDER}/truth.json`, 'utf8')) as Truth[]).filter(({ id }) => !ALIKE.includes(id))

/** Distance of a point from a closed line, by its own arithmetic. */
function distanceTo([x, y]: Xy, line: readonly Xy[]): number {
  return Math.min(
    ...line.map(([ax, ay], i) => {
      const [bx, by] = line[(i + 1) % line.length] ?? [ax, ay]
      const share = Math.max(0, Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)))
      return Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay))
    }),
  )
}
function areaOf(line: readonly Xy[]): number {
  return Math.abs(
    line.reduce((sum, [x, y], i) => sum + x * (line[(i + 1) % line.length]?.[1] ?? 0) - (line[(i + 1) % line.length]?.[0] ?? 0) * y, 0) / 2,
  )
}
/** How often a closed line crosses itself. */
function crossingsOf(line: readonly Xy[]): number {
  const side = ([ax, ay]: Xy, [bx, by]: Xy, [px, py]: Xy) => (bx - ax) * (py - ay) - (by - ay) * (px - ax)
  const at = (i: number): Xy => line[i % line.length] ?? [0, 0]
  let count = 0
  for (let i = 0; i < line.length; i++)
    for (let j = i + 2; j < line.length - (i === 0 ? 1 : 0); j++) {
      const [a, b, c, d] = [at(i), at(i + 1), at(j), at(j + 1)]
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) count++
    }
  return count
}
const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b)
const quantile = (values: readonly number[], share: number) => sorted(values)[Math.floor(share * (values.length - 1))] ?? Number.NaN

const LOOKED = new Map<string, Promise<DoorAnswer>>()

/** What is measured of a photograph, once, by the thread that measures it in use. */
function look({ id, heightMm, printScale, points }: Truth): Promise<DoorAnswer> {
  const card = { lineXMm: 100 * printScale[0], lineYMm: 100 * printScale[1] }
  const asked = points ? { points, apartMm: 100 } : { card }
  const known = LOOKED.get(id) ?? measure(id, { heightMm, ...asked })
  LOOKED.set(id, known)
  return known
}

const measure = (id: string, options: object) =>
  runTask('outline', { bytes: readFileSync(`${FOLDER}/${id}.jpg`), isDrawing: false, options }, { seconds: 60 })

function measured(answer: DoorAnswer): OutlineAnswer {
  if (!answer.ok) throw new Error(`${answer.body.error.code}: ${answer.body.error.message}`)
  return answer.body as OutlineAnswer
}

describe('outlines of photographs whose truth is known', () => {
  const seen = TRUTHS.filter((truth) => !truth.refused && !truth.points)

  it.each(seen)('$id: near the truth, all round', async (truth) => {
    const answer = measured(await look(truth))
    const off = answer.outline.map((point) => distanceTo(point, truth.outline))
    const missed = truth.outline.map((point) => distanceTo(point, answer.outline))
    const most = truth.heightMm > 0 ? 0.3 : answer.card?.field === 'coloured' ? 0.25 : 0.15
    expect(quantile(off, 0.95)).toBeLessThan(most)
    expect(quantile(missed, 0.95)).toBeLessThan(2 * most)
    // no place runs off, and the edge crosses itself nowhere
    expect(Math.max(...off)).toBeLessThan(2 * most)
    expect(crossingsOf(answer.outline)).toBe(0)
    expect(Math.abs(areaOf(answer.outline) / areaOf(truth.outline) - 1)).toBeLessThan(0.012)
  })

  it.each(seen)('$id: nine points in ten lie within what they are said to be off by', async (truth) => {
    const answer = measured(await look(truth))
    const held = answer.outline.filter((point, i) => distanceTo(point, truth.outline) <= (answer.offMm[i] ?? 0)).length
    expect(held / answer.outline.length).toBeGreaterThan(0.9)
    expect(Math.abs(answer.areaMm2 - areaOf(truth.outline))).toBeLessThan(2.5 * answer.areaOffMm2)
  })

  it.each(TRUTHS.filter((truth) => truth.refused))('$id: no outline, and what to do instead', async (truth) => {
    const answer = await look(truth)
    if (answer.ok) throw new Error('it was measured')
    expect(answer.body.error.code).toMatch(new RegExp(`^(${truth.refused})$`))
    expect(answer.body.error.message.length).toBeGreaterThan(30)
  })
})

const middleOf = (line: readonly Xy[]) => line.reduce<Xy>(([mx, my], [x, y]) => [mx + x / line.length, my + y / line.length], [0, 0])
/** A line about a place that becomes its origin, turned. */
function laid(line: readonly Xy[], [mx, my]: Xy, angle: number): Xy[] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return line.map(([x, y]) => [(x - mx) * cos - (y - my) * sin, (x - mx) * sin + (y - my) * cos])
}
/** Points as far apart from each other along a line, so that its middle is that of its length. */
function evenly(line: readonly Xy[], stepMm: number): Xy[] {
  return line.flatMap((from, i) => {
    const to = line[(i + 1) % line.length] ?? from
    const steps = Math.max(1, Math.round(Math.hypot(to[0] - from[0], to[1] - from[1]) / stepMm))
    return Array.from(
      { length: steps },
      (_, k): Xy => [from[0] + ((to[0] - from[0]) * k) / steps, from[1] + ((to[1] - from[1]) * k) / steps],
    )
  })
}

describe('outlines of photographs without the card, beside a bar of 100 mm', () => {
  const bare = TRUTHS.filter(({ points, refused }) => points && !refused)

  it('has some', () => expect(bare.length).toBeGreaterThan(2))

  it.each(bare)('$id: as near the truth as it says, however it lies', async (truth) => {
    const answer = measured(await look(truth))
    const outline = answer.outline as readonly Xy[]
    const own = laid(outline, middleOf(evenly(outline, 0.3)), 0)
    const some = own.filter((_, i) => i % 12 === 0)
    const middle = middleOf(evenly(truth.outline, 0.3))
    const turns = Array.from({ length: 360 }, (_, k) => {
      const line = laid(truth.outline, middle, (k * Math.PI) / 180)
      return { line, worst: Math.max(...some.map((point) => distanceTo(point, line))) }
    })
    const { line: truly } = turns.reduce((best, one) => (one.worst < best.worst ? one : best))
    const held = own.filter((point, i) => distanceTo(point, truly) <= (answer.offMm[i] ?? 0)).length
    expect(held / own.length).toBeGreaterThan(0.9)
    expect(Math.abs(answer.areaMm2 - areaOf(truth.outline))).toBeLessThan(answer.areaOffMm2)
  })

  it.each(bare)('$id: says how much less sure that is', async (truth) => {
    const answer = measured(await look(truth))
    expect(answer.card).toBeUndefined()
    expect(answer.withoutCard?.timesLessSure).toBeGreaterThan(3)
    expect(answer.notes[0]).toMatch(
      /^without the card this is about \d+ times less sure: its edge ± [\d.]+ mm, where the card would give ± 0\.\d+/,
    )
    // half a millimetre of a hundred is not told by two points in a hand-held picture
    expect(answer.uncertainty.plusMinus).toBeGreaterThan(0.5)
  })

  it('gives the same of a picture that is turned on its side', async () => {
    const [truth] = bare
    if (!truth?.points) throw new Error('no photograph')
    const upright = measured(await look(truth))
    const picture = await readPicture(readFileSync(`${FOLDER}/${truth.id}.jpg`))
    const { width, height } = picture
    const rgba = new Uint8Array(picture.rgba.length)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let channel = 0; channel < 4; channel++)
          rgba[4 * (x * height + (height - 1 - y)) + channel] = picture.rgba[4 * (y * width + x) + channel] ?? 0
    const turned = ([x, y]: Xy): [number, number] => [height - 1 - y, x]
    const points: [[number, number], [number, number]] = [turned(truth.points[0]), turned(truth.points[1])]
    const side = answerOutline({ ...picture, width: height, height: width, rgba }, { heightMm: 0, heightOffMm: 0.2, points, apartMm: 100 })
    if ('ok' in side) throw new Error(side.message)
    expect(side.lengthMm).toBeCloseTo(upright.lengthMm, 1)
    expect(side.areaMm2 / upright.areaMm2).toBeCloseTo(1, 2)
  })

  it('is asked about and told of in the pixels of the photograph, where fewer of them were unpacked', async () => {
    const [truth] = bare
    if (!truth?.points) throw new Error('no photograph')
    const whole = measured(await look(truth))
    const picture = await readPicture(readFileSync(`${FOLDER}/${truth.id}.jpg`))
    // as if the photograph had four times as many: everything in it lies twice as far from its corner
    const twice = ([x, y]: Xy): [number, number] => [2 * x, 2 * y]
    const points: [[number, number], [number, number]] = [twice(truth.points[0]), twice(truth.points[1])]
    const some = answerOutline({ ...picture, share: 0.5 }, { heightMm: 0, heightOffMm: 0.2, points, apartMm: 100 })
    if ('ok' in some) throw new Error(some.message)
    expect(some.outline).toEqual(whole.outline)
    expect(some.inPicture).toEqual(whole.inPicture.map((at) => twice(at)))
    expect(some.working[0]?.value).toBeCloseTo((whole.working[0]?.value ?? Number.NaN) / 2, 9)
  })

  it('grows as the bar is said to be longer', async () => {
    const [truth] = bare
    if (!truth?.points) throw new Error('no photograph')
    const twice = measured(await measure(truth.id, { points: truth.points, apartMm: '20 cm' }))
    expect(twice.lengthMm / measured(await look(truth)).lengthMm).toBeCloseTo(2, 3)
  })

  it('says what is wrong with the points', async () => {
    const far: readonly Xy[] = [
      [300, 900],
      [900, 900],
    ]
    for (const [asked, code] of [
      [
        {
          points: [
            [10, 10],
            [40, 30],
          ],
          apartMm: 100,
        },
        'points-near',
      ],
      [
        {
          points: [
            [-5, 10],
            [900, 900],
          ],
          apartMm: 100,
        },
        'points-outside',
      ],
      [{ points: far }, 'distance-missing'],
      [{ apartMm: 100 }, 'points-missing'],
      [{ points: far, apartMm: 0 }, 'bad-input'],
    ] as const) {
      const answer = await measure('bare-tag-red', asked)
      expect(answer.ok ? 'measured' : answer.body.error.code).toBe(code)
    }
  })
})

describe('a picture with no card in it, and no two points given', () => {
  it('is refused with both ways out: the whole card, or two places a known distance apart', async () => {
    const answer = await measure('bare-tag-red', {})
    expect(answer.ok ? '' : answer.body.error.message).toMatch(/no measuring card .* whole card.*two places .* known distance apart/)
  })
  it('is not said of one with two marks to be seen', async () => {
    const answer = await measure('refused-marks-hidden', {})
    expect(answer.ok ? '' : answer.body.error.message).toContain('only 2 of the card’s four marks')
    expect(answer.ok ? '' : answer.body.error.message).not.toContain('known distance')
  })
})

describe('what is said of a card that was not measured', () => {
  const truth = TRUTHS.find(({ id }) => id === 'strip-red')
  let told: OutlineAnswer
  beforeAll(async () => {
    told = measured(await measure('strip-red', {}))
  })

  it('promises no better than half a percent, and says why', async () => {
    expect(told.notes[0]).toContain('lines of this card have not been measured')
    const known = truth && measured(await look(truth))
    // the ends lie 48 mm from the middle: half a percent is 0.24 mm more there
    expect(Math.max(...told.offMm)).toBeGreaterThan(Math.max(...(known?.offMm ?? [9])) + 0.15)
  })

  it('tells a strip by its four corners as runs', () => {
    expect(told.corners).toHaveLength(4)
    expect(told.vertices.filter(({ bulge }) => Math.abs(bulge) < 0.01)).toHaveLength(told.vertices.length)
  })

  it('draws the edge where the picture has it', () => {
    const [xs, ys] = [told.inPicture.map(([x]) => x), told.inPicture.map(([, y]) => y)]
    expect(Math.min(...xs)).toBeGreaterThan(0)
    expect(Math.max(...xs)).toBeLessThan(2200)
    expect(Math.max(...ys)).toBeLessThan(1650)
  })
})

describe('the same thing photographed from two sides', () => {
  it('agrees within what each says it may be off by', async () => {
    const sides = TRUTHS.filter(({ id }) => id.startsWith('tag-blue'))
    const [one, other] = await Promise.all(sides.map(async (truth) => measured(await look(truth))))
    if (!one || !other) throw new Error('two were taken')
    const apart = one.outline.map(
      (point, i) => distanceTo(point, other.outline) / Math.hypot(one.offMm[i] ?? 0, other.uncertainty.plusMinus),
    )
    expect(quantile(apart, 0.95)).toBeLessThan(1)
  })
})

describe('files that are no photographs', () => {
  it.each([
    ['words', Buffer.from('not a picture')],
    ['nothing', Buffer.alloc(0)],
    ['a picture cut off', readFileSync(`${FOLDER}/strip-red.jpg`).subarray(0, 30_000)],
  ])('%s are refused in words', async (_, bytes) => {
    await expect(readPicture(bytes)).rejects.toThrow(/cannot be read/)
  })
})

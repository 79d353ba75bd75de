import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { answerDap } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import { addStep, type BentPart, bendOf, type CurledPart, curlOf, onePart, planPiece, shellParts, wantedOf, withRoute } from '@/core/piece'
import { BendSection } from '@/ui/forming/bend-section'
import { CurlSection } from '@/ui/forming/curl-section'
import { DomeSection } from '@/ui/forming/dome-section'
import { ShellSection } from '@/ui/forming/shell-section'
import { strainColour } from '@/ui/forming/strain-colour'

/** Pictures of forming, measured as they are drawn. */

interface Stroke {
  readonly ends: readonly [number, number, number, number]
  readonly isDashed: boolean
  readonly colour: string
  readonly wide: number
}

const attribute = (tag: string, name: string) => new RegExp(`\\b${name}="([^"]*)"`).exec(tag)?.[1]

function strokesIn(markup: string): Stroke[] {
  return [...markup.matchAll(/<line [^>]*>/g)].map(([tag]) => ({
    ends: ['x1', 'y1', 'x2', 'y2'].map((name) => Number(attribute(tag, name))) as unknown as Stroke['ends'],
    isDashed: /stroke-dasharray/.test(tag),
    colour: attribute(tag, 'stroke') ?? '',
    wide: Number(attribute(tag, 'stroke-width') ?? 1),
  }))
}

const lengthOf = ({ ends: [x1, y1, x2, y2] }: Stroke) => Math.hypot(x2 - x1, y2 - y1)
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

describe('a bangle’s strip as it is curled', () => {
  const part: CurledPart = {
    part: 'strip',
    name: 'Strip',
    alloy: 'red-brass-c230',
    figures: {},
    thicknessMm: 0.7,
    stripMm: 13,
    insideMm: 66,
  }
  const drawn = (turnRad: number) => {
    const curled = curlOf(part, turnRad, 'mean-kept')
    const markup = renderToStaticMarkup(<CurlSection part={part} curled={curled} turnRad={turnRad} settling="mean-kept" />)
    const strokes = strokesIn(markup)
    const metal = strokes.filter(({ colour, isDashed }) => colour.startsWith('rgb(') && !isDashed)
    const flat = strokes.filter(({ isDashed, ends: [x1, , x2] }) => isDashed && Math.abs(x1 - x2) < 1e-6 && Math.abs(x1 - 320) > 1)
    return { curled, markup, metal, flat, perMm: lengthOf(flat[0] as Stroke) / part.stripMm }
  }
  it.each([0.5, 2, 4, 6.2])('turned by %f is as wide along itself as it was flat, on both sides', (turnRad) => {
    const { metal, perMm } = drawn(turnRad)
    expect(metal).toHaveLength(72)
    // chords for arcs
    expect(sum(metal.map(lengthOf)) / perMm / 2 / part.stripMm).toBeCloseTo(1, 2)
  })
  it('has between its waists what is written, and opens outwards', () => {
    const { metal, markup, perMm, curled } = drawn(3)
    const xs = metal.flatMap(({ ends: [x1, , x2] }) => [x1, x2]).filter((x) => x > 320)
    const bore = (2 * (Math.min(...xs) - 320)) / perMm - part.thicknessMm
    expect(bore).toBeCloseTo(66 - 2 * curled.waistInMm, 1)
    expect(markup).toContain(`${(66 - 2 * curled.waistInMm).toFixed(1)} inside`)
    expect(markup).toContain('its strip turned by 172 degrees')
    // its edges stand farther out than its waist
    expect(Math.max(...xs)).toBeGreaterThan(Math.min(...xs) + perMm)
  })
  it('is rust at its edges and blue at its waist', () => {
    const { metal } = drawn(4)
    const [red = 0, , blue = 0] =
      /\((\d+) (\d+) (\d+)\)/
        .exec(metal[0]?.colour ?? '')
        ?.slice(1)
        .map(Number) ?? []
    expect(red).toBeGreaterThan(blue)
    const [middleRed = 0, , middleBlue = 0] =
      /\((\d+) (\d+) (\d+)\)/
        .exec(metal[18]?.colour ?? '')
        ?.slice(1)
        .map(Number) ?? []
    expect(middleBlue).toBeGreaterThan(middleRed)
  })
})

describe('a dome as it is sectioned', () => {
  const stages = [36, 25, 22, 20].map((punchMm) => ({ punchMm, annealBefore: false }))
  const answer = answerDap({ alloy: ALLOYS['sterling-925'], discMm: 28, thicknessMm: 0.6, strain: 0, friction: 0, stages })
  const drawn = (chosen: number) => {
    const markup = renderToStaticMarkup(<DomeSection stages={answer.stages} chosen={chosen} thicknessMm={0.6} discMm={28} />)
    return { markup, metal: strokesIn(markup).filter(({ colour }) => colour.startsWith('rgb(')) }
  }
  it.each([0, 3])('stage %i is drawn as high and as wide as it says', (chosen) => {
    const { metal, markup } = drawn(chosen)
    const stage = answer.stages[chosen]
    if (!stage) throw new Error('no stage')
    const xs = metal.flatMap(({ ends: [x1, , x2] }) => [x1, x2])
    const ys = metal.flatMap(({ ends: [, y1, , y2] }) => [y1, y2])
    const across = Math.max(...xs) - Math.min(...xs)
    const high = Math.max(...ys) - Math.min(...ys)
    // the outermost ring ends half a ring short of the rim
    expect(high / across).toBeGreaterThan(0.85 * (stage.heightMm / stage.rimDiameterMm))
    expect(high / across).toBeLessThan(1.05 * (stage.heightMm / stage.rimDiameterMm))
    for (const figure of [stage.pole.thicknessMm, stage.rim.thicknessMm]) expect(markup).toContain(`>${String(Number(figure.toFixed(2)))}<`)
  })
  it('is thinner drawn at the crown than at the rim', () => {
    const { metal } = drawn(3)
    expect(metal[0]?.wide).toBeLessThan(metal.at(-1)?.wide ?? 0)
  })
  it('has a mark for another height only where one is taken', () => {
    expect(drawn(3).markup).not.toContain('role="slider"')
    const markup = renderToStaticMarkup(
      <DomeSection stages={answer.stages} chosen={3} thicknessMm={0.6} discMm={28} onHeight={() => undefined} />,
    )
    expect(markup).toContain('aria-label="Height of the dome"')
    expect(markup).toContain(`aria-valuetext="${String(Number((answer.stages[3]?.heightMm ?? 0).toFixed(1)))} mm"`)
  })
})

describe('a strip on its former', () => {
  const part: BentPart = {
    part: 'band',
    name: 'Band',
    alloy: 'yellow-brass-c260',
    figures: {},
    thicknessMm: 1.45,
    widthMm: 9,
    lengthMm: 199,
    insideRadiusMm: 31,
    strain: 0,
    isClosed: true,
  }
  const points = (path: string) => [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
  it.each([0.2, 0.6, 0.95])('bent by %f keeps its length, on a circle of the former that is drawn', (bentShare) => {
    const answer = bendOf(part, 31)
    const markup = renderToStaticMarkup(<BendSection part={part} formerRadiusMm={31 + 1.45 / 2} answer={answer} bentShare={bentShare} />)
    const radius = Number(attribute(/<circle [^>]*>/.exec(markup)?.[0] ?? '', 'r'))
    const perMm = radius / 31
    const paths = [...markup.matchAll(/<path d="([^"]+)"[^>]*stroke-linejoin="round"/g)].map(([, d]) => points(d ?? ''))
    const held = paths[0] ?? []
    const drawn = sum(held.slice(1).map(([x, y], i) => Math.hypot(x - (held[i]?.[0] ?? 0), y - (held[i]?.[1] ?? 0))))
    expect(drawn / perMm / part.lengthMm).toBeCloseTo(1, 2)
    expect(markup).toContain(`${Math.round(100 * bentShare)} % of it bent`)
  })
})

describe('the colour of a strain', () => {
  it('is plain at none, and the deeper the farther, either way', () => {
    const depth = (strain: number) => Number(/\((\d+)/.exec(strainColour(strain))?.[1])
    expect(strainColour(0)).toBe('rgb(196 204 208)')
    expect(depth(0.18)).toBeLessThan(depth(0.05))
    expect(strainColour(0.5)).toBe(strainColour(0.18))
    expect(strainColour(-0.1)).not.toBe(strainColour(0.1))
  })
})

describe('a part that is pressed, sunk or raised, in section', () => {
  const design = onePart({
    form: 'disc',
    inputVersion: 1,
    input: { diameterMm: 90, thicknessMm: 1, alloy: 'copper-c110' },
    bought: 'annealed',
  })
  const flat = planPiece(design)
  const worked = (op: string, params: Readonly<Record<string, unknown>>) => {
    const on = [{ thing: flat.parts[0]?.id ?? '' }]
    const wanted = addStep(wantedOf(flat, design), flat.steps.length - 1, { id: `${op}+1`, op, on, params })
    const [part] = shellParts(planPiece(withRoute(design, flat, wanted)))
    if (!part) throw new Error('nothing is formed')
    return { part, markup: renderToStaticMarkup(<ShellSection stages={part.stages} chosen={0} thicknessMm={1} />) }
  }
  it.each([
    ['press-die', { depthMm: 8, halfMm: 20, rimHeld: true }, 40, 8, 'high'],
    ['press-die', { depthMm: 8, halfMm: 20, rimHeld: false }, 40, 8, 'high'],
    ['sink', { discMm: 90, heightMm: 20 }, undefined, 20, 'deep'],
    ['raise', { fromMm: 90, toMm: 80 }, 80, undefined, 'high'],
  ] as const)('by %s %j has its sizes said and drawn to one scale', (op, params, across, high, word) => {
    const { markup, part } = worked(op, params)
    const said = /([\d.]+) mm across the rim, ([\d.]+) mm (high|deep)/.exec(markup)
    expect(said?.[3]).toBe(word)
    if (across) expect(Number(said?.[1])).toBeCloseTo(across, 1)
    if (high) expect(Number(said?.[2])).toBeCloseTo(high, 1)
    const metal = strokesIn(markup).filter(({ colour }) => colour.startsWith('rgb('))
    const [xs, ys] = [metal.flatMap(({ ends: [x1, , x2] }) => [x1, x2]), metal.flatMap(({ ends: [, y1, , y2] }) => [y1, y2])]
    const drawn = (Math.max(...xs) - Math.min(...xs)) / (Math.max(...ys) - Math.min(...ys))
    expect(drawn / (Number(said?.[1]) / Number(said?.[2]))).toBeCloseTo(1, 1)
    expect(part.stages).toHaveLength(1)
  })
  it('hangs under its rim where it is sunk, and stands over it where it is raised', () => {
    const crownUnderRim = (markup: string) => {
      const [first] = strokesIn(markup).filter(({ colour }) => colour.startsWith('rgb('))
      const rim = strokesIn(markup)
        .filter(({ colour }) => colour.startsWith('rgb('))
        .at(-1)
      return (first?.ends[1] ?? 0) > (rim?.ends[3] ?? 0)
    }
    expect(crownUnderRim(worked('sink', { discMm: 90, heightMm: 20 }).markup)).toBe(true)
    expect(crownUnderRim(worked('raise', { fromMm: 90, toMm: 80 }).markup)).toBe(false)
  })
})

import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { OPERATIONS } from '@/core/operations'
import { walkTemper } from '@/core/route'
import { StepPicture } from '@/ui/bench/step-picture'
import { TargetBand } from '@/ui/bench/target-band'
import { Ribbon } from '@/ui/route/ribbon'
import { wordsIn } from '../support/words-in'

const TARGET = { dimension: 'insideMm', label: 'Inside', valueMm: 19.15, plusMinusMm: 0.1 }

describe('the reading against its band', () => {
  const band = (valueMm: number | null) => wordsIn(renderToStaticMarkup(<TargetBand target={TARGET} valueMm={valueMm} source="calipers" />))
  it.each([
    [null, 'no reading yet'],
    [19.15, 'in the band'],
    [19.05, 'in the band'],
    [19.25, 'in the band'],
    [19.02, '0.03 mm under the band'],
    [19.3, '0.05 mm over the band'],
    [12, '7.05 mm under the band'],
  ])('%f: %s', (value, said) => expect(band(value)).toContain(`inside, calipers: ${said}`))
  it('shows both edges of the band and the figure itself', () => {
    const said = band(19.2)
    expect(said).toContain('19.05')
    expect(said).toContain('19.25')
    expect(said).toContain('19.2')
  })
})

describe('the temper ribbon', () => {
  const walk = walkTemper({
    alloy: 'sterling-925',
    thicknessMm: 2,
    bought: 'annealed',
    steps: [
      { op: 'saw' },
      { op: 'roll', params: { fromMm: 2, toMm: 1.3 } },
      { op: 'roll', params: { fromMm: 1.3, toMm: 0.7 } },
      { op: 'anneal', params: { timeS: 60 } },
      { op: 'rivet' },
      { op: 'set-stone', params: { by: 'tabs' } },
    ],
  })
  const markup = renderToStaticMarkup(<Ribbon walk={walk} hasHead onAnneal={() => undefined} />)
  it('has a bar for each step, as high as the work used', () => {
    const bars = [...markup.matchAll(/data-work="([\d.]+)"/g)].map((match) => Number(match[1]))
    expect(bars).toHaveLength(6)
    expect(bars[0]).toBe(0)
    expect(bars[2]).toBeGreaterThan(1)
    expect(bars[3]).toBeLessThan(bars[2] ?? 0)
  })
  it('says at each step temper, hardness and work left, for those who cannot see it', () => {
    const said = wordsIn(markup)
    expect(said).toMatch(/Roll to 1\.3 mm: [a-z -]+, hardness about \d+ HV \(\d+ to \d+\), \d+ % work left, plus or minus \d+/)
    expect(said).toContain('HV')
  })
  it('names the steps shortly', () => {
    const said = wordsIn(markup)
    for (const name of ['saw', 'anneal', 'rivet', 'set the stone']) expect(said).toContain(name)
  })
  it('offers an anneal before the step that passes the limit', () => expect(wordsIn(markup)).toMatch(/anneal first|anneal before/i))
  it('at the bench is told without the small figures', () =>
    expect(wordsIn(renderToStaticMarkup(<Ribbon walk={walk} dark now={2} />))).not.toMatch(/\d+ HV (?!,)\d/))
})

describe('what the hands do, drawn', () => {
  it.each(OPERATIONS.map((operation) => [operation.id]))('%s has a picture in the colour of its metal', (op) => {
    for (const params of [{}, { manner: 'fold' }, { by: 'tabs' }, { punchMm: 24, discMm: 20 }]) {
      const markup = renderToStaticMarkup(<StepPicture op={op} params={params} metal="#d98a63" />)
      expect(markup).toContain('#d98a63')
      expect(markup).toContain('aria-hidden="true"')
      expect(markup).not.toMatch(/NaN|undefined|Infinity/)
    }
  })
  it('a smaller punch makes the same disc a deeper dome in the picture', () => {
    const depth = (punchMm: number) => {
      const markup = renderToStaticMarkup(<StepPicture op="dap" params={{ punchMm, discMm: 20 }} metal="#ffffff" />)
      const metal = markup.slice(0, markup.indexOf('stroke="#ffffff"'))
      const [, x1, y1, r, x2] = /M([\d.-]+) ([\d.-]+)A([\d.]+) [\d.]+ 0 0 0 ([\d.-]+)/.exec(metal.slice(metal.lastIndexOf('<path'))) ?? []
      return (190 - Number(y1)) / (Number(x2) - Number(x1)) + 0 * Number(r)
    }
    expect(depth(20)).toBeGreaterThan(depth(30))
    expect(depth(30)).toBeGreaterThan(depth(60))
  })
})

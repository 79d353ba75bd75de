import { describe, expect, it } from 'vitest'
import type { OwnTool } from '../toolwall/tools'
import { toolNotes } from './tool-notes'

const bit = (label: string, nominal: number, measured?: number): OwnTool => ({
  kind: 'drill',
  label,
  nominal,
  ...(measured ? { measured } : {}),
})
const cup = (label: string, nominal: number): OwnTool => ({ kind: 'cup', label, nominal })
const solder = (label: string, nominal: number): OwnTool => ({ kind: 'solder', label, nominal })

function said(op: string, params: Record<string, unknown>, tools: readonly OwnTool[], thicknessMm = 1): string {
  const [note] = toolNotes([{ op, params }], { tools, figures: {}, thicknessMm })
  return note ? `${note.level}: ${note.message}` : 'nothing'
}

describe('the bit for a hole', () => {
  it.each([
    [[bit('#52', 1.613)], 1.6, 'ok: Yours: #52, 1.613 mm'],
    [[bit('#51', 1.702)], 1.65, 'note: Use a 1.65 mm bit; the closest you have is #51, 0.05 mm over.'],
    [[bit('#60', 1.016), bit('#55', 1.321)], 1.2, 'note: Use a 1.2 mm bit; the closest you have is #55, 0.12 mm over.'],
    [[bit('#60', 1.016)], 1.2, 'note: Use a 1.2 mm bit; the closest you have is #60, 0.18 mm under.'],
    [[], 1.2, 'nothing'],
  ] as [OwnTool[], number, string][])('%j for %f mm', (tools, diameterMm, words) =>
    expect(said('drill', { diameterMm }, tools)).toBe(words),
  )
  it('goes by what it measures, not by what it was sold as', () =>
    expect(said('drill', { diameterMm: 1.6 }, [bit('worn 1.6', 1.6, 1.52)])).toBe(
      'note: Use a 1.6 mm bit; the closest you have is worn 1.6, 0.08 mm under.',
    ))
})

describe('the cup for a punch', () => {
  it.each([
    [[cup('22', 22), cup('25', 25)], 20, 1, 'ok: Yours: the 22 cup'],
    [[cup('22', 22), cup('25', 25)], 20, 1.2, 'ok: Yours: the 25 cup'],
    [[cup('18', 18)], 20, 1, 'note: Use a cup of 22 mm or over; none of yours is as wide.'],
    [[bit('#60', 1)], 20, 1, 'nothing'],
  ] as [OwnTool[], number, number, string][])('%j, punch %i in %f mm sheet', (tools, punchMm, thicknessMm, words) =>
    expect(said('dap', { punchMm, discMm: 24 }, tools, thicknessMm)).toBe(words),
  )
})

describe('the solder for a joint', () => {
  it.each([
    [[solder('hard wire', 788)], 'hard-75', 'ok: Yours: hard wire, flows at 788 °C'],
    [[solder('hard wire', 780)], 'hard-75', 'ok: Yours: hard wire, flows at 780 °C'],
    [[solder('easy', 718)], 'hard-75', 'note: Use a solder that flows near 788 °C; the closest you have is easy, 718 °C.'],
    [[solder('easy', 718), solder('medium', 738)], 'medium-70', 'ok: Yours: medium, flows at 738 °C'],
    [[solder('easy', 718)], 'no such solder', 'nothing'],
    [[], 'hard-75', 'nothing'],
  ] as [OwnTool[], string, string][])('%j for %s', (tools, id, words) => expect(said('solder', { solder: id }, tools)).toBe(words))
})

describe('the punch of a hollow', () => {
  const punch = (label: string, nominal: number): OwnTool => ({ kind: 'punch', label, nominal })
  it.each([
    [[punch('20', 20)], 20, 'nothing'],
    [[punch('20', 20)], 20.5, 'nothing'],
    [
      [punch('16', 16), punch('25', 25)],
      20,
      'note: Use a punch of 20 mm; the closest you have is 16, 16 mm. A smaller one serves, worked round in rings.',
    ],
    [[], 20, 'nothing'],
  ] as [OwnTool[], number, string][])('%j for a hollow of %f mm', (tools, punchMm, words) =>
    expect(said('dap', { punchMm }, tools)).toBe(words),
  )
  it('and its cup are both told of', () =>
    expect(
      toolNotes([{ op: 'dap', params: { punchMm: 20 } }], { tools: [punch('16', 16), cup('18', 18)], figures: {}, thicknessMm: 1 }).map(
        ({ buy }) => buy,
      ),
    ).toEqual(['punch', 'cup']))
})

describe('the punch for a hole', () => {
  const holePunch = (label: string, nominal: number): OwnTool => ({ kind: 'hole-punch', label, nominal })
  it('is the one of its size, or a bit serves', () => {
    expect(said('punch-hole', { diameterMm: 1.8 }, [holePunch('screw punch', 1.8)])).toBe('ok: Yours: screw punch, 1.8 mm')
    expect(said('punch-hole', { diameterMm: 1.8 }, [holePunch('screw punch', 1.6)])).toBe(
      'note: Use a 1.8 mm punch; the closest you have is screw punch, 0.20 mm under. A bit of the size serves too.',
    )
    expect(said('punch-hole', { diameterMm: 1.8 }, [])).toBe('nothing')
  })
})

describe('the mandrel for a ring', () => {
  const mandrel: OwnTool = {
    kind: 'mandrel',
    label: 'old mandrel',
    facts: {
      marks: [
        { mark: '4', diameterMm: 14.9 },
        { mark: '8', diameterMm: 18.1 },
        { mark: '12', diameterMm: 21.4 },
      ],
    },
  }
  it('is one that was measured there', () => {
    expect(said('bend', { insideRadiusMm: 8.9 }, [mandrel])).toBe('ok: Yours: old mandrel, between 4 and 8')
    expect(said('bend', { insideRadiusMm: 30 }, [mandrel])).toContain('note: Use a mandrel of 60 mm; none of yours')
    expect(said('bend', { insideRadiusMm: 30 }, [mandrel])).toContain('A round bar or tube of that size serves')
  })
  it('is not asked for what is folded or narrow, nor where none was measured', () => {
    expect(said('bend', { insideRadiusMm: 30, manner: 'fold' }, [mandrel])).toBe('nothing')
    expect(said('bend', { insideRadiusMm: 2 }, [mandrel])).toBe('nothing')
    expect(said('bend', { insideRadiusMm: 30 }, [{ kind: 'mandrel', label: 'unmeasured' }])).toBe('nothing')
  })
})

describe('the paper for a grain', () => {
  const paper = (label: string, nominal: number): OwnTool => ({ kind: 'abrasive', label, nominal, count: 3 })
  it('is the nearest by how many times coarser or finer it is', () => {
    expect(said('sand', { gritUm: 35 }, [paper('P400', 35), paper('P800', 21.8)])).toBe('ok: Yours: P400, 35 µm')
    expect(said('sand', { gritUm: 30 }, [paper('P800', 21.8)])).toBe('ok: Yours: P800, 21.8 µm')
    expect(said('sand', { gritUm: 68 }, [paper('P400', 35), paper('P80', 201)])).toBe(
      'note: Use an abrasive of about 68 µm; the closest you have is P400, 35 µm.',
    )
    // a paper that is used up is none
    expect(said('sand', { gritUm: 68 }, [{ ...paper('P220', 68), count: 0 }, paper('P400', 35)])).toContain('note')
  })
})

describe('what would have to be bought', () => {
  const buy = (op: string, params: Record<string, unknown>, tools: readonly OwnTool[], thicknessMm = 1) =>
    toolNotes([{ op, params }], { tools, figures: {}, thicknessMm })[0]?.buy
  it('is of the kind that is missing, and nothing where the wall has it', () => {
    expect(buy('drill', { diameterMm: 1.2 }, [bit('#60', 1.016)])).toBe('drill')
    expect(buy('drill', { diameterMm: 1.016 }, [bit('#60', 1.016)])).toBeUndefined()
    expect(buy('dap', { punchMm: 20 }, [cup('18', 18)])).toBe('cup')
    expect(buy('solder', { solder: 'hard-75' }, [solder('easy', 718)])).toBe('solder')
    expect(buy('saw', {}, [bit('#60', 1.016)])).toBe('blade')
  })
  it('is no blade where no blade cuts metal so thin', () => {
    const coarse: OwnTool = { kind: 'blade', label: 'coarse', nominal: 0.6, facts: { teethPerCm: 12, widthMm: 1 } }
    const [note] = toolNotes([{ op: 'saw', params: {} }], { tools: [coarse], figures: {}, thicknessMm: 0.2 })
    expect(note?.message).toContain('shears or a knife')
    expect(note?.buy).toBeUndefined()
  })
})

describe('a whole route', () => {
  const steps = [
    { op: 'saw', params: {} },
    { op: 'drill', params: { diameterMm: 1.6 } },
    { op: 'file', params: {} },
    { op: 'enchant', params: {} },
  ]
  it('has a note by the steps for which the wall has that kind of tool, and names the step', () =>
    expect(toolNotes(steps, { tools: [bit('#52', 1.613)], figures: {}, thicknessMm: 0.9 }).map((note) => note.step)).toEqual([0, 1]))
  it('says which blade would be right where the wall has none', () =>
    expect(toolNotes(steps, { tools: [bit('#52', 1.613)], figures: {}, thicknessMm: 0.9 })[0]?.message).toMatch(
      /^Use a .* blade; your wall has no blade\.$/,
    ))
  it('calls no blade right that has not a tooth in the metal', () => {
    const coarse: OwnTool = { kind: 'blade', label: 'coarse', nominal: 0.6, facts: { teethPerCm: 12, widthMm: 1 } }
    const [note] = toolNotes(steps, { tools: [coarse], figures: {}, thicknessMm: 0.25 })
    expect(note?.level).toBe('note')
  })
  it('saws with the blade that puts two to three teeth in the metal', () => {
    const blade = (label: string, nominal: number, teethPerCm: number): OwnTool => ({
      kind: 'blade',
      label,
      nominal,
      facts: { teethPerCm, widthMm: 0.4 },
    })
    const [note] = toolNotes(steps, { tools: [blade('coarse', 0.4, 12), blade('fine', 0.22, 26)], figures: {}, thicknessMm: 1 })
    expect(note?.message).toContain('fine')
  })
  it('an empty wall says nothing at all', () => expect(toolNotes(steps, { tools: [], figures: {}, thicknessMm: 1 })).toEqual([]))
})

import { describe, expect, it } from 'vitest'
import { ALLOY_IDS } from '../metals'
import { type SurfaceAnswer, surfacePlan } from './plan'
import { FINISH_IDS, PATINA_IDS, surfaceInput } from './schema'

function plan(input: Record<string, unknown>): SurfaceAnswer {
  const result = surfacePlan(surfaceInput.parse({ alloy: 'copper-c110', faces: [{ name: 'front' }], ...input }))
  if (!result.ok) throw new Error(result.issues.map(({ message }) => message).join())
  return result.answer
}
const codes = (input: Record<string, unknown>, level?: string) =>
  plan(input)
    .checks.filter((check) => level === undefined || check.level === level)
    .map(({ code }) => code)
const face = (finish: string, from = 'file marks') => ({ faces: [{ name: 'front', finish, from }] })

describe('a ladder', () => {
  it('from file marks to a mirror is P220, P400, P800, P1500 and two compounds (FEPA micrometres, ratios of 1.3 to 2)', () => {
    const [front] = plan(face('mirror')).faces
    expect(front?.ladder.map(({ name }) => name)).toEqual(['P220', 'P400', 'P800', 'P1500'])
    for (const { ratio } of front?.ladder.slice(1) ?? []) {
      expect(ratio).toBeGreaterThan(1.33)
      expect(ratio).toBeLessThan(2.0)
    }
    expect(front?.after.join()).toContain('tripoli')
    expect(front?.ladder.map(({ directionDeg }) => directionDeg)).toEqual([0, 90, 0, 90])
  })
  it('stops where the finish needs no finer paper, and says why', () => {
    expect(plan(face('satin')).faces[0]).toMatchObject({ stopsAt: 'P800', why: expect.stringContaining('P800') })
    expect(plan(face('as-formed')).faces[0]?.ladder).toEqual([])
  })
  it('takes the papers that are owned, and says which is missing', () => {
    const owned = [
      { kind: 'abrasive', label: 'red paper', nominal: 68 },
      { kind: 'abrasive', label: 'grey paper', nominal: 35 },
    ]
    const input = { ...face('satin'), owned }
    expect(plan(input).faces[0]?.ladder.map(({ name }) => name)).toEqual(['red paper', 'grey paper'])
    expect(codes(input)).toContain('paper-missing')
  })
  it('asks which scale a bare number is of', () => {
    const result = surfacePlan(surfaceInput.parse({ alloy: 'copper-c110', ...face('satin', '600') }))
    expect(result.ok ? '' : result.issues[0]?.message).toContain('Which 600?')
  })
  it('takes minutes for its area', () => {
    const [front] = plan({ faces: [{ name: 'front', finish: 'satin', areaMm2: 1200 }] }).faces
    expect(front?.minutes).toBeCloseTo((3 * 1200) / 400, 9)
  })
  it('does not sand a thin wear layer', () => {
    expect(plan({ alloy: 'gold-filled', ...face('mirror') }).faces[0]?.ladder).toEqual([])
    expect(codes({ alloy: 'gold-filled', ...face('mirror') }, 'stop')).toEqual(['thin-layer'])
    expect(codes({ alloy: 'gold-filled', ...face('tumbled') }, 'stop')).toEqual([])
  })
  it('warns of brass on silver, and of fire stain under a mirror', () => {
    const said = (input: Record<string, unknown>) =>
      plan(input)
        .checks.map(({ message }) => message)
        .join(' ')
    expect(said({ alloy: 'sterling-925', ...face('brush-glow') })).toContain('soap')
    expect(said({ alloy: 'sterling-925', ...face('mirror') })).toContain('Fire stain')
    expect(said({ alloy: 'fine-silver', ...face('mirror') })).not.toContain('Fire stain')
  })
})

describe('a colour run', () => {
  const potash = { agent: 'sulphurated-potash' }
  it('is three dips, each rinsed and brushed, then neutralised, relieved wet, dried and sealed (common practice)', () => {
    const steps = plan({ patina: potash }).colour?.steps.map(({ step }) => step) ?? []
    expect(steps.filter((step) => step.startsWith('dip'))).toHaveLength(3)
    const at = (word: string) => steps.findIndex((step) => step.startsWith(word))
    const last = (word: string) => steps.findLastIndex((step) => step.startsWith(word))
    expect(last('brush both faces')).toBeGreaterThan(last('dip'))
    expect(at('neutralise')).toBeGreaterThan(last('brush both faces'))
    expect(at('relieve, wet')).toBeGreaterThan(at('neutralise'))
    expect(at('dry')).toBeGreaterThan(at('relieve, wet'))
    expect(at('wax')).toBe(steps.length - 1)
  })
  it('is sprays with dryings for verdigris, and is refused on what is worn', () => {
    const run = plan({ patina: { agent: 'verdigris', runs: 5 } }).colour?.steps ?? []
    expect(run.filter(({ step }) => step.startsWith('dry in the air'))).toHaveLength(5)
    expect(codes({ patina: { agent: 'verdigris', worn: true } }, 'stop')).toEqual(['not-worn'])
    expect(codes({ patina: { agent: 'verdigris', seal: 'none' } }, 'warn')).toContain('goes-on-growing')
  })
  it('tells for every metal whether the agent takes', () => {
    for (const alloy of ALLOY_IDS) {
      const { colour, checks } = plan({ alloy, patina: potash, ...face('as-formed') })
      const isStopped = checks.some(({ code }) => code === 'no-colour')
      expect(isStopped).toBe(/^(no|rusts|corrodes)/.test(colour?.takes ?? ''))
    }
    expect(plan({ alloy: 'sterling-925', patina: potash }).colour?.takes).toBe('yes')
    expect(codes({ alloy: 'aluminium-1100', patina: potash, ...face('as-formed') }, 'stop')).toContain('no-colour')
  })
  it('comes after tumbling or before it, as the school has it; the seal is last in both', () => {
    const asked = { ...face('tumbled'), patina: potash }
    const first = plan(asked).sequence
    const other = plan({ ...asked, order: 'patina-first' }).sequence
    const at = (list: readonly string[], word: string) => list.findIndex((step) => step.startsWith(word))
    expect(at(first, 'tumble')).toBeLessThan(at(first, 'dip'))
    expect(at(other, 'tumble')).toBeGreaterThan(at(other, 'dip'))
    expect(first.at(-1)).toBe('wax')
    expect(other.at(-1)).toBe('wax')
  })
  it('is spoiled by what comes later: heat, pickle and polish end it', () => {
    for (const step of ['solder', 'anneal', 'pickle', 'polish'])
      expect(codes({ patina: potash, later: [step] }, 'stop')).toEqual(['later-spoils'])
    expect(codes({ later: ['sand'] }, 'warn')).toEqual(['later-spoils'])
    expect(codes({ patina: potash, order: 'patina-first', later: ['tumble'] })).not.toContain('later-spoils')
  })
})

describe('chemistry', () => {
  it('brings the agent of the colour to the bench: never beside pickle', () => {
    expect(codes({ patina: { agent: 'sulphurated-potash' }, bench: ['pickle'] }, 'stop')).toContain('forbidden-chemistry')
    expect(codes({ bench: ['cyanide'] }, 'stop')).toEqual(['cyanide'])
    expect(codes({ baths: ['pickle', 'sulphurated-potash'] }, 'stop')).toEqual(['forbidden-sequence'])
  })
})

describe('how a piece is held', () => {
  const every = [...FINISH_IDS].flatMap((finish) => PATINA_IDS.map((agent) => ({ finish, agent })))
  it.each(every)('is said along the whole of it, in its order: $finish, $agent', ({ finish, agent }) => {
    const { sequence, handling } = plan({ alloy: 'copper-c110', faces: [{ name: 'Face', finish }], patina: { agent } })
    expect(handling.flatMap(({ steps }) => steps)).toEqual(sequence)
    for (const [i, { hold }] of handling.entries()) expect(hold).not.toBe(handling[i + 1]?.hold)
  })
  it('tells the bath from the paper, and keeps steel out of it', () => {
    const { handling } = plan({ alloy: 'copper-c110', faces: [{ name: 'Face', finish: 'satin' }], patina: { agent: 'sulphurated-potash' } })
    const holdOf = (start: string) => handling.find(({ steps }) => steps.some((step) => step.startsWith(start)))?.hold
    expect(holdOf('Face: P')).toContain('ring clamp')
    expect(holdOf('dip')).toContain('no steel in the bath')
    expect(holdOf('degrease')).toContain('fingerprint')
  })
})

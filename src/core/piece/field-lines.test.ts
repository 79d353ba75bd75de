import { describe, expect, it } from 'vitest'
import { changedOnce } from '../../../tests/support/changed-once'
import { KITS } from '../kits'
import type { PieceDesign } from './design'
import { fieldLines } from './field-lines'
import { designFromKit } from './from-kit'

/** A design with something of everything that a design can hold. */
const FULL: PieceDesign = {
  kit: 'a-kit',
  parts: [
    {
      id: 'lid',
      name: 'Lid',
      form: 'disc',
      inputVersion: 1,
      input: {
        diameterMm: 23,
        alloy: 'copper-c110',
        thicknessMm: { typed: '0.8' },
        bands: { diameterMm: 0.2 },
        originals: { diameterMm: { mm: 22.7, stronger: true } },
      },
      bought: 'annealed',
      count: 2,
      marks: [{ id: 'm', kind: 'letters', text: 'NIGHT' }] as never,
      etch: { dark: ['M 0 0'], depthMm: 0.2 } as never,
      surface: { faces: { front: 'satin' }, colour: 'verdigris' } as never,
    },
    {
      id: 'base',
      name: '',
      form: 'disc',
      inputVersion: 1,
      input: { diameterMm: 24, alloy: 'copper-c110', thicknessMm: 1.1 },
      bought: 'hard',
    },
  ],
  others: [{ id: 'gem', name: 'Stone', kind: 'stone', note: 'green' }] as never,
  joints: [{ id: 'seam', kind: 'butt', poses: [{ u: 1, v: 2, angleDeg: 3, offsetMm: 0.4 }] }] as never,
  keep: ['the edge'],
  schools: { anneal: 'early' },
  route: {
    removed: ['saw'],
    placed: [{ id: 'file', op: 'file', after: 'saw' }],
    changed: [{ id: 'dome', params: { depthMm: 3 } }],
    reasons: [{ id: 'dome', rule: 'R1', reason: 'tried' }],
  } as never,
}

describe('what stands beside what was to be written', () => {
  it('is nothing for the same design, in whatever order its keys were put', () => {
    const turned = Object.fromEntries(Object.entries(structuredClone(FULL)).reverse())
    expect(fieldLines(FULL, turned as unknown as PieceDesign)).toEqual([])
  })
  it.each([['with everything', FULL] as const, ...KITS.map((kit) => [kit.id, designFromKit(kit)] as const)])(
    'names whatever single value differs: %s',
    (_, design) => {
      const others = changedOnce(design) as PieceDesign[]
      expect(others.length).toBeGreaterThan(5)
      for (const other of others) {
        const lines = fieldLines(design, other)
        expect(lines.length, JSON.stringify(other)).toBeGreaterThan(0)
        for (const { label, now, yours } of lines) {
          expect(label).not.toBe('')
          expect(now).not.toBe(yours)
        }
      }
    },
  )
  it('says a finish, a note of a stone, a joint and a size of its own by name', () => {
    const lid = (over: object) => ({ ...FULL, parts: [{ ...FULL.parts[0], ...over }, FULL.parts[1]] })
    const said = (yours: object) => fieldLines(FULL, yours as PieceDesign).map((line) => `${line.label}: ${line.now} / ${line.yours}`)
    expect(said(lid({ surface: { ...FULL.parts[0]?.surface, colour: 'smoke' } }))).toEqual([
      'Lid: Finish: colour:verdigris,faces:front:satin / colour:smoke,faces:front:satin',
    ])
    expect(said({ ...FULL, others: [{ ...FULL.others[0], note: 'red' }] })).toEqual(['Stone: note:green / note:red'])
    expect(said({ ...FULL, joints: [{ ...FULL.joints[0], kind: 'lap' }] })).toEqual(['seam: kind:butt / kind:lap'])
    expect(said(lid({ count: 3 }))).toEqual(['Lid: How many: 2 / 3'])
    expect(said(lid({ input: { ...FULL.parts[0]?.input, bands: { diameterMm: 0.3 } } }))).toEqual([
      'Lid: May be off by: diameter ± 0.2 mm / diameter ± 0.3 mm',
    ])
  })
  it('long contents are cut short, and still told apart', () => {
    const long = { ...FULL, keep: ['x'.repeat(400)] }
    const [line] = fieldLines(long, { ...FULL, keep: [`${'x'.repeat(400)}y`] })
    expect(line?.yours).toMatch(/…, with other details$/)
    expect(line?.now.length).toBeLessThan(130)
  })
})

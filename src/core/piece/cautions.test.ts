import { describe, expect, it } from 'vitest'
import { KITS } from '../kits/registry'
import { findOperation } from '../operations/catalogue'
import { cautionsOf } from './cautions'
import { designFromKit } from './from-kit'
import { planPiece } from './plan-piece'
import { metalsOf } from './route-temper'

const STERLING = { alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed' } as const
const BRASS = { ...STERLING, alloy: 'yellow-brass-c260' } as const
const texts = (ops: readonly string[], metal: typeof STERLING | typeof BRASS = STERLING) =>
  cautionsOf(
    ops.map((op) => ({ op })),
    [metal],
  )
    .map(({ text }) => text)
    .join('\n')

describe('the cautions of a tray', () => {
  it('say each thing once, with every step it stands at', () => {
    const found = cautionsOf(
      ['anneal', 'pickle', 'anneal'].map((op) => ({ op })),
      [STERLING],
    )
    expect(new Set(found.map(({ text }) => text)).size).toBe(found.length)
    expect(found.find(({ text }) => text === findOperation('anneal')?.caution)?.steps).toEqual([1, 3])
  })
  it('warn of zinc where brass is heated, and not where it is only sawn, nor where silver is heated', () => {
    expect(texts(['anneal'], BRASS)).toMatch(/zinc fume/)
    expect(texts(['saw'], BRASS)).not.toMatch(/zinc/)
    expect(texts(['anneal'])).not.toMatch(/zinc fume/)
  })
  it('name what never comes together only where both are planned', () => {
    expect(texts(['pickle', 'patina-dip'])).toMatch(/never brought together/)
    expect(texts(['pickle'])).not.toMatch(/never brought together/)
  })
  it('of a route without hazards are none', () => expect(cautionsOf([{ op: 'measure' }], [STERLING])).toEqual([]))
  it.each(KITS.map((kit) => [kit.id, kit] as const))('%s: every operation that has a caution is on the sheet', (_, kit) => {
    const plan = planPiece(designFromKit(kit))
    const sheet = cautionsOf(plan.steps, [...metalsOf(plan).values()])
    for (const [i, { op }] of plan.steps.entries()) {
      const own = findOperation(op)?.caution
      if (own) expect(sheet.find(({ text }) => text === own)?.steps).toContain(i + 1)
    }
  })
})

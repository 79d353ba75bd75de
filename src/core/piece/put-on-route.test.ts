import { describe, expect, it } from 'vitest'
import { findForm } from '../forms/registry'
import { findKit } from '../kits/registry'
import { checkRoute } from '../rules'
import { OPERATION_GROUPS } from '../rules/groups'
import { type PatinaAsked, surfaceChoices, surfacePlan } from '../surface'
import { colourSteps } from '../surface/route-steps'
import type { AskedStep } from './asked-step'
import { onePart, type PieceDesign } from './design'
import { designFromKit } from './from-kit'
import { planPiece } from './plan-piece'
import { lackingOnRoute, putOnRoute } from './put-on-route'
import { firstSurface, surfacedParts, surfaceQuestion, surfaceSteps } from './surfaced-parts'
import { withWork } from './with-work'

const copper = { alloy: 'copper-c110', thicknessMm: 0.9 }
const disc = onePart({ form: 'disc', inputVersion: 1, input: { ...copper, diameterMm: 24 } })
const dome = onePart({ form: 'dome', inputVersion: 1, input: { ...copper, widthMm: 22, heightMm: 6 } })
const put = (design: PieceDesign, asked: readonly AskedStep[], before: 'forming' | 'setting') =>
  putOnRoute(design, planPiece(design, {}), design.parts[0]?.id ?? '', asked, { before, idFor: (op) => `${op}+new` })
const opsOf = (design: PieceDesign) => planPiece(design, {}).steps.map(({ op }) => op)

describe('what was planned for a part', () => {
  it('goes on the route before the metal is formed, and once there is not asked for again', () => {
    const asked: AskedStep[] = [{ op: 'letter', params: {} }]
    const design = put(dome, asked, 'forming')
    const ops = opsOf(design)
    expect(ops.indexOf('letter')).toBeGreaterThan(-1)
    expect(ops.indexOf('letter')).toBeLessThan(ops.indexOf('dap'))
    expect(lackingOnRoute(planPiece(dome, {}), 'part-1', asked)).toEqual(asked)
    expect(lackingOnRoute(planPiece(design, {}), 'part-1', asked)).toEqual([])
    expect(put(design, asked, 'forming')).toEqual(design)
  })
  it('gives its figures to a step that is there, and asks again when they change', () => {
    const asked = (papers: string): AskedStep[] => [{ op: 'finish', params: { papers } }]
    const design = put(disc, asked('P400, P800'), 'setting')
    expect(opsOf(design)).toEqual(opsOf(disc))
    const finish = planPiece(design, {}).steps.find(({ op }) => op === 'finish')
    expect(finish?.params).toMatchObject({ papers: 'P400, P800' })
    expect(lackingOnRoute(planPiece(design, {}), 'part-1', asked('P400, P800'))).toEqual([])
    expect(lackingOnRoute(planPiece(design, {}), 'part-1', asked('P220'))).toHaveLength(1)
    expect(lackingOnRoute(planPiece(design, {}), 'part-2', asked('P400, P800'))).toHaveLength(1)
  })
})

const AGENTS = ['sulphurated-potash', 'ammonium-sulphide', 'selenious', 'tellurium', 'verdigris', 'ammonia-fume', 'heat-colour'] as const

describe.each(AGENTS)('a surface coloured with %s', (agent) => {
  it.each(['mirror', 'satin', 'brush-glow', 'tumbled'] as const)('and %s is put on a route that breaks no rule', (finish) => {
    const [flat] = surfacedParts(disc, planPiece(disc, {}))
    if (!flat) throw new Error('no part')
    const first = firstSurface(flat)
    const choices = surfaceChoices.parse({ faces: first.faces.map((face) => ({ ...face, finish })), patina: { agent } })
    const design = withWork(disc, 'part-1', { surface: choices })
    const [part] = surfacedParts(design, planPiece(design, {}))
    const asked = part && surfaceQuestion(part, { owned: [], figures: {} })
    const answered = asked && surfacePlan(asked)
    if (!part || !answered?.ok) throw new Error('no answer')
    const steps = surfaceSteps(part, answered.answer)
    const routed = put(design, steps, 'setting')
    const plan = planPiece(routed, {})
    expect(lackingOnRoute(plan, 'part-1', steps)).toEqual([])
    const against = checkRoute(plan.assembly).findings.filter(({ level, overridden }) => level === 'stop' && !overridden)
    expect(against.map(({ rule }) => rule)).toEqual([])
  })
})

it('a kit that is coloured takes the agent and the dips, and gets no second colour', () => {
  const kit = findKit('sulphide-disc')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const design = { ...open, parts: open.parts.map((part) => ({ ...part, input: { ...copper, diameterMm: 24 } })) }
  const routed = put(design, [{ op: 'patina-dip', params: { agent: 'ammonium-sulphide', dips: 4 } }], 'setting')
  const dips = planPiece(routed, {}).steps.filter(({ op }) => op === 'patina-dip')
  expect(dips.map(({ params }) => params)).toEqual([{ agent: 'ammonium-sulphide', dips: 4 }])
})

it('a colour takes the place of another that the route has: it is coloured once, by a dip or by a spray', () => {
  const kit = findKit('mask')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const sized = { ...open, parts: open.parts.map((part) => ({ ...part, input: findForm(part.form)?.example ?? {} })) }
  const colours = (design: PieceDesign) =>
    planPiece(design, {})
      .steps.filter(({ op }) => (OPERATION_GROUPS.colour ?? []).includes(op))
      .map(({ op }) => op)
  expect(colours(sized)).toEqual(['patina-spray'])
  const sprayed = colourSteps(surfaceChoices.parse({ patina: { agent: 'selenious', by: 'spray', runs: 3 } }).patina as PatinaAsked)
  expect(colours(put(sized, sprayed, 'setting'))).toEqual(['patina-spray'])
  const dipped = colourSteps(surfaceChoices.parse({ patina: { agent: 'sulphurated-potash' } }).patina as PatinaAsked)
  const design = put(sized, dipped, 'setting')
  expect(colours(design)).toEqual(['patina-dip'])
  expect(put(design, dipped, 'setting')).toEqual(design)
  const stops = checkRoute(planPiece(design, {}).assembly).findings.filter(({ level, overridden }) => level === 'stop' && !overridden)
  expect(stops).toEqual([])
})

it('a kit that is sanded paper by paper gets a step for each paper, coarse to fine, before its colour', () => {
  const kit = findKit('sulphide-disc')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const sized = { ...open, parts: open.parts.map((part) => ({ ...part, input: { ...copper, diameterMm: 24 } })) }
  const surface = surfaceChoices.parse({
    faces: [
      { name: 'Face', finish: 'mirror' },
      { name: 'Edges', finish: 'satin' },
    ],
    patina: { agent: 'sulphurated-potash' },
  })
  const design = withWork(sized, 'disc', { surface })
  const [part] = surfacedParts(design, planPiece(design, {}))
  const asked = part && surfaceQuestion(part, { owned: [], figures: {} })
  const answered = asked && surfacePlan(asked)
  if (!part || !answered?.ok) throw new Error('no answer')
  const routed = put(design, surfaceSteps(part, answered.answer), 'setting')
  const { steps, assembly } = planPiece(routed, {})
  expect(steps.filter(({ op }) => op === 'sand').map(({ params }) => params.gritUm)).toEqual([68, 35, 21.8, 12.6])
  expect(steps.map(({ op }) => op)).not.toContain('finish')
  expect(checkRoute(assembly).findings.filter(({ level }) => level === 'stop')).toEqual([])
})

it('as many looks and papers as there are go into one step that is read', () => {
  const faces = ['mirror', 'fine-satin', 'satin', 'brush-glow', 'abrasive-texture', 'tumbled'].map((finish, i) => ({
    name: `a face with a long name, ${i}`,
    finish,
  }))
  const [flat] = surfacedParts(disc, planPiece(disc, {}))
  if (!flat) throw new Error('no part')
  const part = { ...flat, faces: faces.map(({ name }) => ({ name, areaMm2: 100 })), choices: surfaceChoices.parse({ faces }) }
  const asked = surfaceQuestion(part, { owned: [], figures: {} })
  const answered = asked && surfacePlan(asked)
  if (!answered?.ok) throw new Error('no answer')
  const steps = surfaceSteps(part, answered.answer)
  expect(lackingOnRoute(planPiece(put(disc, steps, 'setting'), {}), 'part-1', steps)).toEqual([])
})

describe('the faces of a part', () => {
  it('are its two sides and its edges, with the areas of its blank (πd²/4, πd·t)', () => {
    const plan = planPiece(disc, {})
    const [part] = surfacedParts(disc, plan)
    const d = plan.parts[0]?.result?.answer.value ?? 0
    const area = Object.fromEntries(part?.faces.map(({ name, areaMm2 }) => [name, areaMm2]) ?? [])
    expect(Math.abs((area.Face ?? 0) / ((Math.PI * d ** 2) / 4) - 1)).toBeLessThan(2e-3)
    expect(area.Back).toBe(area.Face)
    expect(Math.abs((area.Edges ?? 0) / (Math.PI * d * 0.9) - 1)).toBeLessThan(2e-3)
  })
  it('of a ring are its outside, its inside and its edges', () => {
    const ring = onePart({ form: 'ring-band', inputVersion: 1, input: { ...copper, insideDiameterMm: 18, widthMm: 5 } })
    const [part] = surfacedParts(ring, planPiece(ring, {}))
    expect(part?.faces.map(({ name }) => name)).toEqual(['Outside', 'Inside', 'Edges'])
  })
  it('say what the route still does to them', () => {
    const coloured = withWork(dome, 'part-1', { surface: surfaceChoices.parse({ faces: [], patina: { agent: 'sulphurated-potash' } }) })
    const early = putOnRoute(coloured, planPiece(coloured, {}), 'part-1', [{ op: 'patina-dip', params: {} }], {
      before: 'forming',
      idFor: (op) => `${op}+new`,
    })
    const [part] = surfacedParts(early, planPiece(early, {}))
    expect(part?.later).toContain('hammer')
  })
})

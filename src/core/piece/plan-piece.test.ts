import { describe, expect, it } from 'vitest'
import { ORDER_SCHOOLS } from '../assembly/schools'
import { FORMS, findForm } from '../forms/registry'
import { KITS } from '../kits/registry'
import { findOperation } from '../operations/catalogue'
import { checkRoute, isLegal } from '../rules/check'
import { onePart, type PieceDesign } from './design'
import { formRoute } from './form-route'
import { designFromKit } from './from-kit'
import { type PiecePlan, planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'

type Schools = Readonly<Record<string, string>>

const broken = ({ assembly }: PiecePlan) =>
  checkRoute(assembly)
    .findings.filter(({ level }) => level !== 'note')
    .map(({ rule, steps, message }) => `${rule} at ${steps.map((i) => assembly.steps[i]?.id).join(', ')}: ${message}`)

const ANSWERS: readonly Schools[] = [
  {},
  ...ORDER_SCHOOLS.flatMap(({ id, answers }) => Object.keys(answers).map((answer) => ({ [id]: answer }))),
]

function exampleDesign(form: (typeof FORMS)[number]): PieceDesign {
  return onePart({ form: form.id, inputVersion: form.inputVersion, input: { ...form.example }, bought: 'annealed' })
}

describe.each(FORMS.map((form) => [form.id, form] as const))('a piece of one %s', (_, form) => {
  const design = exampleDesign(form)
  const plan = planPiece(design)

  it('breaks no rule, whatever method is chosen', () => {
    expect(plan.issues).toEqual([])
    for (const schools of ANSWERS) expect(broken(planPiece({ ...design, schools })), JSON.stringify(schools)).toEqual([])
  })

  it('knows the size of every step that takes one, and uses all its form knows', () => {
    const result = plan.parts[0]?.result
    const routes = ANSWERS.map((schools) => planPiece({ ...design, schools }).steps)
    for (const { op, at = '', params, target } of result?.sizedSteps ?? []) {
      // what is bent shut may be sawn through the overlap, corrected, or bent on a bender; not every one of these is
      if (op === 'bend-on-bender' || at === 'overlap' || at === 'correct') continue
      const uses = routes
        .flat()
        .filter((step) => step.op === op && Object.entries(params).some(([name, value]) => step.params[name] === value))

      const found = uses.length > 0 || routes.flat().some((step) => step.op === op && step.target?.label === target?.label)
      expect(found, `${op}@${at}`).toBe(true)
    }
    for (const step of plan.steps)
      expect(findOperation(step.op)?.read(step.params).ok, `${step.op} ${JSON.stringify(step.params)}`).toBe(true)
  })

  it('has a state of its metal after every step, and no step asks for an anneal that its own route has just made', () => {
    const temper = routeTemper(plan.assembly, metalsOf(plan))
    expect(temper.steps).toHaveLength(plan.steps.length)
    for (const i of temper.annealBefore) expect(plan.steps.slice(Math.max(0, i - 2), i).map(({ op }) => op)).not.toContain('anneal')
  })

  it('is the route that its result gives', () => {
    const result = plan.parts[0]?.result
    if (!result) throw new Error('no result')
    expect(formRoute(result).map(({ op }) => op)).toEqual(plan.steps.map(({ op }) => op))
  })
})

describe.each(KITS.map((kit) => [kit.id, kit] as const))('a piece from the kit %s', (_, kit) => {
  const plan = planPiece(designFromKit(kit))
  it('opens with its sizes open, its route legal and each step known by a name of its own', () => {
    expect(broken(plan)).toEqual([])
    expect(plan.faults).toEqual([])
    expect(plan.misfits).toEqual([])
    expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length)
  })
  it('stays legal when every part has a size', () => {
    const design = designFromKit(kit)
    const parts = design.parts.map((part) => ({ ...part, input: { ...findForm(part.form)?.example } }))
    const sized = planPiece({ ...design, parts })
    expect(sized.issues.filter(({ path }) => path !== 'form')).toEqual([])
    expect(isLegal(checkRoute(sized.assembly)), broken(sized).join('\n')).toBe(true)
  })
})

it('the hole that a rivet goes through is drilled to the rivet’s own size', () => {
  const kit = KITS.find(({ id }) => id === 'wrapped-ring-tube-rivet')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const tube = { tubeMm: 2.4, thicknessMm: 0.3, alloy: 'sterling-925', upperMm: 1, lowerMm: 1, holeMm: 2.45 }
  const plan = planPiece({ ...open, parts: open.parts.map((part) => (part.id === 'tube' ? { ...part, input: tube } : part)) })
  const drills = plan.steps.filter(({ op, on }) => op === 'drill' && on.some(({ thing }) => thing === 'band'))
  expect(drills.length).toBeGreaterThan(0)
  for (const { params } of drills) expect(params.diameterMm).toBe(2.45)
})

it('the leather of a buckle is cut by what its frame knows of the strap', () => {
  const kit = KITS.find(({ id }) => id === 'buckle-double-d')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const sizes = {
    alloy: 'yellow-brass-c260',
    thicknessMm: 2,
    strapMm: 31,
    windowMm: 12,
    tongueMm: 2,
    strap: 'with',
    slotMm: 17,
    holeCount: 6,
    holePitchMm: 21,
    leatherMm: 2.5,
  }
  const parts = open.parts.map((part) => (part.id === 'frame' ? { ...part, input: { ...part.input, ...sizes } } : part))
  const { steps } = planPiece({ ...open, parts })
  const paramsOf = (op: string) => steps.find((step) => step.op === op)?.params
  expect(paramsOf('punch-slot')).toMatchObject({ slotMm: 17, holeMm: 2.3 })
  expect(paramsOf('punch-size-holes')).toMatchObject({ holes: 6, pitchMm: 21 })
  expect(paramsOf('make-loop')).toMatchObject({ insideMm: 31.5, highMm: 5.5 })
})

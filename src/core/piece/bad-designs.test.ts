import { describe, expect, it } from 'vitest'
import { checkRoute } from '../rules/check'
import { type DesignJoint, onePart, type PieceDesign } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'
import { standingPiece } from './standing'
import { strandsOf } from './strands'
import { torchBook } from './torch'

const DISC = { diameterMm: 24, alloy: 'copper-c110', thicknessMm: 1 }
const part = (id: string, input: Record<string, unknown> = DISC) => ({
  id,
  name: id,
  form: 'disc',
  inputVersion: 1,
  input,
  bought: 'annealed' as const,
})
const joint = (id: string, ...things: readonly string[]): DesignJoint => ({
  id,
  kind: 'lap',
  members: things.map((thing) => ({ thing, place: 'back' })),
})
const two: PieceDesign = { parts: [part('a'), part('b')], others: [], joints: [joint('j', 'a', 'b')], keep: [], schools: {} }

/** A plan that everything on its pages can be made of. */
function opened(design: PieceDesign) {
  const plan = planPiece(design)
  routeTemper(plan.assembly, metalsOf(plan))
  strandsOf(plan.assembly)
  standingPiece(plan, design)
  torchBook(plan, { tools: [], torchW: 150, flux: 'borax' })
  checkRoute(plan.assembly)
  return plan
}

const own = (op: string, thing: string) => ({
  removed: [],
  changed: [],
  placed: [{ id: `${op}+x`, after: null, before: null, own: { op, on: [{ thing }], params: { odd: true } } }],
})

describe('a piece that is wrong as data is explained, keeps what it holds, and opens', () => {
  it('a joint to a part that is not there', () => {
    const { faults, parts } = opened({ ...two, joints: [joint('j', 'a', 'gone')] })
    expect(faults.map(({ message }) => message).join()).toContain('joint "j" is to "gone", which is not there')
    expect(parts.every(({ result }) => result)).toBe(true)
  })
  it('a joint at a place that its part does not have is drawn at a plain one', () => {
    const design = {
      ...two,
      joints: [
        {
          ...joint('j', 'a', 'b'),
          members: [
            { thing: 'a', place: 'nose' },
            { thing: 'b', place: 'face' },
          ],
        },
      ],
    }
    expect(standingPiece(opened(design), design).undrawn).toEqual([])
  })
  it('a joint that joins nothing, and a piece that joins itself in a ring', () => {
    expect(opened({ ...two, joints: [joint('j')] }).faults[0]?.message).toContain('joins nothing')
    const ring = { ...two, joints: [joint('j', 'a', 'b'), joint('k', 'b', 'a')] }
    expect(
      opened(ring)
        .faults.map(({ message }) => message)
        .join(),
    ).toContain('the same places as "j"')
  })
  it('sizes bound in a circle, with the path of the circle', () => {
    const { issues, ok } = opened({
      ...two,
      parts: [part('a', { ...DISC, diameterMm: '= b.diameterMm' }), part('b', { ...DISC, diameterMm: '= a.diameterMm + 1' })],
    })
    expect(ok).toBe(false)
    expect(issues.map(({ message }) => message).join()).toMatch(
      /circle: .*a\.diameterMm → b\.diameterMm → a\.diameterMm|b\.diameterMm → a\.diameterMm → b\.diameterMm/,
    )
  })
  it('a step on nothing that is there, and an operation that this version does not know, stay on the route', () => {
    const gone = opened({ ...two, route: own('saw', 'gone') })
    expect(gone.faults.map(({ message }) => message).join()).toContain('is done to "gone", which is not there')
    const unknown = opened({ ...two, route: own('enchant', 'a') })
    expect(unknown.steps[0]?.op).toBe('enchant')
    expect(unknown.faults.map(({ message }) => message).join()).toContain('"enchant" is not an operation')
  })
  it('a form that this version does not know, and a kit that is gone', () => {
    const { parts } = opened({ ...two, parts: [part('a'), { ...part('b'), form: 'horseshoe' }] })
    expect(parts[1]?.issues[0]?.message).toContain('"horseshoe" is not in this version')
    expect(opened({ ...two, kit: 'no-such-kit' }).steps.length).toBeGreaterThan(0)
  })
  it('two parts of one name', () =>
    expect(
      opened({ ...two, parts: [part('a'), part('a')] })
        .faults.map(({ message }) => message)
        .join(),
    ).toContain('"a" comes twice'))
  it('an answer to a question of order that is none', () => {
    const { faults } = opened({ ...onePart(part('a')), schools: { S15: 'Z' } })
    expect(faults[0]?.message).toContain('"Z" was given')
  })
})

import type { AssemblyJoint } from '../../assembly/assembly'
import { SOLDERS } from '../../metals/solders'
import { figureOf } from '../../tables/figures'
import { formatPlain } from '../../units/format'
import { heatOf, solderOf } from '../act'
import type { Act } from '../acted'
import type { Breach, Check, Watch } from '../breach'
import { attachedTo } from '../links'
import type { FlowClause, Level } from '../row'
import { chosenBy, readSelection } from '../selection'
import { thingsOf, type World } from '../world'
import type { Soldered, Walked } from './walked'

/** A later solder flows this many degrees lower; less is a warning, and under the least a stop. */
export const WORKING_GAP_C = figureOf('solder-gap', {})
export const LEAST_GAP_C = figureOf('solder-gap-least', {})

/** Earlier joints that a heat reaches: those of the same subassembly that are not held and not made in this step itself. */
export function reachedBy(world: World, act: Act, { soldered }: Pick<Walked, 'soldered'>): Soldered[] {
  if (soldered.length === 0) return []
  const things = attachedTo(world, act.things)
  const held = act.step.held ?? []
  const now = new Set(act.joints.map((joint) => joint.id))
  return soldered.filter(({ joint, index }) => {
    const made = world.joints.get(joint)
    return made && index !== act.index && !now.has(joint) && !held.includes(joint) && thingsOf(made).some((thing) => things.has(thing))
  })
}

function levelOf(act: Act, earlier: Soldered, heatC: number): Level {
  const { liquidusC, solidusC } = SOLDERS[earlier.solder]
  if (act.op.heatC !== 'flow') return heatC > solidusC ? 'stop' : 'off'
  const gap = liquidusC - heatC
  return gap >= WORKING_GAP_C ? 'off' : gap >= LEAST_GAP_C ? 'warn' : 'stop'
}

/** Watches that a heat does not open earlier seams. */
export function watchFlow(clauses: readonly FlowClause[]): Watch {
  const read = clauses.map(({ earlier, of }, clause) => ({ roles: earlier?.split('|'), clause, selection: readSelection(of) }))
  return (world, act) => {
    const heatC = heatOf(act)
    if (heatC === undefined) return []
    const here = read.filter(({ selection }) => chosenBy(world, act, selection))
    return here.map(
      ({ roles, clause }): Check =>
        (now, walked) =>
          reachedBy(now, act, walked).flatMap((earlier): Breach[] => {
            const level = roles && !roles.includes(earlier.role ?? '') ? 'off' : levelOf(act, earlier, heatC)
            if (level === 'off') return []
            const detail = () => wordsOf(act, act.joints[0], earlier, heatC)
            return [{ clause, other: earlier.index, on: [earlier.joint], level, detail }]
          }),
    )
  }
}

function wordsOf(act: Act, joint: AssemblyJoint | undefined, earlier: Soldered, heatC: number): string {
  const { title, liquidusC, solidusC } = SOLDERS[earlier.solder]
  if (act.op.heatC !== 'flow')
    return `The heat is ${formatPlain(heatC, 0)} °C, and ${title} begins to melt at ${formatPlain(solidusC, 0)} °C.`
  const gap = liquidusC - heatC
  return `${SOLDERS[solderOf(act, joint)].title} flows at ${formatPlain(heatC, 0)} °C, ${formatPlain(Math.abs(gap), 0)} degrees ${gap >= 0 ? 'under' : 'over'} ${title} of joint "${earlier.joint}"; ${WORKING_GAP_C} or more under it are wanted.`
}

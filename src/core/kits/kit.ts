import type { Assembly, AssemblyJoint, AssemblyOther, AssemblyPart } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { writtenRoute } from './notation'

/** A kind of piece, from parts to the last step, with its sizes open. Kits are data: they use only what a smith could build by hand. */
export interface Kit {
  readonly id: string
  readonly title: string
  readonly parts: readonly AssemblyPart[]
  readonly others: readonly AssemblyOther[]
  readonly joints: readonly AssemblyJoint[]
  /** Sizes said once: by part and field, the other size it is bound to. */
  readonly bound?: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** Answers that this kind of piece sets of its own. */
  readonly schools: Readonly<Record<string, string>>
  /** The route, as `writtenRoute` reads it. */
  readonly steps: string
}

/** A member written as `bezel.foot`. */
export function member(text: string): AssemblyJoint['members'][number] {
  const [thing = '', place] = text.split('.')
  return place ? { thing, place } : { thing }
}

/** The assembly of a kit under the methods chosen; the usual answers, and the kit’s own, where nothing was chosen. */
export function assemblyOf(kit: Kit, chosen: Readonly<Record<string, string>> = {}): Assembly {
  const schools = schoolsWith({ ...kit.schools, ...chosen })
  return { parts: kit.parts, others: kit.others, joints: kit.joints, schools, steps: writtenRoute(kit.steps, schools) }
}

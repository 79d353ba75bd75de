import { type JointKind, OTHER_KINDS, type OtherKind, type Ref } from '../assembly/assembly'
import { findForm } from '../forms/registry'
import type { DesignJoint, DesignOther, DesignPart, PieceDesign } from './design'

/** An id that the design does not have yet: the word, or the word with a number. */
function freeId({ parts, others, joints }: PieceDesign, word: string): string {
  const taken = new Set(['piece', ...[...parts, ...others, ...joints].map(({ id }) => id)])
  const numbered = Array.from({ length: taken.size + 2 }, (_, i) => (i === 0 ? word : `${word}-${i + 1}`))
  return numbered.find((id) => !taken.has(id)) ?? word
}

/** The design with one more part, its sizes still open, in the metal of the part before. */
export function addPart(design: PieceDesign, formId: string): { readonly design: PieceDesign; readonly id: string } {
  const form = findForm(formId)
  const id = freeId(design, formId)
  const alloy = design.parts.at(-1)?.input.alloy
  const part: DesignPart = {
    id,
    name: form?.title ?? formId,
    form: formId,
    inputVersion: form?.inputVersion ?? 1,
    input: alloy === undefined ? {} : { alloy },
    bought: 'unknown',
  }
  return { design: { ...design, parts: [...design.parts, part] }, id }
}

/** The design with one more thing that is no blank. */
export function addOther(design: PieceDesign, kind: OtherKind): { readonly design: PieceDesign; readonly id: string } {
  const id = freeId(design, kind)
  const words = OTHER_KINDS[kind]
  const other: DesignOther = { id, kind, name: words.charAt(0).toUpperCase() + words.slice(1) }
  return { design: { ...design, others: [...design.others, other] }, id }
}

/** The design with one more joint: the first member goes on the others. */
export function addJoint(
  design: PieceDesign,
  kind: JointKind,
  members: readonly Ref[],
): { readonly design: PieceDesign; readonly id: string } {
  const [small, target] = members
  const id = freeId(design, target && target.thing !== small?.thing ? `${small?.thing}-on-${target.thing}` : `${small?.thing}-${kind}`)
  const joint: DesignJoint = { id, kind, members }
  return { design: { ...design, joints: [...design.joints, joint] }, id }
}

/** Where a thing is used by a joint, the joint goes with it. */
export function removeThing(design: PieceDesign, id: string): PieceDesign {
  const isLeft = (item: { readonly id: string }) => item.id !== id
  return {
    ...design,
    parts: design.parts.filter(isLeft),
    others: design.others.filter(isLeft),
    joints: design.joints.filter(({ id: joint, members }) => joint !== id && members.every(({ thing }) => thing !== id)),
  }
}

/** Something of a thing that is changed; what is undefined is said no more. */
type Change<T> = { readonly [K in Exclude<keyof T, 'id'>]?: T[K] | undefined }

const changed = <T extends { readonly id: string }>(items: readonly T[], id: string, change: Change<T>): T[] =>
  items.map((item) => (item.id === id ? { ...item, ...change } : item))

/** A part with something of it changed. */
export function changePart(design: PieceDesign, id: string, change: Change<DesignPart>): PieceDesign {
  return { ...design, parts: changed(design.parts, id, change) }
}

/** What goes on the parts, with something of it changed. */
export function changeOther(design: PieceDesign, id: string, change: Change<DesignOther>): PieceDesign {
  return { ...design, others: changed(design.others, id, change) }
}

/** A joint with something of it changed. */
export function changeJoint(design: PieceDesign, id: string, change: Change<DesignJoint>): PieceDesign {
  return { ...design, joints: changed(design.joints, id, change) }
}

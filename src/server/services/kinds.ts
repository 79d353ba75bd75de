import { KIT_PREFIX } from '@/core/entries'
import { FORMS, familyOf, findForm } from '@/core/forms'
import { KITS } from '@/core/kits'
import { designFromKit, onePart, planPiece } from '@/core/piece'
import type { Repositories } from '../db/repositories'
import { type PieceThumb, thumbOf } from './piece-thumb'

/** A kind of piece as it is picked: by its picture, its words and how often it was made. */
export interface KindView {
  readonly id: string
  readonly title: string
  readonly family: string
  readonly thumb: PieceThumb | null
  readonly made: number
}

type Drawn = Omit<KindView, 'made'>

let drawn: Promise<readonly Drawn[]> | undefined

/** Each form by its example, and each kit by its parts; whoever else asks meanwhile is answered in between. */
async function drawAll(): Promise<readonly Drawn[]> {
  const all: Drawn[] = []
  for (const { id, title, inputVersion, example } of FORMS) {
    const plan = planPiece(onePart({ form: id, inputVersion, input: { ...example } }))
    all.push({ id, title, family: familyOf(id), thumb: thumbOf(plan) })
    await new Promise(setImmediate)
  }
  for (const kit of KITS) {
    const sized = designFromKit(kit)
    const parts = sized.parts.map((part) => ({ ...part, input: { ...findForm(part.form)?.example } }))
    all.push({ id: `${KIT_PREFIX}${kit.id}`, title: kit.title, family: 'Whole pieces', thumb: thumbOf(planPiece({ ...sized, parts })) })
    await new Promise(setImmediate)
  }
  return all
}

/** Every kind of piece, the most made first, the others family by family. */
export async function kindsOf({ jobs }: Pick<Repositories, 'jobs'>): Promise<KindView[]> {
  // drawn once as long as the program runs
  drawn ??= drawAll()
  const counts = new Map(jobs.formCounts().map(({ form, n }) => [form, n]))
  return (await drawn).map((kind) => ({ ...kind, made: counts.get(kind.id) ?? 0 })).sort((a, b) => b.made - a.made)
}

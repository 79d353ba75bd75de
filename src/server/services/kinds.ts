import { FORMS, familyOf } from '@/core/forms'
import { BOUGHT_TEMPERS } from '@/core/metals'
import type { Repositories } from '../db/repositories'
import { planDesign } from './piece-plan'
import { type PieceThumb, thumbOf } from './piece-thumb'

/** A kind of piece as it is picked: by its picture, its words and how often it was made. */
export interface KindView {
  readonly id: string
  readonly title: string
  readonly family: string
  readonly thumb: PieceThumb | null
  readonly made: number
}

let drawn: readonly Omit<KindView, 'made'>[] | undefined

/** Each form by its example, drawn once as long as the program runs. */
function allDrawn(): readonly Omit<KindView, 'made'>[] {
  const bought = Object.keys(BOUGHT_TEMPERS)[0] as keyof typeof BOUGHT_TEMPERS
  drawn ??= FORMS.map(({ id, title, inputVersion, example }) => {
    const plan = planDesign({ parts: [{ id: 'part-1', form: id, inputVersion, input: { ...example } }], bought }, {})
    return { id, title, family: familyOf(id), thumb: thumbOf(plan) }
  })
  return drawn
}

/** Every kind of piece, the most made first, the others family by family. */
export function kindsOf({ jobs }: Pick<Repositories, 'jobs'>): KindView[] {
  const counts = new Map(jobs.formCounts().map(({ form, n }) => [form, n]))
  return allDrawn()
    .map((kind) => ({ ...kind, made: counts.get(kind.id) ?? 0 }))
    .sort((a, b) => b.made - a.made)
}

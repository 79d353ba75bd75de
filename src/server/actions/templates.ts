import * as z from 'zod'
import { outlineField } from '@/core/layout'
import type { Repositories } from '../db/repositories'
import { ownAction, refuse } from './action'

const name = z.string().trim().min(1, { error: 'Name: what do you call it?' }).max(80, { error: 'Name: at most 80 characters' })
const GONE = 'This template is no longer there.'

/** Keeps an outline as a template. */
export const keepTemplate = ownAction({
  input: z.object({ name, from: z.string().max(200).default(''), outer: outlineField, holes: z.array(outlineField).max(200).default([]) }),
  against: 'new',
  run: ({ templates }, template) => ({ ok: true as const, id: templates.add(template) }),
})

/** A template as it stands; what is done to it cannot be laid beside that. */
function against({ templates }: Repositories, id: number) {
  const template = templates.one(id)
  return template && { revision: template.revision, lines: null }
}

/** Counts how often a template was made. */
export const countTemplate = ownAction({
  input: z.object({ id: z.number(), change: z.int().min(-1000).max(1000) }),
  against: (to, { id }) => against(to, id),
  run: ({ templates, transaction }, { id, change }) =>
    transaction(() => {
      if (!templates.count(id, change)) return refuse(GONE, [], 'gone')
      const { made = 0, revision = 1 } = templates.one(id) ?? {}
      return { ok: true as const, made, revision }
    }),
})

/** Takes a template out of the library. */
export const dropTemplate = ownAction({
  input: z.object({ id: z.number() }),
  against: (to, { id }) => against(to, id),
  run: ({ templates }, { id }) => (templates.remove(id) ? { ok: true as const } : refuse(GONE, [], 'gone')),
})

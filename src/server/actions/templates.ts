import * as z from 'zod'
import { outlineField } from '@/core/layout'
import type { Repositories } from '../db/repositories'
import { linesOf, ownAction, refuse } from './action'

const name = z.string().trim().min(1, { error: 'Name: what do you call it?' }).max(80, { error: 'Name: at most 80 characters' })
const GONE = 'This template is no longer there.'

/** Keeps an outline as a template. */
export const keepTemplate = ownAction({
  input: z.object({ name, from: z.string().max(200).default(''), outer: outlineField, holes: z.array(outlineField).max(200).default([]) }),
  against: 'new',
  run: ({ templates }, template) => ({ ok: true as const, id: templates.add(template) }),
})

function against({ templates }: Repositories, id: number, yours: { readonly name: string; readonly made: number }) {
  const template = templates.one(id)
  return template && { revision: template.revision, lines: linesOf({ name: 'Name', made: 'Made, times' }, template, yours) }
}

/** Renames a template, or counts how often it was made. */
export const changeTemplate = ownAction({
  input: z.object({ id: z.number(), name, made: z.int().min(0).max(100_000) }),
  against: (to, { id, ...yours }) => against(to, id, yours),
  run: ({ templates }, { id, ...change }) =>
    templates.change(id, change) ? { ok: true as const, revision: templates.one(id)?.revision ?? 1 } : refuse(GONE, [], 'gone'),
})

/** Takes a template out of the library. */
export const dropTemplate = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ templates }, { id }) => {
    const template = templates.one(id)
    return template && { revision: template.revision, lines: null }
  },
  run: ({ templates }, { id }) => (templates.remove(id) ? { ok: true as const } : refuse(GONE, [], 'gone')),
})

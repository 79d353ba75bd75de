import { banglePlain } from './bangles/bangle-plain/form'
import { disc } from './discs/disc/form'
import { dome } from './discs/dome/form'
import { ringBand } from './rings/ring-band/form'

/** Every form. A new one is one folder and one entry here; screens, doors, docs and shared tests follow. */
export const FORMS = [ringBand, banglePlain, disc, dome] as const

export type FormId = (typeof FORMS)[number]['id']
export const FORM_IDS: readonly FormId[] = FORMS.map((form) => form.id)

/** The form of this id, or undefined. */
export function findForm(id: string): (typeof FORMS)[number] | undefined {
  return FORMS.find((form) => form.id === id)
}

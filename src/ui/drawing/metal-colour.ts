import type { FormResult } from '@/core/forms'
import { ALLOYS, findAlloy } from '@/core/metals'

/** The colour a result is drawn in: that of its metal. */
export function metalColour({ blanks }: Pick<FormResult, 'blanks'>) {
  return ALLOYS[blanks[0]?.alloy ?? 'sterling-925'].colour
}

/** The colour of a metal that is named in stored data; one that is not known is drawn as silver. */
export function colourOf(alloy: string) {
  return (findAlloy(alloy) ?? ALLOYS['sterling-925']).colour
}

/** What is set in metal: a stone or its like. */
export const SET_COLOUR = { face: '#b7a5b8', edge: '#64495f' } as const

/** A part of which the metal is not known yet. */
export const PLAIN_METAL = { face: '#c3ccd0', edge: '#4f5c60' } as const

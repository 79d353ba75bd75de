import * as z from 'zod'
import { ALLOY_IDS } from '../metals'
import { PATINA_IDS } from '../surface'

/** A colour that came out, for the swatch book, as it is typed. */
export const swatchEntry = z.object({
  alloy: z.enum(ALLOY_IDS, { error: 'Metal: choose one' }),
  agent: z.enum(PATINA_IDS, { error: 'Colour: choose one' }),
  recipe: z
    .string()
    .trim()
    .min(1, { error: 'How it was made: a few words' })
    .max(200, { error: 'How it was made: at most 200 characters' }),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i, { error: 'Colour: as #rrggbb' }),
})

import type { Light } from '@/core/forming'
import { PALETTE } from './palette'

/** The colour of how near metal is to its limit; the words beside it say the same. */
export const LIGHT_COLOUR: Readonly<Record<Light, string>> = { green: PALETTE.verdigris, amber: PALETTE.ochre, red: PALETTE.fire }

import { PALETTE } from '../theme/palette'

/** A field at the bench: to be read and hit from the stool. */
export const BENCH_FIELD = {
  height: 56,
  bgcolor: '#0c1516',
  color: '#ffffff',
  border: `1px solid ${PALETTE.petrolMuted}`,
  borderRadius: '4px',
  px: 1.5,
} as const

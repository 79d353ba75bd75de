import type { FormResult } from '@/core/forms'
import { ALLOYS } from '@/core/metals'

/** The colour a result is drawn in: that of its metal. */
export function metalColour({ blanks }: Pick<FormResult, 'blanks'>) {
  return ALLOYS[blanks[0]?.alloy ?? 'sterling-925'].colour
}

import { RESOURCES } from '../operations'
import type { LowerBound } from './bound'

/** What no order can make shorter, in words. */
export function boundWords(by: LowerBound['by']): string {
  if (by === 'longest tray') return 'one tray alone takes that long from its first step to its last'
  if (by === 'hands') return 'your hands have that much to do'
  return `the ${RESOURCES[by]} is in use that long`
}

/** A share as days of a hundred; never none nor all of them, which two hundred tried days cannot tell. */
const ofHundred = (share: number) => Math.min(99, Math.max(1, Math.round(100 * share)))

/** How a due day stands, `due` in words. */
export function dueWords(due: string, share: number): string {
  return share < 0.01 ? `due ${due}, which it cannot keep` : `due ${due}, in time on ${ofHundred(share)} days of a hundred`
}

/** What may be said to a customer of a share of days in which it is done in time: never more than the days tried can tell. */
export function promiseWords(share: number): string {
  const percent = ofHundred(share)
  if (share >= 0.95) return `You can promise it: done in time on ${percent} days of a hundred like this.`
  if (share >= 0.8) return `Likely: done in time on ${percent} days of a hundred like this. Leave a day in hand if you promise it.`
  if (share >= 0.4) return `Do not promise it: done in time on only ${percent} days of a hundred like this.`
  return `No: done in time on ${share < 0.01 ? 'less than one day' : `${percent} days`} of a hundred like this.`
}

import { goDown } from '../../numerics/lbfgs'
import type { Places } from './body'
import type { Contacts } from './contact'
import type { Lot } from './stand'

/** How far all are moved down at once; where nothing but discs is moved, to the end. */
const DOWN = { most: 120, alike: { steps: 5, share: 0.03 } } as const
const DOWN_DISCS = { most: 400 } as const

export const isDiscs = ({ bodies }: Lot) => bodies.every(({ radiusMm }) => radiusMm !== undefined)

/** After so many steps a move of all is given up where more is left than so many times the least known, and so much of a blank’s size. */
const HOPELESS = [
  { steps: 5, times: 3, ofSize: 2 },
  { steps: 10, times: 2, ofSize: 0.6 },
  { steps: 20, times: 1.2, ofSize: 0.2 },
] as const

/** Whether a move of all will not come to less than was known before. */
function isHopeless(step: number, value: number, least: number, sizeMm2: number): boolean {
  return HOPELESS.some(({ steps, times, ofSize }) => step === steps && value > times * least + ofSize * sizeMm2)
}

/** What a move of all is held against: the least that was left before, and the size of a blank. */
interface Known {
  readonly least: number
  readonly sizeMm2: number
}

/** Moves all blanks at once as far out of one another’s way as they go, or until that is hopeless; what is left of it, mm², none where nothing counts. */
export function moveApart(
  lot: Lot,
  contacts: Contacts,
  at: Places,
  { untilMm, shouldStop, known }: { untilMm: number; shouldStop: () => boolean; known?: Known },
): number {
  let isClear = false
  const isOver = (step: number, value: number) => {
    isClear = contacts.deepestMm <= untilMm
    return isClear || (known !== undefined && isHopeless(step, value, known.least, known.sizeMm2)) || shouldStop()
  }
  const left = goDown(contacts.value, at, { ...(isDiscs(lot) ? DOWN_DISCS : DOWN), until: 0, shouldStop: isOver })
  return isClear ? 0 : left
}

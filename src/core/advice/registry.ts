import { abrasiveAdviser } from './abrasive'
import { bladeAdviser } from './blade'
import { centreAdviser } from './centre'
import { colourRunAdviser } from './colour-run'
import { compareAdviser } from './compare'
import { drillAdviser } from './drill'
import { mandrelAdviser } from './mandrel'
import { solderAdviser } from './solder'
import { stampLineAdviser } from './stamp-line'
import { strikeAdviser } from './strike'
import { textureAdviser } from './texture'

/** Every adviser. A new one is one file and one entry here, and appears on screen, in HTTP and on the command line. */
export const ADVISERS = [
  drillAdviser,
  bladeAdviser,
  abrasiveAdviser,
  solderAdviser,
  strikeAdviser,
  mandrelAdviser,
  stampLineAdviser,
  centreAdviser,
  colourRunAdviser,
  textureAdviser,
  compareAdviser,
] as const
export type AdviserId = (typeof ADVISERS)[number]['id']
export const ADVISER_IDS: readonly AdviserId[] = ADVISERS.map((adviser) => adviser.id)

/** The adviser of this id, or undefined. */
export function findAdviser(id: string) {
  return ADVISERS.find((adviser) => adviser.id === id)
}

import type { Kit } from './kit'
import { buckleDoubleD } from './plates/buckle-double-d'
import { etchedPlate } from './plates/etched-plate'
import { ferruleTwoPart } from './plates/ferrule-two-part'
import { foldStar } from './plates/fold-star'
import { rivetedStack } from './plates/riveted-stack'
import { stampedDisc } from './plates/stamped-disc'
import { stampingQuartered } from './plates/stamping-quartered'
import { sulphideDisc } from './plates/sulphide-disc'
import { verdigrisPlate } from './plates/verdigris-plate'
import { beadCluster } from './settings/bead-cluster'
import { bezelPendantBalls } from './settings/bezel-pendant-balls'
import { bezelSweatedRing } from './settings/bezel-sweated-ring'
import { tabPendant } from './settings/tab-pendant'
import { bangleHollowStamped } from './worn/bangle-hollow-stamped'
import { chainStripLinks } from './worn/chain-strip-links'
import { domeNotchedEarrings } from './worn/dome-notched-earrings'
import { fusedDustEarrings } from './worn/fused-dust-earrings'
import { mask } from './worn/mask'
import { ringBender } from './worn/ring-bender'
import { stackingRingsApplied } from './worn/stacking-rings-applied'
import { wrappedRingTubeRivet } from './worn/wrapped-ring-tube-rivet'

/** Every kind of piece that a new one can start from. A new kit is one file and one entry here. */
export const KITS: readonly Kit[] = [
  ferruleTwoPart,
  stampingQuartered,
  buckleDoubleD,
  bangleHollowStamped,
  domeNotchedEarrings,
  chainStripLinks,
  fusedDustEarrings,
  verdigrisPlate,
  sulphideDisc,
  tabPendant,
  mask,
  beadCluster,
  etchedPlate,
  wrappedRingTubeRivet,
  stampedDisc,
  bezelSweatedRing,
  rivetedStack,
  stackingRingsApplied,
  bezelPendantBalls,
  foldStar,
  ringBender,
]

/** The kit of an id; undefined where there is none. */
export function findKit(id: string | undefined): Kit | undefined {
  return KITS.find((kit) => kit.id === id)
}

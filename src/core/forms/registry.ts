import { bangleHollow } from './bangles/bangle-hollow/form'
import { bangleOval } from './bangles/bangle-oval/form'
import { banglePlain } from './bangles/bangle-plain/form'
import { cuff } from './bangles/cuff/form'
import { bead } from './discs/bead/form'
import { beadRow } from './discs/bead-row/form'
import { disc } from './discs/disc/form'
import { dome } from './discs/dome/form'
import { domeCup } from './discs/dome-cup/form'
import { domeNotched } from './discs/dome-notched/form'
import { lentil } from './discs/lentil/form'
import { washer } from './discs/washer/form'
import { appliedShape } from './plates/applied-shape/form'
import { bentBar } from './plates/bent-bar/form'
import { buckle } from './plates/buckle/form'
import { dieBlank } from './plates/die-blank/form'
import { foldStar } from './plates/fold-star/form'
import { foldedBox } from './plates/folded-box/form'
import { holeRow } from './plates/hole-row/form'
import { maskBlank } from './plates/mask-blank/form'
import { plate } from './plates/plate/form'
import { sectors } from './plates/sectors/form'
import { ringBand } from './rings/ring-band/form'
import { ringResize } from './rings/ring-resize/form'
import { ringStack } from './rings/ring-stack/form'
import { ringTaper } from './rings/ring-taper/form'
import { ringWire } from './rings/ring-wire/form'
import { ringWrap } from './rings/ring-wrap/form'
import { rivetBall } from './rivets/rivet-ball/form'
import { rivetHidden } from './rivets/rivet-hidden/form'
import { rivetTube } from './rivets/rivet-tube/form'
import { rivetWire } from './rivets/rivet-wire/form'
import { backPlate } from './settings/back-plate/form'
import { bail } from './settings/bail/form'
import { bezel } from './settings/bezel/form'
import { bezelGallery } from './settings/bezel-gallery/form'
import { tabSetting } from './settings/tab-setting/form'
import { strapLoop } from './strips/strap-loop/form'
import { stripLinks } from './strips/strip-links/form'
import { boxTube } from './tubes/box-tube/form'
import { cone } from './tubes/cone/form'
import { ferruleD } from './tubes/ferrule-d/form'
import { tubeOval } from './tubes/tube-oval/form'
import { tubeRound } from './tubes/tube-round/form'
import { ball } from './wire/ball/form'
import { bindingWire } from './wire/binding-wire/form'
import { borderWire } from './wire/border-wire/form'
import { earWire } from './wire/ear-wire/form'
import { hook } from './wire/hook/form'
import { jumpOval } from './wire/jump-oval/form'
import { jumpRings } from './wire/jump-rings/form'
import { wireTongue } from './wire/wire-tongue/form'

/** Every form, family by family. A new one is one folder and one entry here; screens, interfaces, docs and shared tests follow. */
const FAMILIES = {
  rings: [ringBand, ringStack, ringTaper, ringWire, ringWrap, ringResize],
  bangles: [banglePlain, bangleHollow, bangleOval, cuff],
  discs: [disc, dome, domeCup, domeNotched, bead, lentil, beadRow, washer],
  tubes: [tubeRound, tubeOval, cone, boxTube, ferruleD],
  settings: [bezel, bezelGallery, backPlate, tabSetting, bail],
  rivets: [rivetWire, rivetTube, rivetHidden, rivetBall],
  wire: [jumpRings, jumpOval, ball, earWire, hook, borderWire, bindingWire, wireTongue],
  strips: [stripLinks, strapLoop],
  plates: [plate, buckle, bentBar, sectors, holeRow, foldedBox, foldStar, dieBlank, appliedShape, maskBlank],
} as const

export const FORMS = [
  ...FAMILIES.rings,
  ...FAMILIES.bangles,
  ...FAMILIES.discs,
  ...FAMILIES.tubes,
  ...FAMILIES.settings,
  ...FAMILIES.rivets,
  ...FAMILIES.wire,
  ...FAMILIES.strips,
  ...FAMILIES.plates,
] as const

/** What each family is called. */
const FAMILY_TITLES: Readonly<Record<keyof typeof FAMILIES, string>> = {
  rings: 'Rings',
  bangles: 'Bangles and cuffs',
  discs: 'Discs, domes and beads',
  tubes: 'Tubes and cones',
  settings: 'Settings',
  rivets: 'Rivets',
  wire: 'Wire and findings',
  strips: 'Links and straps',
  plates: 'Plates, boxes and dies',
}

export type FormId = (typeof FORMS)[number]['id']
export const FORM_IDS: readonly FormId[] = FORMS.map((form) => form.id)

/** The form of this id, or undefined. */
export function findForm(id: string): (typeof FORMS)[number] | undefined {
  return FORMS.find((form) => form.id === id)
}

/** The family of a form, by the name that a smith would look under. */
export function familyOf(id: string): string {
  const families = Object.keys(FAMILIES) as (keyof typeof FAMILIES)[]
  const family = families.find((name) => FAMILIES[name].some((form) => form.id === id))
  return family === undefined ? '' : FAMILY_TITLES[family]
}

import type { Confidence } from '../../sources/sources'

/** What a stone, shell or other setting material takes, and what it does not. */
export interface StoneRisk {
  readonly id: string
  readonly name: string
  /** Scratch hardness by Mohs' scale, the lower end of its range. */
  readonly mohs: number
  /** How it breaks: cleaves clean, is tough, or in between. */
  readonly breaks: 'cleaves' | 'brittle' | 'fair' | 'tough'
  /** The heat it stands at the bench, °C; a sudden change is worse than the heat. */
  readonly standsC: number
  readonly acid: 'no' | 'short' | 'yes'
  readonly wet: 'no' | 'short' | 'yes'
  readonly confidence: Confidence
  readonly says?: readonly string[]
}

/** The most delicate there is: what is not known is treated like it. */
export const MOST_DELICATE: Omit<StoneRisk, 'id' | 'name'> = {
  mohs: 2,
  breaks: 'cleaves',
  standsC: 60,
  acid: 'no',
  wet: 'no',
  confidence: 'low',
}

type Line = readonly [
  id: string,
  name: string,
  mohs: number,
  breaks: StoneRisk['breaks'],
  standsC: number,
  acid: StoneRisk['acid'],
  wet: StoneRisk['wet'],
  confidence: Confidence,
]

/** Forty common setting materials. Hardness from mineral handbooks (from memory, high to medium); heat is what is safe at the bench, low. */
const LINES: readonly Line[] = [
  ['diamond', 'Diamond', 10, 'cleaves', 600, 'yes', 'yes', 'medium'],
  ['ruby', 'Ruby, sapphire (corundum)', 9, 'fair', 400, 'short', 'yes', 'medium'],
  ['chrysoberyl', 'Chrysoberyl', 8.5, 'fair', 250, 'yes', 'yes', 'low'],
  ['spinel', 'Spinel', 8, 'fair', 250, 'short', 'yes', 'low'],
  ['topaz', 'Topaz', 8, 'cleaves', 80, 'short', 'yes', 'medium'],
  ['aquamarine', 'Aquamarine, beryl', 7.5, 'brittle', 100, 'yes', 'yes', 'medium'],
  ['emerald', 'Emerald, oiled', 7.5, 'brittle', 60, 'no', 'short', 'high'],
  ['garnet', 'Garnet', 6.5, 'fair', 150, 'short', 'yes', 'medium'],
  ['tourmaline', 'Tourmaline', 7, 'brittle', 80, 'yes', 'yes', 'medium'],
  ['zircon', 'Zircon', 7, 'brittle', 80, 'yes', 'yes', 'medium'],
  ['rock-crystal', 'Rock crystal, smoky quartz', 7, 'fair', 120, 'yes', 'yes', 'medium'],
  ['amethyst', 'Amethyst', 7, 'fair', 100, 'yes', 'yes', 'medium'],
  ['citrine', 'Citrine', 7, 'fair', 100, 'yes', 'yes', 'medium'],
  ['rose-quartz', 'Rose quartz', 7, 'fair', 100, 'yes', 'yes', 'medium'],
  ['agate', 'Agate, onyx, carnelian', 6.5, 'tough', 100, 'short', 'yes', 'medium'],
  ['chrysoprase', 'Chrysoprase', 6.5, 'fair', 60, 'no', 'short', 'low'],
  ['jasper', 'Jasper', 6.5, 'tough', 100, 'short', 'yes', 'medium'],
  ['peridot', 'Peridot', 6.5, 'brittle', 80, 'no', 'yes', 'high'],
  ['jadeite', 'Jadeite', 6.5, 'tough', 80, 'short', 'yes', 'medium'],
  ['nephrite', 'Nephrite', 6, 'tough', 80, 'short', 'yes', 'medium'],
  ['tanzanite', 'Tanzanite', 6, 'cleaves', 60, 'no', 'yes', 'medium'],
  ['moonstone', 'Moonstone, labradorite', 6, 'cleaves', 60, 'no', 'yes', 'high'],
  ['sunstone', 'Sunstone, amazonite', 6, 'cleaves', 60, 'no', 'yes', 'medium'],
  ['haematite', 'Haematite', 5.5, 'brittle', 100, 'no', 'yes', 'medium'],
  ['opal', 'Opal, solid', 5.5, 'brittle', 60, 'no', 'short', 'high'],
  ['opal-doublet', 'Opal doublet, triplet', 5.5, 'brittle', 40, 'no', 'no', 'high'],
  ['obsidian', 'Obsidian', 5, 'brittle', 60, 'yes', 'yes', 'medium'],
  ['glass', 'Glass', 5, 'brittle', 60, 'yes', 'yes', 'medium'],
  ['turquoise', 'Turquoise', 5, 'brittle', 60, 'no', 'no', 'high'],
  ['lapis', 'Lapis lazuli', 5, 'fair', 60, 'no', 'short', 'high'],
  ['sodalite', 'Sodalite', 5.5, 'brittle', 60, 'no', 'short', 'medium'],
  ['apatite', 'Apatite', 5, 'brittle', 60, 'no', 'yes', 'medium'],
  ['fluorite', 'Fluorite', 4, 'cleaves', 60, 'no', 'yes', 'high'],
  ['rhodochrosite', 'Rhodochrosite', 3.5, 'cleaves', 60, 'no', 'short', 'high'],
  ['malachite', 'Malachite', 3.5, 'brittle', 60, 'no', 'no', 'high'],
  ['serpentine', 'Serpentine', 3, 'fair', 60, 'no', 'short', 'medium'],
  ['calcite', 'Calcite, marble', 3, 'cleaves', 60, 'no', 'yes', 'high'],
  ['pearl', 'Pearl, mother of pearl', 2.5, 'fair', 50, 'no', 'short', 'high'],
  ['coral', 'Coral', 3, 'fair', 50, 'no', 'short', 'high'],
  ['shell', 'Shell', 3, 'fair', 60, 'no', 'short', 'medium'],
  ['jet', 'Jet', 2.5, 'fair', 50, 'no', 'short', 'medium'],
  ['amber', 'Amber, copal', 2, 'brittle', 50, 'no', 'short', 'high'],
  ['bone', 'Bone, horn, antler', 2.5, 'tough', 60, 'no', 'short', 'medium'],
  ['wood', 'Wood', 2, 'fair', 60, 'no', 'no', 'medium'],
  ['enamel', 'Enamel on metal', 5, 'brittle', 60, 'no', 'yes', 'medium'],
]

export const STONE_RISKS: readonly StoneRisk[] = LINES.map(([id, name, mohs, breaks, standsC, acid, wet, confidence]) => ({
  id,
  name,
  mohs,
  breaks,
  standsC,
  acid,
  wet,
  confidence,
}))

/** What a stone takes, by its id or name; one that is not known is treated as the most delicate. */
export function stoneRisk(said: string): Omit<StoneRisk, 'id' | 'name'> {
  const word = said.trim().toLowerCase()
  return STONE_RISKS.find(({ id, name }) => id === word || name.toLowerCase() === word) ?? MOST_DELICATE
}

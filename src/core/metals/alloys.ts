import type { Confidence } from '../sources/sources'

export const ALLOY_IDS = [
  'copper-c110',
  'red-brass-c230',
  'yellow-brass-c260',
  'nickel-silver-c752',
  'fine-silver',
  'sterling-925',
] as const
export type AlloyId = (typeof ALLOY_IDS)[number]

/** σ(ε) = s0 + Q(1 − e^(−bε)) + Hε, MPa; `c` turns flow stress into Vickers hardness. */
export interface FlowCurve {
  readonly s0MPa: number
  readonly qMPa: number
  readonly b: number
  readonly hMPa: number
  readonly c: number
  readonly confidence: Confidence
}

export interface Alloy {
  readonly id: AlloyId
  readonly title: string
  readonly composition: string
  readonly densityGPerCm3: number
  /** From memory of the CRC handbook: silver and copper high, alloys medium. */
  readonly specificHeatJPerKgK: number
  readonly solidusC: number
  readonly liquidusC: number
  readonly elasticModulusGPa: number
  readonly poissonRatio: number
  /** Exponent of σ = K·εⁿ over strains of 0.02 to 0.5 (source: temper-fit); for closed forms that ask for one, never for strength. */
  readonly hardeningExponent: number
  readonly annealLowC: number
  readonly annealHighC: number
  readonly torchTargetC: number
  readonly annealCue: string
  /** Whether it glows before it is too hot. */
  readonly glows: boolean
  readonly quench: string
  readonly hazards: readonly string[]
  readonly flow: FlowCurve
  /** Cold reduction between anneals that sound edges take, as a share of thickness (bench practice, low). */
  readonly reductionLimitFraction: number
  /** Half softening in 1 h after 50 % rolling, and its activation energy (estimates, low). */
  readonly halfSofteningC: number
  readonly softeningKJPerMol: number
  /** Colours for drawings: the metal by day, its edge, and at the dark bench. */
  readonly colour: { readonly face: string; readonly edge: string; readonly bench: string }
}

const ZINC_FUME = 'Zinc fume when overheated (zinc boils at 907 °C): ventilate, do not melt.'
const SEASON_CRACKING =
  'Season cracking: formed and left stressed it can split in ammonia or damp. Relieve at 250–275 °C for half an hour after the last forming.'

/** Wrought sheet. Every number from memory of the handbooks named in the sources; grades travel with the fits. */
export const ALLOYS: Readonly<Record<AlloyId, Alloy>> = {
  'copper-c110': {
    id: 'copper-c110',
    title: 'Copper',
    composition: 'Cu 99.9',
    densityGPerCm3: 8.94,
    specificHeatJPerKgK: 385,
    solidusC: 1065,
    liquidusC: 1083,
    elasticModulusGPa: 117,
    poissonRatio: 0.34,
    hardeningExponent: 0.41,
    annealLowC: 375,
    annealHighC: 650,
    torchTargetC: 525,
    annealCue: 'first glow to dull red',
    glows: true,
    quench: 'any; water knocks the scale off',
    hazards: ['A long reducing flame above 400 °C makes this copper brittle: keep the flame neutral.'],
    flow: { s0MPa: 65.8, qMPa: 264.1, b: 5.867, hMPa: 48.2, c: 2.8, confidence: 'medium' },
    reductionLimitFraction: 0.7,
    halfSofteningC: 215,
    softeningKJPerMol: 110,
    colour: { face: '#e3b49a', edge: '#9a4f31', bench: '#d98a63' },
  },
  'red-brass-c230': {
    id: 'red-brass-c230',
    title: 'Red brass',
    composition: 'Cu 85 Zn 15',
    densityGPerCm3: 8.75,
    specificHeatJPerKgK: 380,
    solidusC: 990,
    liquidusC: 1025,
    elasticModulusGPa: 117,
    poissonRatio: 0.34,
    hardeningExponent: 0.49,
    annealLowC: 425,
    annealHighC: 725,
    torchTargetC: 550,
    annealCue: 'faint to dull red',
    glows: true,
    quench: 'air or water; never from bright red',
    hazards: [ZINC_FUME],
    flow: { s0MPa: 80.1, qMPa: 452.4, b: 3.029, hMPa: 61.2, c: 2.8, confidence: 'medium' },
    reductionLimitFraction: 0.65,
    halfSofteningC: 300,
    softeningKJPerMol: 130,
    colour: { face: '#e6c79a', edge: '#8f6020', bench: '#d99b45' },
  },
  'yellow-brass-c260': {
    id: 'yellow-brass-c260',
    title: 'Yellow brass',
    composition: 'Cu 70 Zn 30',
    densityGPerCm3: 8.53,
    specificHeatJPerKgK: 375,
    solidusC: 915,
    liquidusC: 955,
    elasticModulusGPa: 110,
    poissonRatio: 0.34,
    hardeningExponent: 0.44,
    annealLowC: 425,
    annealHighC: 750,
    torchTargetC: 550,
    annealCue: 'faint red (it glows late against its own yellow flame)',
    glows: true,
    quench: 'air until black, then water: a fast quench of stressed brass can crack it',
    hazards: [ZINC_FUME, SEASON_CRACKING],
    flow: { s0MPa: 101.1, qMPa: 375.5, b: 4.754, hMPa: 156.3, c: 2.8, confidence: 'medium' },
    reductionLimitFraction: 0.55,
    halfSofteningC: 300,
    softeningKJPerMol: 140,
    colour: { face: '#ebdcaa', edge: '#8a7118', bench: '#d8bb52' },
  },
  'nickel-silver-c752': {
    id: 'nickel-silver-c752',
    title: 'Nickel silver',
    composition: 'Cu 65 Ni 18 Zn 17',
    densityGPerCm3: 8.73,
    specificHeatJPerKgK: 377,
    solidusC: 1070,
    liquidusC: 1110,
    elasticModulusGPa: 125,
    poissonRatio: 0.33,
    hardeningExponent: 0.27,
    annealLowC: 600,
    annealHighC: 825,
    torchTargetC: 675,
    annealCue: 'dull cherry',
    glows: true,
    quench: 'air cool: quick heating or quenching can crack it',
    hazards: [ZINC_FUME, SEASON_CRACKING, 'Nickel: not against the skin of a person with nickel allergy.'],
    flow: { s0MPa: 162.4, qMPa: 312.2, b: 11.661, hMPa: 205.5, c: 2.6, confidence: 'medium' },
    reductionLimitFraction: 0.45,
    halfSofteningC: 430,
    softeningKJPerMol: 165,
    colour: { face: '#d9dcd2', edge: '#5f6660', bench: '#b9c1b2' },
  },
  'fine-silver': {
    id: 'fine-silver',
    title: 'Fine silver',
    composition: 'Ag 99.9',
    densityGPerCm3: 10.49,
    specificHeatJPerKgK: 235,
    solidusC: 961.8,
    liquidusC: 961.8,
    elasticModulusGPa: 76,
    poissonRatio: 0.37,
    hardeningExponent: 0.45,
    annealLowC: 200,
    annealHighC: 650,
    torchTargetC: 360,
    annealCue: 'it is soft long before it glows, and a red glow is far too hot',
    glows: false,
    quench: 'air or water',
    hazards: [],
    flow: { s0MPa: 53.8, qMPa: 248.7, b: 2.259, hMPa: 29, c: 2.9, confidence: 'low' },
    reductionLimitFraction: 0.85,
    halfSofteningC: 150,
    softeningKJPerMol: 90,
    colour: { face: '#dbe1e5', edge: '#5f6a73', bench: '#dfe6ea' },
  },
  'sterling-925': {
    id: 'sterling-925',
    title: 'Sterling silver',
    composition: 'Ag 92.5 Cu 7.5',
    densityGPerCm3: 10.36,
    specificHeatJPerKgK: 245,
    solidusC: 802,
    liquidusC: 893,
    elasticModulusGPa: 76,
    poissonRatio: 0.37,
    hardeningExponent: 0.35,
    annealLowC: 600,
    annealHighC: 700,
    torchTargetC: 635,
    annealCue: 'just visible to dull red',
    glows: true,
    quench: 'water as soon as the red has gone',
    hazards: ['Firescale grows with each long anneal: use flux or a fire-coat and count the anneals.'],
    flow: { s0MPa: 122, qMPa: 296.3, b: 3.191, hMPa: 57.5, c: 3.15, confidence: 'low' },
    reductionLimitFraction: 0.55,
    halfSofteningC: 330,
    softeningKJPerMol: 120,
    colour: { face: '#cfd7dd', edge: '#4f5c66', bench: '#ced9de' },
  },
}

/** Labels for a choice of alloy. */
export const ALLOY_TITLES = {
  'copper-c110': 'Copper',
  'red-brass-c230': 'Red brass',
  'yellow-brass-c260': 'Yellow brass',
  'nickel-silver-c752': 'Nickel silver',
  'fine-silver': 'Fine silver',
  'sterling-925': 'Sterling silver',
} as const satisfies Record<AlloyId, string>

/** Mass in g of a volume in mm³. `massOf('sterling-925', 1857.31)` is 19.24. */
export function massOf(alloyId: AlloyId, volumeMm3: number): number {
  return (ALLOYS[alloyId].densityGPerCm3 * volumeMm3) / 1000
}

import type { Confidence } from '../sources/sources'

export const ALLOY_IDS = [
  'copper-c110',
  'red-brass-c230',
  'yellow-brass-c260',
  'nickel-silver-c752',
  'fine-silver',
  'sterling-925',
  'ge-sterling',
  'bronze-c220',
  'phosphor-bronze-c510',
  'gold-filled',
  'fine-gold',
  'gold-14k',
  'aluminium-1100',
  'aluminium-3003',
  'mild-steel-1008',
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

/** What may be done to a metal: a thin wear layer is not sanded, some take no solder, no etch or do not fuse. */
export interface Behaviour {
  readonly finish: 'solid' | 'thin-layer'
  readonly solders: boolean
  readonly etches: boolean
  readonly fuses: boolean
}

/** Hardening by age: the heat of solution, the heat it is aged at, and what it gains in an hour of it, HV. */
export interface Ageing {
  readonly solutionC: number
  readonly ageC: number
  readonly gainHv: number
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
  /** Whether a quench may crack it, so that it cools slowly whatever the workshop does with others. */
  readonly coolsSlowly?: true
  /** Vickers hardness it is left above its softest when it cools slowly (precious-metal literature, medium). */
  readonly slowCoolGainHv?: number
  /** Why it is cooled as it is. */
  readonly cooling: string
  /** What a heat does to its surface. */
  readonly oxide: string
  readonly behaviour: Behaviour
  readonly hazards: readonly string[]
  /** Formed and left stressed it may split in ammonia or damp; `border` where it seldom does (handbook, medium). */
  readonly seasonCracks?: 'prone' | 'border'
  readonly flow: FlowCurve
  /** Cold reduction between anneals that sound edges take, as a share of thickness (bench practice, low). */
  readonly reductionLimitFraction: number
  /** Half softening in 1 h after 50 % rolling, and its activation energy (estimates, low). */
  readonly halfSofteningC: number
  readonly softeningKJPerMol: number
  /** How far the crown of a dome thins under this smith's hand, against what is calculated; 1 where it is not said. */
  readonly crownThinning?: number
  /** How sure its figures are where they were learned: standard deviations, of the logarithm, and of half softening in °C. */
  readonly learned?: {
    /** Of its curve, by the hardness of annealed metal. */
    readonly curve?: number | undefined
    readonly crownThinning?: number | undefined
    readonly halfSofteningC?: number | undefined
    readonly modulus?: number | undefined
  }
  /** Where an hour of low heat hardens it again after a solution anneal (precious-metal literature, low). */
  readonly ageing?: Ageing
  /** Alloys of its name differ too much: nothing of its hardness is worked out before the maker's figure is there. */
  readonly needsMakersSheet?: boolean
  /** For practice pieces only. */
  readonly isPractice?: boolean
  /** Colours for drawings: the metal by day, its edge, and at the dark bench. */
  readonly colour: { readonly face: string; readonly edge: string; readonly bench: string }
}

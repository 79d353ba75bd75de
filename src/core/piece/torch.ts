import type { Assembly } from '../assembly/assembly'
import { type Cue, coolDownOf, cuesOf, type WorkshopFlux } from '../joints/cues'
import { type TorchHeat, type TorchPlan, torchPlan, withSolders } from '../joints/torch-plan'
import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDER_IDS, SOLDERS, type SolderId } from '../metals/solders'
import { findOperation } from '../operations/catalogue'
import { type OwnTool, usable } from '../toolwall/tools'
import type { PiecePlan } from './plan-piece'
import { nameOfThing } from './words'

/** Solders as they are sold by silver content: where the wall has none. */
const USUAL: readonly SolderId[] = ['hard-75', 'medium-70', 'easy-65', 'extra-easy-56']
/** An own solder is the one of the table that flows within so many degrees of it. */
const SAME_WITHIN_C = 12

/** Which solders of the table hang on the wall, by where they flow; the usual four where it has none. */
export function ownedSolders(tools: readonly OwnTool[]): readonly SolderId[] {
  const own = usable(tools, 'solder').flatMap(({ size }) => {
    const near = [...SOLDER_IDS].sort((a, b) => Math.abs(SOLDERS[a].liquidusC - size) - Math.abs(SOLDERS[b].liquidusC - size))[0]
    return near && Math.abs(SOLDERS[near].liquidusC - size) <= SAME_WITHIN_C ? [near] : []
  })
  return own.length > 0 ? [...new Set(own)] : USUAL
}

export interface TorchBench {
  readonly tools: readonly OwnTool[]
  readonly torchW: number
  readonly flux: WorkshopFlux
}

/** One heat as it stands on its card. */
export interface HeatCard extends TorchHeat {
  readonly title: string
  /** What is joined, by name. */
  readonly what: string
  readonly solders: readonly SolderId[]
  readonly metals: readonly { readonly alloy: AlloyId; readonly title: string; readonly solidusC: number }[]
  readonly cues: readonly Cue[]
  readonly coolDown: string
  /** Joints made before that the heat reaches and nothing holds. */
  readonly reached: readonly string[]
  readonly caution: string
}

export interface TorchBook {
  readonly heats: readonly HeatCard[]
  readonly ladder: TorchPlan['ladder']
  readonly change: string | null
}

function cardOf(plan: PiecePlan, assembly: Assembly, heat: TorchHeat, flux: WorkshopFlux): HeatCard {
  const step = assembly.steps[heat.step]
  const name = (id: string) => nameOfThing(plan, assembly.others, id)
  const members = heat.joints.flatMap(({ joint }) => assembly.joints.find(({ id }) => id === joint)?.members ?? [])
  const solders = [...new Set(heat.joints.flatMap(({ solder }) => solder ?? []))]
  const alloys = [...new Set(heat.joints.flatMap(({ metals }) => metals.map(({ alloy }) => alloy)))]
  const [highest] = [...solders].sort((a, b) => SOLDERS[b].liquidusC - SOLDERS[a].liquidusC)
  const operation = findOperation(step?.op ?? '')
  return {
    ...heat,
    title: operation?.title ?? step?.op ?? '',
    what: [...new Set(members.map(({ thing }) => name(thing)))].join(' and '),
    solders,
    metals: alloys.map((alloy) => ({ alloy, title: ALLOYS[alloy].title, solidusC: ALLOYS[alloy].solidusC })),
    cues: highest ? cuesOf(highest, alloys, flux) : [],
    coolDown: coolDownOf(assembly.schools.S05, alloys),
    reached: [...new Set(heat.joints.flatMap(({ reaches }) => reaches.map(({ joint }) => joint)))],
    caution: operation?.caution ?? '',
  }
}

/** The heats of a piece in the order of its route, each as a card for the torch side, with the solder ladder they make. */
export function torchBook(plan: PiecePlan, { tools, torchW, flux }: TorchBench): TorchBook {
  const owned = ownedSolders(tools)
  const assembly = withSolders(plan.assembly, owned)
  const { heats, ladder, change } = torchPlan(assembly, { owned, torchW })
  return { heats: heats.map((heat) => cardOf(plan, assembly, heat, flux)), ladder, change }
}

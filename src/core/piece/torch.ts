import type { Assembly } from '../assembly/assembly'
import { type Cue, coolDownOf, cuesOf, type WorkshopFlux } from '../joints/cues'
import { flameWords } from '../joints/heat-plan'
import { type TorchHeat, type TorchPlan, torchPlan, withSolders } from '../joints/torch-plan'
import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { findOperation } from '../operations/catalogue'
import type { OwnTool } from '../toolwall/tools'
import { thingNames } from './names'
import { ownedSolders } from './owned-solders'
import type { PiecePlan } from './plan-piece'
import { namedThings } from './words'

export interface TorchBench {
  readonly tools: readonly OwnTool[]
  readonly torchW: number
  readonly flux: WorkshopFlux
}

/** One heat as it stands on its card: its parts by name, and among its warnings the joints made before that it reaches and nothing holds. */
export interface HeatCard extends TorchHeat {
  readonly title: string
  /** What is joined, by name. */
  readonly what: string
  readonly solders: readonly SolderId[]
  readonly metals: readonly { readonly alloy: AlloyId; readonly title: string; readonly solidusC: number }[]
  readonly cues: readonly Cue[]
  readonly coolDown: string
  /** How everything of the piece is called. */
  readonly names: ReadonlyMap<string, string>
  readonly caution: string
}

export interface TorchBook {
  readonly heats: readonly HeatCard[]
  readonly ladder: TorchPlan['ladder']
  readonly change: string | null
}

function cardOf(plan: PiecePlan, assembly: Assembly, heat: TorchHeat, flux: WorkshopFlux): HeatCard {
  const step = assembly.steps[heat.step]
  const names = thingNames(namedThings({ parts: plan.parts, assembly }))
  const name = (id: string) => names.get(id) ?? id
  const joints = heat.joints.flatMap(({ joint }) => assembly.joints.find(({ id }) => id === joint) ?? [])
  const members = joints.flatMap(({ members: own }) => own)
  const isCupOnPlate = joints.some(({ kind, members: own }) => kind === 'tee' && own.some(({ place }) => place === 'foot'))
  const solders = [...new Set(heat.joints.flatMap(({ solder }) => solder ?? []))]
  const alloys = [...new Set(heat.joints.flatMap(({ metals }) => metals.map(({ alloy }) => alloy)))]
  const [highest] = [...solders].sort((a, b) => SOLDERS[b].liquidusC - SOLDERS[a].liquidusC)
  const operation = findOperation(step?.op ?? '')
  const flame = flameWords(heat.plan, name)
  const reached = [...new Set(heat.joints.flatMap(({ reaches }) => reaches.map(({ joint }) => name(joint))))]
  const held = reached.length > 0 ? [`This heat reaches ${reached.join(', ')}: hold it with wire, or keep the flame off.`] : []
  return {
    ...heat,
    plan: { ...heat.plan, say: flame.say, warnings: [...flame.warnings, ...held] },
    title: operation?.title ?? step?.op ?? '',
    what: [...new Set(members.map(({ thing }) => name(thing)))].join(' and '),
    solders,
    metals: alloys.map((alloy) => ({ alloy, title: ALLOYS[alloy].title, solidusC: ALLOYS[alloy].solidusC })),
    cues: highest ? cuesOf(highest, alloys, flux) : [],
    coolDown: coolDownOf({ answer: assembly.schools.S05, metals: alloys, isCupOnPlate }),
    names,
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

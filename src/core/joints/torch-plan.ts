import { type Assembly, type AssemblyJoint, type AssemblyPart, HOT_JOINTS } from '../assembly/assembly'
import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { namedSolder } from '../rules/act'
import { recent } from '../working/recent'
import { type SolderAmount, solderAmount, USUAL_GAP_MM } from './amounts'
import { type HeatedPart, type HeatPlan, planHeat, USUAL_TORCH_W } from './heat-plan'
import { type JointHeat, jointHeats } from './heats'
import { chooseLadder, type Ladder, type LadderWorth, type Rung } from './ladder'

/** One joint of a heat: its solder, how far that flows under what the heat reaches, and how much of it the seam takes. */
export interface TorchJoint {
  readonly joint: string
  readonly solder: SolderId | null
  readonly flowC: number | null
  /** Degrees under each earlier joint that the heat reaches; `strictC` from the solidus of the earlier to the flow of this one. */
  readonly reaches: readonly { readonly joint: string; readonly gapC: number; readonly strictC: number }[]
  /** Degrees between the flow of the solder and where each metal in the heat begins to melt. */
  readonly metals: readonly { readonly alloy: AlloyId; readonly solidusC: number; readonly marginC: number }[]
  /** Null where the length of the seam is not known. */
  readonly amount: SolderAmount | null
}

export interface TorchHeat {
  readonly step: number
  readonly joints: readonly TorchJoint[]
  readonly plan: HeatPlan
}

export interface TorchPlan {
  readonly heats: readonly TorchHeat[]
  readonly ladder: LadderWorth
  /** What makes it possible, where no solder owned does. */
  readonly change: string | null
}

export interface TorchBench {
  readonly owned: readonly SolderId[]
  readonly torchW?: number | undefined
}

/** Sides of a seam that get a fillet: where faces lie on one another, only the rim. */
const FILLETS: Readonly<Partial<Record<AssemblyJoint['kind'], 0 | 1 | 2>>> = {
  seam: 0,
  butt: 0,
  lap: 1,
  sweat: 1,
  tee: 2,
  point: 1,
  row: 1,
}

function depthOf(assembly: Assembly, joint: AssemblyJoint): number | undefined {
  const known = joint.members.flatMap(({ thing }) => assembly.parts.find(({ id }) => id === thing)?.thicknessMm ?? [])
  return known.length > 0 ? Math.min(...known) : undefined
}

function amountOf(assembly: Assembly, joint: AssemblyJoint): SolderAmount | null {
  const depthMm = depthOf(assembly, joint)
  if (joint.lengthMm === undefined || depthMm === undefined) return null
  return solderAmount({ lengthMm: joint.lengthMm, gapMm: joint.gapMm ?? USUAL_GAP_MM, depthMm, fillets: FILLETS[joint.kind] ?? 1 })
}

function heated({ id, alloy, massG, thicknessMm }: AssemblyPart): HeatedPart[] {
  return alloy && massG && thicknessMm ? [{ id, alloy, massG, thicknessMm }] : []
}

/** The two sides of a heat: the first member of its first joint, and everything else in it. */
function sidesOf(assembly: Assembly, { joints, things }: JointHeat): HeatedPart[][] {
  const small = joints[0]?.members[0]?.thing
  const parts = assembly.parts.filter(({ id }) => things.includes(id))
  return [parts.filter(({ id }) => id === small).flatMap(heated), parts.filter(({ id }) => id !== small).flatMap(heated)]
}

function torchJoint(assembly: Assembly, heat: JointHeat, joint: AssemblyJoint, chosen: ReadonlyMap<string, SolderId>): TorchJoint {
  const solder = chosen.get(joint.id) ?? null
  const flowC = solder ? SOLDERS[solder].liquidusC : null
  return {
    joint: joint.id,
    solder,
    flowC,
    reaches: heat.reaches.flatMap((earlier) => {
      const before = chosen.get(earlier)
      if (!before || flowC === null) return []
      return [{ joint: earlier, gapC: SOLDERS[before].liquidusC - flowC, strictC: SOLDERS[before].solidusC - flowC }]
    }),
    metals: heat.metals.map((alloy) => ({ alloy, solidusC: ALLOYS[alloy].solidusC, marginC: ALLOYS[alloy].solidusC - (flowC ?? 0) })),
    amount: solder ? amountOf(assembly, joint) : null,
  }
}

/** The nearest change that makes a ladder possible: a joint that is held while the later one is made. */
function changeFor(heats: readonly JointHeat[], stops: number): string | null {
  if (stops === 0) return null
  const last = heats.findLast(({ reaches }) => reaches.length > 0)
  const [joint] = last?.joints ?? []
  return last && joint
    ? `No solder that is owned flows low enough for joint "${joint.id}": hold ${last.reaches.map((id) => `"${id}"`).join(', ')} with wire, a jig or a barrier, make it in another order, or join it cold.`
    : 'No solder that is owned flows under where a metal in the heat begins to melt: fuse it or join it cold.'
}

function rungsOf(assembly: Assembly, heats: readonly JointHeat[]): Rung[] {
  return heats
    .filter(({ op }) => op === 'solder')
    .flatMap(({ step, joints, metals, reaches }) =>
      joints.map((joint) => ({ joint: joint.id, metals, reaches, solder: namedSolder(assembly.steps[step] ?? { params: {} }, joint) })),
    )
}

/** Ladders as they were chosen: most changes of a route leave its heats as they were. */
const LADDERS = recent<Ladder>(50)

const ladderOf = (rungs: readonly Rung[], owned: readonly SolderId[]) =>
  LADDERS(JSON.stringify([rungs, owned]), () => chooseLadder(rungs, owned))

/** The assembly with a solder for each joint that names none, chosen from those owned. */
export function withSolders(assembly: Assembly, owned: readonly SolderId[]): Assembly {
  if (assembly.joints.every(({ kind, solder }) => solder !== undefined || !HOT_JOINTS.includes(kind))) return assembly
  const rungs = rungsOf(assembly, jointHeats(assembly))
  if (rungs.every(({ solder }) => solder !== undefined)) return assembly
  const { solders } = ladderOf(rungs, owned)
  return {
    ...assembly,
    joints: assembly.joints.map((joint) => {
      const chosen = joint.solder ?? solders.get(joint.id)
      return chosen ? { ...joint, solder: chosen } : joint
    }),
  }
}

/** Solder, amounts and heat for each joint of an assembly, in the order of its route; joints without a solder get one from those owned. */
export function torchPlan(assembly: Assembly, { owned, torchW = USUAL_TORCH_W }: TorchBench): TorchPlan {
  const heats = jointHeats(assembly)
  const soldered = heats.filter(({ op }) => op === 'solder')
  const { solders, ...ladder } = ladderOf(rungsOf(assembly, heats), owned)
  return {
    ladder,
    change: changeFor(soldered, ladder.stops),
    heats: heats.map((heat) => {
      const joints = heat.joints.map((joint) => torchJoint(assembly, heat, joint, solders))
      const flowC = Math.max(0, ...joints.map((joint) => joint.flowC ?? 0))
      return { step: heat.step, joints, plan: planHeat(sidesOf(assembly, heat), flowC, torchW) }
    }),
  }
}

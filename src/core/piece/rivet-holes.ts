import type { Assembly, AssemblyStep } from '../assembly/assembly'
import type { FormResult } from '../forms/contract'

interface Sized {
  readonly id: string
  readonly result: FormResult | undefined
}

const isSeat = ({ on, params }: AssemblyStep) => params.for === 'seat' || (on[0]?.place ?? '').startsWith('seat')

/** The size a rivet asks of a hole or of its seat; undefined where its form says none. */
function askedBy({ result }: Sized, step: AssemblyStep): unknown {
  const place = isSeat(step) ? 'seat' : 'hole'
  return result?.sizedSteps.find(({ op, at }) => op === 'drill' && at === place)?.params.diameterMm
}

/** The rivets that go through what a step drills. */
function rivetsThrough({ joints }: Assembly, parts: readonly Sized[], { on }: AssemblyStep): Sized[] {
  const through = joints.filter(
    ({ kind, members }) => kind === 'rivet' && members.some(({ thing }) => on.some((ref) => ref.thing === thing)),
  )
  return parts.filter(({ id }) => through.some(({ members }) => members.some(({ thing }) => thing === id)))
}

/** The steps of a route with every hole that a rivet goes through drilled to the rivet's own size, where nothing else was said. */
export function withRivetHoles(assembly: Assembly, parts: readonly Sized[], steps: readonly AssemblyStep[]): AssemblyStep[] {
  return steps.map((step) => {
    if (step.op !== 'drill' || step.params.diameterMm !== undefined) return step
    const [diameterMm] = rivetsThrough(assembly, parts, step).flatMap((rivet) => askedBy(rivet, step) ?? [])
    return diameterMm === undefined ? step : { ...step, params: { ...step.params, diameterMm } }
  })
}

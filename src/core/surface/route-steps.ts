import type { OperationId } from '../operations/catalogue'
import { DIPPED, GROWN, isSprayed, leavesWet } from './run-words'
import type { PatinaAsked } from './schema'

/** An operation of a colour run, and what it is to be. */
interface ColourOperation {
  readonly op: OperationId
  readonly params: Readonly<Record<string, unknown>>
}

const plain = (op: OperationId): ColourOperation => ({ op, params: {} })

/** The run itself: dips, sprays, growth over days, or heat. */
function runOf(asked: PatinaAsked): readonly ColourOperation[] {
  const { agent, runs } = asked
  const times = (name: string) => (runs === undefined ? {} : { [name]: runs })
  if (agent === 'heat-colour') return [plain('heat-colour')]
  if (GROWN.includes(agent)) return [{ op: 'verdigris', params: { agent, ...times('runs') } }]
  if (isSprayed(asked)) return [{ op: 'patina-spray', params: { agent, ...times('sprays') } }, plain('neutralise')]
  const dip: ColourOperation = { op: 'patina-dip', params: { agent, ...times('dips') } }
  return DIPPED.includes(agent) ? [dip, plain('neutralise')] : [dip]
}

/** The operations of a colour run on the route, from clean metal to sealed. */
export function colourSteps(asked: PatinaAsked): readonly ColourOperation[] {
  const { agent, relief, reliefIsWet, seal } = asked
  const isWet = leavesWet(agent)
  const how = isWet && reliefIsWet ? 'wet' : 'dry'
  const relieve: readonly ColourOperation[] =
    relief === 'none' ? [] : relief === 'tumble' ? [plain('tumble')] : [{ op: 'relieve', params: { how, by: relief } }]
  const dry = isWet ? [plain('dry')] : []
  return [
    plain('degrease'),
    ...runOf(asked),
    ...(how === 'wet' ? [...relieve, ...dry] : [...dry, ...relieve]),
    ...(seal === 'none' ? [] : [plain(seal)]),
  ]
}

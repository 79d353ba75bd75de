import type { Operation } from './contract'
import { drill, file, saw } from './cutting'
import { finish, pickle } from './finishing'
import { anneal, melt, solder } from './heat'
import { rivet, setStone } from './setting'
import { bend, dap, planish, press, roll, stamp, trueUp } from './shaping'

/** Every operation the route, the ribbon and the bench know. A new one is one definition and one entry here. */
export const OPERATIONS = [
  saw,
  file,
  drill,
  anneal,
  bend,
  dap,
  planish,
  trueUp,
  roll,
  stamp,
  press,
  solder,
  melt,
  pickle,
  rivet,
  setStone,
  finish,
] as const

export type OperationId = (typeof OPERATIONS)[number]['id']

const BY_ID: ReadonlyMap<string, Operation> = new Map(OPERATIONS.map((operation) => [operation.id, operation]))

/** The operation of this id, or undefined. */
export function findOperation(id: string): Operation | undefined {
  return BY_ID.get(id)
}

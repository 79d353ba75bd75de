import type { Operation } from './contract'
import { BATH } from './lists/bath'
import { BENDING } from './lists/bending'
import { CUTTING } from './lists/cutting'
import { ETCHING } from './lists/etching'
import { FILING } from './lists/filing'
import { FINISHING } from './lists/finishing'
import { HAMMERING } from './lists/hammering'
import { HEAT } from './lists/heat'
import { JOINING } from './lists/joining'
import { LEATHER } from './lists/leather'
import { MARKING } from './lists/marking'
import { PRESSING } from './lists/pressing'
import { SETTING } from './lists/setting'

/** Every operation the route, the ribbon and the bench know. A new one is one file and one entry in the list of its folder. */
export const OPERATIONS = [
  ...MARKING,
  ...CUTTING,
  ...FILING,
  ...BENDING,
  ...HAMMERING,
  ...PRESSING,
  ...HEAT,
  ...JOINING,
  ...BATH,
  ...ETCHING,
  ...SETTING,
  ...LEATHER,
  ...FINISHING,
] as const

export type OperationId = (typeof OPERATIONS)[number]['id']

const BY_ID: ReadonlyMap<string, Operation> = new Map(OPERATIONS.map((operation) => [operation.id, operation]))

/** The operation of this id, or undefined. */
export function findOperation(id: string): Operation | undefined {
  return BY_ID.get(id)
}

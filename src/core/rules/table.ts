import type { Rule } from './row'
import { CHEMISTRY_CHECKS } from './rows/chemistry'
import { FLAT_WORK_RULES } from './rows/flat-work'
import { FORMING_RULES } from './rows/forming'
import { HEAT_RULES } from './rows/heat'
import { JOINT_RULES } from './rows/joints'
import { MELTING_CHECKS } from './rows/melting'
import { RIVETING_RULES } from './rows/riveting'
import { SMALL_WORK_RULES } from './rows/small-work'
import { SURFACE_RULES } from './rows/surface'

/** Every rule of the order of work: a new one is one row. */
export const RULES: readonly Rule[] = [
  ...HEAT_RULES,
  ...JOINT_RULES,
  ...FORMING_RULES,
  ...FLAT_WORK_RULES,
  ...SMALL_WORK_RULES,
  ...RIVETING_RULES,
  ...SURFACE_RULES,
]

/** All that a route is checked for: the rules of order, and the checks of a heat and of chemistry beside them. */
export const CHECKED: readonly Rule[] = [...RULES, ...MELTING_CHECKS, ...CHEMISTRY_CHECKS]

const BY_ID: ReadonlyMap<string, Rule> = new Map(CHECKED.map((rule) => [rule.id, rule]))

/** The rule of this id, or undefined. */
export function findRule(id: string): Rule | undefined {
  return BY_ID.get(id)
}

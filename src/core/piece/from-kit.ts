import { findForm } from '../forms/registry'
import type { Kit } from '../kits/kit'
import type { PieceDesign } from './design'

/** A name as a smith would write it: the id with its hyphens gone. */
const nameOf = (id: string) => id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' ')

/** A piece started from a kit: its parts, joints and route, all sizes still open but those that follow from others. */
export function designFromKit(kit: Kit): PieceDesign {
  return {
    kit: kit.id,
    parts: kit.parts.map(({ id, form = '', bought = 'annealed', count }) => ({
      id,
      name: nameOf(id),
      form,
      inputVersion: findForm(form)?.inputVersion ?? 1,
      input: { ...kit.bound?.[id] },
      bought,
      ...(count ? { count } : {}),
    })),
    others: kit.others.map((other) => ({ ...other, name: nameOf(other.id) })),
    joints: kit.joints,
    keep: [],
    schools: {},
  }
}

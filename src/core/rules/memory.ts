import { solderOf } from './act'
import type { Act } from './acted'
import { minutesOf } from './minutes'
import type { Done, Soldered, Walked } from './shapes/walked'

/** A moment of a memory to which it can be taken back. */
export interface MemoryMark {
  readonly last: Done | undefined
  readonly soldered: number
  readonly nowMin: number
}

/** What a walk keeps of what was done, for the rules that look back. */
export class Memory implements Walked {
  last: Done | undefined
  readonly lastOf = new Map<string, Done>()
  readonly soldered: Soldered[] = []
  nowMin = 0

  mark(): MemoryMark {
    return { last: this.last, soldered: this.soldered.length, nowMin: this.nowMin }
  }

  takeBack({ last, soldered, nowMin }: MemoryMark): void {
    for (; this.last && this.last !== last; this.last = this.last.before) {
      const { act, sameBefore } = this.last
      if (sameBefore) this.lastOf.set(act.op.id, sameBefore)
      else this.lastOf.delete(act.op.id)
    }
    this.soldered.length = soldered
    this.nowMin = nowMin
  }

  keep(act: Act): void {
    const { handsOn, waiting } = minutesOf(act)
    const fromMin = this.nowMin
    this.nowMin += handsOn + waiting
    this.last = { act, fromMin, toMin: this.nowMin, before: this.last, sameBefore: this.lastOf.get(act.op.id) }
    this.lastOf.set(act.op.id, this.last)
    if (act.op.joins === 'hot' && act.op.heatC === 'flow')
      for (const joint of act.joints)
        this.soldered.push({ joint: joint.id, role: joint.role, solder: solderOf(act, joint), index: act.index })
  }
}

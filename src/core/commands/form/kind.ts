import * as z from 'zod'
import { ALLOY_IDS, type AlloyId } from '../../metals/alloys'
import { BOUGHT_TEMPER_IDS } from '../../metals/tempers'
import { readChecked } from '../../sizes/read-fields'
import { type OwnFigures, ownFiguresField } from '../../tables/figures'
import { isMetalKnown, sayMetalUnknown } from '../../tables/own-metal'
import { thicknessMm } from '../../units/fields'
import { sayIssue } from '../../units/plain-words'
import { bad, type DoorAnswer } from '../door-answer'

export const DEG = 180 / Math.PI

/** Fields of a metal, as each kind that has one takes them. */
export const metal = { alloy: z.enum(ALLOY_IDS), bought: z.enum(BOUGHT_TEMPER_IDS).default('annealed'), figures: ownFiguresField() }
export const thick = thicknessMm({ label: 'Thickness', min: 0.05, max: 12 })

export interface Fault {
  readonly path: string
  readonly message: string
}
/** What a kind answers: a body, or the field that it cannot work with. */
export type Ran = { readonly body: unknown } | { readonly fault: Fault }

/** Why nothing can be said of a metal; undefined where it is known, or where no metal is asked for. */
function unknownMetal({ alloy, figures }: { readonly alloy?: AlloyId; readonly figures?: OwnFigures }): Fault | undefined {
  return alloy && !isMetalKnown(alloy, figures ?? {}) ? { path: 'figures', message: sayMetalUnknown(alloy) } : undefined
}

/** A kind of forming closed over its schema, with one entrance for outside data. */
export function kindOf<S extends z.ZodObject>(schema: S, run: (input: z.output<S>) => Ran) {
  return {
    schema,
    answer: (raw: Readonly<Record<string, unknown>>): DoorAnswer => {
      const read = readChecked(schema, raw, { gaugeSystem: 'B&S' })
      if (!read.ok) return bad('bad-input', read.issues.map(sayIssue).join('; '), read.issues)
      const unknown = unknownMetal(read.data)
      const ran = unknown ? { fault: unknown } : run(read.data as z.output<S>)
      return 'fault' in ran ? bad('bad-input', sayIssue(ran.fault), [ran.fault]) : { ok: true, body: ran.body }
    },
  }
}

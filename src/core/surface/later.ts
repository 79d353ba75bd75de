import type { Check } from '../forms/contract'
import { capitalised } from '../units/format'
import type { Later, SurfaceInput } from './schema'

/** What a later step does to a colour, and to a finished face (common practice). */
const SPOILS: Readonly<Record<Later, { readonly colour?: string; readonly face?: string }>> = {
  solder: { colour: 'burns it off', face: 'scales it' },
  anneal: { colour: 'burns it off', face: 'scales it' },
  pickle: { colour: 'dissolves it', face: 'leaves it matt' },
  file: { colour: 'cuts through it', face: 'puts deep scratches back' },
  sand: { colour: 'rubs through it', face: 'begins the ladder anew' },
  hammer: { colour: 'breaks it', face: 'marks it' },
  stamp: { colour: 'breaks it', face: 'warps it' },
  polish: { colour: 'rubs it off' },
  tumble: { colour: 'thins it' },
  'set-stone': { face: 'may scratch it: burnish last' },
  hang: { face: 'chain and rings rub on it: hang them last of all' },
}

/** What a step spoils, in words; nothing where it is meant to come then, or does no harm. */
function spoiled(step: Later, hasColour: boolean, isMeant: boolean): string | undefined {
  const { colour, face } = SPOILS[step]
  if (hasColour && colour && !isMeant) return `the colour: it ${colour}`
  return face ? `the finish: it ${face}` : undefined
}

/** Steps after which nothing is left of a colour, and those that only want care. */
const ENDS_COLOUR: readonly Later[] = ['solder', 'anneal', 'pickle', 'polish']
const WANTS_CARE: readonly Later[] = ['set-stone', 'hang']

/** What each step that still comes would spoil of a finish or a colour. */
export function laterChecks({ later, patina, order }: Pick<SurfaceInput, 'later' | 'patina' | 'order'>): Check[] {
  return [...new Set(later)].flatMap((step): Check[] => {
    const what = spoiled(step, patina !== undefined, step === 'tumble' && order === 'patina-first')
    if (!what) return []
    const level = patina && ENDS_COLOUR.includes(step) ? 'stop' : WANTS_CARE.includes(step) ? 'note' : 'warn'
    const name = capitalised(step.replace('-', ' '))
    return [
      {
        level,
        code: 'later-spoils',
        field: 'later',
        source: 'bench-practice',
        message: `${name} after this spoils ${what}. Do it before.`,
      },
    ]
  })
}

'use client'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import {
  GROWN,
  PATINA_TITLES,
  type PatinaAsked,
  type PatinaId,
  PUT_ON_WORDS,
  RELIEF_WORDS,
  type Relief,
  SPRAYED,
  USUAL_RUNS,
} from '@/core/surface'
import { AmountField } from '../marking/amount-field'
import { ChoiceField } from '../shared/choice-field'

const AGENTS = { none: 'not coloured', ...PATINA_TITLES }
const RELIEFS: Readonly<Record<Relief, string>> = { ...RELIEF_WORDS, none: 'not relieved' }
const SEALS = { wax: 'wax', lacquer: 'lacquer', none: 'not sealed' } as const

/** A colour as it begins: relieved by pumice under water, waxed. */
const firstColour = (agent: PatinaId): PatinaAsked => ({ agent, by: 'dip', relief: 'pumice', reliefIsWet: true, seal: 'wax', worn: false })

interface ColourFieldsProps {
  readonly patina: PatinaAsked | undefined
  readonly onChange: (patina: PatinaAsked | undefined) => void
}

/** What a part is coloured with, how often, how it is relieved and sealed. */
export function ColourFields({ patina, onChange }: ColourFieldsProps) {
  const chooseAgent = (agent: string) => {
    if (agent === 'none') return onChange(undefined)
    const { runs: _, by, ...same } = patina ?? firstColour(agent as PatinaId)
    const id = agent as PatinaId
    onChange({ ...same, agent: id, by: SPRAYED.includes(id) ? by : 'dip' })
  }
  const isSpray = patina?.by === 'spray' || (patina !== undefined && GROWN.includes(patina.agent))
  return (
    <>
      <ChoiceField label="Colour" value={patina?.agent ?? 'none'} options={AGENTS} onChange={chooseAgent} width={210} />
      {patina ? (
        <>
          {SPRAYED.includes(patina.agent) ? (
            <ChoiceField
              label="Put on"
              value={patina.by}
              options={PUT_ON_WORDS}
              onChange={(by) => onChange({ ...patina, by: by as PatinaAsked['by'] })}
              width={210}
            />
          ) : null}
          {USUAL_RUNS[patina.agent] > 1 || patina.by === 'spray' ? (
            <AmountField
              label={isSpray ? 'Sprays' : 'Dips'}
              value={patina.runs ?? USUAL_RUNS[patina.agent]}
              min={1}
              max={20}
              unit=""
              onChange={(runs) => onChange({ ...patina, runs })}
            />
          ) : null}
          <ChoiceField
            label="High places"
            value={patina.relief}
            options={RELIEFS}
            onChange={(relief) => onChange({ ...patina, relief: relief as Relief })}
            width={210}
          />
          <ChoiceField
            label="Seal"
            value={patina.seal}
            options={SEALS}
            onChange={(seal) => onChange({ ...patina, seal: seal as PatinaAsked['seal'] })}
            width={210}
          />
          <FormControlLabel
            control={
              <Checkbox size="small" checked={patina.reliefIsWet} onChange={(_, reliefIsWet) => onChange({ ...patina, reliefIsWet })} />
            }
            label="Relieved while still wet"
          />
          <FormControlLabel
            control={<Checkbox size="small" checked={patina.worn} onChange={(_, worn) => onChange({ ...patina, worn })} />}
            label="Worn on the skin, or eaten from"
          />
        </>
      ) : null}
    </>
  )
}

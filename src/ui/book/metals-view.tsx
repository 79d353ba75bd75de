'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { formatPlain } from '@/core/units'
import type { MetalRecord } from '@/server/services/metal-record'
import { useTold } from '../acting/use-told'
import { ProblemLine } from '../shared/problem-line'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { LimitPicture } from './limit-picture'

const whole = (percent: number) => formatPlain(percent, 0)

/** What cracked of a metal, as it is said: “3 of 41 pieces cracked. The other 38 held as far as they were worked.” */
function crackedWords({ limit, pieces, cracked }: MetalRecord): string {
  const others = pieces - cracked
  const held =
    others <= 0 ? '' : others === 1 ? ' The other held as far as it was worked.' : ` The other ${others} held as far as they were worked.`
  const untold = cracked - limit.count
  const slight =
    untold <= 0
      ? ''
      : ` ${untold === cracked ? 'So' : `Of ${untold} so`} little had been used that something else must have broken ${untold === 1 ? 'it' : 'them'}: a notch, a burr, a hidden crack.`
  return `${cracked} of ${pieces} ${pieces === 1 ? 'piece' : 'pieces'} cracked.${slight}${held}`
}

/** Which limit plans are worked out with. */
function usedWords({ typedPercent, usedPercent, tablePercent }: MetalRecord): string {
  if (typedPercent !== null) return `Your ${formatPlain(typedPercent, 1)} % is worked with.`
  if (usedPercent !== tablePercent) return `${formatPlain(usedPercent, 1)} %, as your trials tell, is worked with.`
  return `The table’s ${whole(tablePercent)} % is worked with.`
}

/** What the record says of a metal’s limit, and whether it is worked with. */
function Metal({ metal }: { readonly metal: MetalRecord }) {
  const { settingsRevision } = useWorkshop()
  const told = useTold()
  const [problem, setProblem] = useState('')
  const { figure, limit, tablePercent, typedPercent } = metal
  const own = whole(limit.value)
  const isUsed = typedPercent !== null && whole(typedPercent) === own
  async function keep(typed: string, text: string) {
    const back = { id: figure, typed: typedPercent === null ? '' : String(typedPercent) }
    const done = await told('keepFigure', { id: figure, typed }, { revision: settingsRevision, text, back })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box component="section" aria-label={metal.title} sx={{ mb: 4 }}>
      <Typography variant="h2">{metal.title}</Typography>
      <Typography sx={{ mt: 0.5 }}>
        {crackedWords(metal)} By that half of what is worked to <span className="fig">{own}</span> % of reduction between two anneals cracks
        (<span className="fig">{whole(limit.low)}</span> to <span className="fig">{whole(limit.high)}</span> % in eight cases of ten); the
        table says <span className="fig">{whole(tablePercent)}</span> %.
      </Typography>
      <LimitPicture metal={metal} />
      <Typography variant="body2">
        Reduction since the metal was last soft. A dot stands for pieces that held so far, an arrow for some that had held to its tail and
        cracked by its point.
      </Typography>
      <Typography variant="body2">
        {Math.round(100 * limit.trustFraction)} % of this is your record, the rest the table’s. {usedWords(metal)}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.75 }}>
        {isUsed ? null : <Button onClick={() => void keep(own, `${metal.title}: ${own} % is worked with.`)}>Work with {own} %</Button>}
        {typedPercent === null ? null : (
          <Button variant="text" onClick={() => void keep('', `${metal.title}: your figure is left out.`)}>
            Leave out my figure
          </Button>
        )}
      </Box>
      <ProblemLine says={problem} />
    </Box>
  )
}

/** How far each metal could be worked between two anneals, by what cracked at this bench and what held. */
export function MetalsView({ metals }: { readonly metals: readonly MetalRecord[] }) {
  return (
    <Box sx={{ p: 2.5, maxWidth: 900 }}>
      {metals.length === 0 ? (
        <Typography sx={{ color: PALETTE.muted }}>
          Nothing has cracked yet. A piece that is lost at the bench as split or cracked tells here, with all that held, how far its metal
          can be worked.
        </Typography>
      ) : (
        metals.map((metal) => <Metal key={metal.alloy} metal={metal} />)
      )}
    </Box>
  )
}

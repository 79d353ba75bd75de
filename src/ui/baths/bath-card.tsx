'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { bathNote } from '@/core/entries'
import { BATHS, efficiencyOf } from '@/core/etching'
import { ALLOY_TITLES, ALLOYS, type AlloyId } from '@/core/metals'
import { formatPlain } from '@/core/units'
import type { Bath } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { EntryChoice, EntrySize, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { BathDrawn } from './bath-drawn'

/** A bath is filtered after so many uses (common practice: when sludge clouds it). */
const FILTER_AFTER = 5

interface TypedEtch {
  readonly does: 'etched'
  readonly alloy: AlloyId
  readonly area: string
  readonly current: string
  readonly minutes: string
  readonly depth: string
  readonly note: string
}

/** What a bath has done of Faraday’s law, by metal: the middle, and between which it lies. */
function Learned({ bath }: { readonly bath: Bath }) {
  const alloys = [...new Set(bath.runs.map(({ alloy }) => alloy))]
  if (alloys.length === 0) return <Typography variant="body2">No etch is logged yet: until then Faraday’s law stands as it is.</Typography>
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {alloys.map((alloy) => {
        const { ratio, least, most, count } = efficiencyOf(
          alloy,
          bath.runs.filter((run) => run.alloy === alloy),
        )
        return (
          <Typography key={alloy} component="li" variant="body2">
            {ALLOYS[alloy].title}: <b className="fig">{formatPlain(ratio, 2)}</b> of Faraday’s law
            {count > 1 ? `, ${formatPlain(least, 2)} to ${formatPlain(most, 2)} in ${count} etches` : ', one etch'}
          </Typography>
        )
      })}
    </Box>
  )
}

/** A bath on its shelf: its uses, what it does of the law, its log, filtered and put out of use. */
export function BathCard({ bath }: { readonly bath: Bath }) {
  const { uid } = useWorkshop()
  const act = useAct()
  const say = useNotice()
  const [logging, setLogging] = useState(false)
  const [asking, setAsking] = useState(false)
  const { title, note } = BATHS[bath.kind]
  const told = async (does: 'filtered' | 'put-out', text: string) => {
    const done = await act('noteBath', { id: bath.id, what: { does } }, { revision: bath.revision })
    say({ text: done.ok ? text : done.message })
  }
  return (
    <Box component="article" aria-label={bath.name} sx={{ display: 'flex', gap: 2, width: 520, maxWidth: '100%' }}>
      <BathDrawn kind={bath.kind} uses={bath.usesSinceFiltered} isOut={bath.isOut} />
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography sx={{ fontWeight: 700 }}>{bath.name}</Typography>
        <Typography variant="body2">
          {title}
          {bath.litres === null ? '' : `, ${formatPlain(bath.litres, 2)} L`}, made up {bath.createdAt.slice(0, 10)}
        </Typography>
        <Typography className="fig" sx={{ fontSize: 22, fontWeight: 700 }}>
          {bath.uses} {bath.uses === 1 ? 'use' : 'uses'}
        </Typography>
        {bath.isOut ? (
          <Typography variant="body2">Put out of use.</Typography>
        ) : (
          <>
            {bath.usesSinceFiltered >= FILTER_AFTER ? (
              <Typography variant="body2" sx={{ color: PALETTE.fire, fontWeight: 600 }}>
                Used {bath.usesSinceFiltered} times since it was filtered: filter it.
              </Typography>
            ) : null}
            <Learned bath={bath} />
            <Typography variant="body2">{note}</Typography>
            {logging ? (
              <EntryForm<TypedEtch>
                label={`Log an etch in ${bath.name}`}
                schema={bathNote}
                values={{ does: 'etched', alloy: 'copper-c110', area: '', current: '', minutes: '', depth: '', note: '' }}
                send={async (what) => {
                  const done = await act('noteBath', { id: bath.id, what }, { revision: bath.revision })
                  if (done.ok) say({ text: 'Logged: the next etch is worked out by it.' })
                  return done
                }}
                onDone={() => setLogging(false)}
                onCancel={() => setLogging(false)}
                submit="Log it"
              >
                <EntryChoice name="alloy" label="Metal" options={ALLOY_TITLES} width={220} />
                <EntrySize name="area" label="Bare metal in the bath" unit="mm²" readAs={() => ''} />
                <EntrySize name="current" label="Current" unit="A" readAs={() => ''} />
                <EntrySize name="minutes" label="Current on for" unit="min" readAs={() => ''} />
                <EntrySize name="depth" label="Depth measured" unit="mm" readAs={() => ''} />
                <EntryText name="note" label="Note" />
              </EntryForm>
            ) : (
              <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -0.75 }}>
                <Button variant="text" onClick={() => setLogging(true)}>
                  Log an etch
                </Button>
                <Button variant="text" onClick={() => void told('filtered', `${bath.name} is filtered.`)}>
                  It was filtered
                </Button>
                <Button variant="text" href={`/api/baths/${bath.id}/label?of=${uid}`} target="_blank">
                  Print its label
                </Button>
                <Button variant="text" onClick={() => setAsking(true)}>
                  Put out of use
                </Button>
              </Box>
            )}
          </>
        )}
      </Box>
      <ConfirmDialog
        open={asking}
        title={`Put ${bath.name} out of use?`}
        says="Its log stays, and nothing more is worked out by it. Never pour it away: take it to hazardous waste by your local rules, in its labelled bottle."
        yes="It is out of use"
        onAnswer={(yes) => {
          setAsking(false)
          if (yes) void told('put-out', `${bath.name} is out of use. Dispose of it by your local rules, never down the drain.`)
        }}
      />
    </Box>
  )
}

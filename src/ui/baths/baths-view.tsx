'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { bathEntry } from '@/core/entries'
import { BATHS, type EtchBath } from '@/core/etching'
import { capitalised } from '@/core/units'
import type { Bath } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { EntryChoice, EntrySize, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useNotice } from '../shared/notices'
import { PALETTE } from '../theme/palette'
import { BathCard } from './bath-card'

const KINDS = Object.fromEntries(Object.entries(BATHS).map(([id, { title }]) => [id, capitalised(title)]))

/** The baths of the workshop, those in use first; a new one is made up here. */
export function BathsView({ baths }: { readonly baths: readonly Bath[] }) {
  const [adding, setAdding] = useState(baths.length === 0)
  const act = useAct()
  const say = useNotice()
  const sorted = [...baths].sort((a, b) => Number(a.isOut) - Number(b.isOut))
  return (
    <Box sx={{ p: 2.5 }}>
      <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={() => setAdding(!adding)}>
        Make up a bath
      </Button>
      {adding ? (
        <Box sx={{ maxWidth: 480, my: 2, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}>
          <EntryForm<{ name: string; kind: EtchBath; litres: string }>
            label="Make up a bath"
            schema={bathEntry}
            values={{ name: '', kind: 'copper-sulphate', litres: '1' }}
            send={async (typed) => {
              const done = await act('keepBath', typed)
              if (done.ok) say({ text: `${typed.name} stands on the shelf: print its label.` })
              return done
            }}
            onDone={() => setAdding(false)}
            onCancel={() => setAdding(false)}
            submit="Save"
          >
            <EntryText name="name" label="Name on the label" />
            <EntryChoice name="kind" label="Bath" options={KINDS} width={220} />
            <EntrySize name="litres" label="How much" unit="L" readAs={() => ''} />
          </EntryForm>
        </Box>
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 3, mt: 3 }}>
        {sorted.map((bath) => (
          <BathCard key={bath.id} bath={bath} />
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 3, maxWidth: 620 }}>
        Mask, gloves and goggles while salts dissolve; salt into water, never water on salt. Each bath in its own labelled bottle, away from
        food and children, never beside bleach, sulphides or solvents. Follow the product’s safety sheet; disposal by local rules, never
        down the drain.
      </Typography>
    </Box>
  )
}

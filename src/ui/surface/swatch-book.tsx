'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { AlloyId } from '@/core/metals'
import type { PatinaId } from '@/core/surface'
import type { OwnSwatch } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { useNotice } from '../shared/notices'
import { PALETTE } from '../theme/palette'
import { NewSwatch } from './new-swatch'

interface SwatchBookProps {
  readonly swatches: readonly OwnSwatch[]
  readonly alloy: AlloyId
  readonly agent: PatinaId
}

/** What this colour came out like on this metal before, in the smith's own words; the next one is put in here. */
export function SwatchBook({ swatches, alloy, agent }: SwatchBookProps) {
  const act = useAct()
  const say = useNotice()
  const router = useRouter()
  const [dropping, setDropping] = useState<OwnSwatch>()
  const own = swatches.filter((swatch) => swatch.alloy === alloy && swatch.agent === agent)
  const drop = async (yes: boolean) => {
    setDropping(undefined)
    if (!yes || !dropping) return
    const done = await act('dropSwatch', { id: dropping.id }, { revision: dropping.revision })
    say({ text: done.ok ? 'It is out of the swatch book.' : done.message })
    router.refresh()
  }
  return (
    <Box component="section" aria-label="Swatch book" sx={{ mt: 1 }}>
      <Typography variant="body2">
        {own.length > 0 ? 'What it came out like at your bench:' : 'Nothing of it is in your swatch book yet: put in what comes out.'}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 1, m: 0, p: 0, my: 0.5 }}>
        {own.map((swatch) => (
          <Box
            component="li"
            key={swatch.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              border: `1px solid ${PALETTE.hairline}`,
              borderRadius: '4px',
              bgcolor: PALETTE.paper,
            }}
          >
            <Box sx={{ width: 34, height: 34, bgcolor: swatch.colour, borderRadius: '3px 0 0 3px' }} />
            <Box sx={{ px: 1, fontSize: 13.5 }}>{swatch.recipe}</Box>
            <Button variant="text" aria-label={`Take out ${swatch.recipe}`} onClick={() => setDropping(swatch)} sx={{ minWidth: 0, px: 1 }}>
              ×
            </Button>
          </Box>
        ))}
      </Box>
      <NewSwatch alloy={alloy} agent={agent} />
      <ConfirmDialog
        open={dropping !== undefined}
        title={`Take “${dropping?.recipe ?? ''}” out of the swatch book?`}
        says="It is gone for good: the book keeps no copy."
        yes="Take it out"
        onAnswer={(yes) => void drop(yes)}
      />
    </Box>
  )
}

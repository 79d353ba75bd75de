'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import InputBase from '@mui/material/InputBase'
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

interface SwatchBookProps {
  readonly swatches: readonly OwnSwatch[]
  readonly alloy: AlloyId
  readonly agent: PatinaId
}

const FIRST_COLOUR = '#6b4a3a'

/** What this colour came out like on this metal before, in the smith's own words; the next one is put in here. */
export function SwatchBook({ swatches, alloy, agent }: SwatchBookProps) {
  const act = useAct()
  const say = useNotice()
  const router = useRouter()
  const [recipe, setRecipe] = useState('')
  const [colour, setColour] = useState(FIRST_COLOUR)
  const [dropping, setDropping] = useState<OwnSwatch>()
  const own = swatches.filter((swatch) => swatch.alloy === alloy && swatch.agent === agent)
  const keep = async () => {
    const done = await act('keepSwatch', { alloy, agent, recipe, colour })
    if (done.ok) setRecipe('')
    say({ text: done.ok ? 'It is in the swatch book.' : done.message })
    router.refresh()
  }
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
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box
          component="input"
          type="color"
          aria-label="Colour that came out"
          value={colour}
          onChange={(event: { readonly target: { readonly value: string } }) => setColour(event.target.value)}
          sx={{ width: 44, height: 32, p: 0, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', bgcolor: PALETTE.white }}
        />
        <InputBase
          value={recipe}
          onChange={(event) => setRecipe(event.target.value)}
          placeholder="two dips of 4 s at 45 °C"
          inputProps={{ 'aria-label': 'How it was made', maxLength: 200 }}
          sx={{
            flex: 1,
            maxWidth: 340,
            height: 32,
            px: 1,
            border: `1px solid ${PALETTE.hairline}`,
            borderRadius: '4px',
            bgcolor: PALETTE.white,
          }}
        />
        <Button onClick={() => void keep()} disabled={recipe.trim() === ''}>
          Put it in
        </Button>
      </Box>
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

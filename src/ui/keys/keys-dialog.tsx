'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { usePathname } from 'next/navigation'
import { useState } from 'react'
import { OpenedDialog } from '../shared/opened-dialog'
import { PALETTE } from '../theme/palette'
import { KEY_PLACES, keysAt } from './registry'
import { useKeys } from './use-keys'

/** `?` anywhere: the keys of the view one is in. */
export function KeysDialog() {
  const [open, setOpen] = useState(false)
  const path = usePathname()
  useKeys({ help: () => setOpen(true) })
  return (
    <OpenedDialog open={open} onClose={() => setOpen(false)} aria-labelledby="keys-title" maxWidth="sm" fullWidth>
      <DialogTitle id="keys-title">Keys of this view</DialogTitle>
      <DialogContent>
        {keysAt(path).map(([place, keys]) => (
          <Box key={place} sx={{ mb: 2 }}>
            <Typography variant="h2" component="h3">
              {KEY_PLACES[place]}
            </Typography>
            <Box component="dl" sx={{ m: 0, mt: 0.5, display: 'grid', gridTemplateColumns: '150px 1fr', rowGap: 0.5 }}>
              {keys.map(({ shown, does }) => (
                <Box key={shown + does} sx={{ display: 'contents' }}>
                  <Box component="dt" className="fig" sx={{ fontWeight: 700, color: PALETTE.verdigris }}>
                    {shown}
                  </Box>
                  <Box component="dd" sx={{ m: 0 }}>
                    {does}
                  </Box>
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setOpen(false)}>Close</Button>
      </DialogActions>
    </OpenedDialog>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { PALETTE } from '../theme/palette'

export interface OrderOffer {
  readonly moves: readonly { readonly key: string; readonly words: string }[]
  readonly missing: readonly { readonly key: string; readonly words: string; readonly onAdd: () => void }[]
  readonly onTake: () => void
}

/** The legal order that moves the least, each move with the rule it serves; what is missing is offered, not slipped in. */
export function OrderPanel({ offer, onLeave }: { readonly offer: OrderOffer; readonly onLeave: () => void }) {
  return (
    <Box
      component="section"
      aria-label="Put in order"
      sx={{ border: `1px solid ${PALETTE.verdigris}`, borderRadius: '4px', p: 1.25, my: 1 }}
    >
      <Typography variant="h3">Put in order</Typography>
      {offer.moves.length === 0 ? <Typography variant="body2">No step has to move.</Typography> : null}
      <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
        {offer.moves.map(({ key, words }) => (
          <Typography component="li" key={key} sx={{ fontSize: 13.5 }}>
            {words}
          </Typography>
        ))}
      </Box>
      {offer.missing.length > 0 ? (
        <>
          <Typography variant="h3" sx={{ mt: 1 }}>
            Missing
          </Typography>
          {offer.missing.map(({ key, words, onAdd }) => (
            <Box key={key} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              <Typography sx={{ fontSize: 13.5, flex: 1 }}>{words}</Typography>
              <Button onClick={onAdd}>Put it in</Button>
            </Box>
          ))}
        </>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        {offer.moves.length > 0 ? (
          <Button variant="contained" onClick={offer.onTake}>
            Move them
          </Button>
        ) : null}
        <Button onClick={onLeave}>Cancel</Button>
      </Box>
    </Box>
  )
}

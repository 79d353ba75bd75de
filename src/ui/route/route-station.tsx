'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useDeferredValue } from 'react'
import { SaveWords } from '../acting/save-words'
import { useKeys } from '../keys/use-keys'
import { ProblemLine } from '../shared/problem-line'
import { PALETTE } from '../theme/palette'
import { ChosenStep } from './chosen-step'
import { RouteNotes } from './route-notes'
import { RouteSteps } from './route-steps'
import { type RoutedPiece, useRoute } from './use-route'
import { useRouteView } from './use-route-view'

/** The route of a piece: its wires with their steps, the metal beneath, and beside them the chosen step and what is broken. */
export function RouteStation({ piece }: { readonly piece: RoutedPiece }) {
  const router = useRouter()
  const hand = useRoute(piece)
  const { seen, shown, does } = useRouteView(hand)
  // the wires and the metal are under the hand; what is written beside them follows
  const told = useDeferredValue(seen)
  useKeys({ undo: () => void hand.move('undo'), redo: () => void hand.move('redo') })
  const toBench = () => void hand.startTray((trayId) => router.push(`/bench/${trayId}`))
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 316px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        minHeight: 0,
        overflow: { md: 'hidden' },
      }}
    >
      <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}>
        <RouteSteps seen={seen} shown={shown} does={does} />
        <ChosenStep seen={told} does={does} />
      </Box>
      <Box
        component="section"
        aria-label="Metal and bench"
        sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
      >
        <SaveWords state={hand.state} />
        <RouteNotes seen={told} does={does} />
        <Button variant="contained" fullWidth sx={{ mt: 3, minHeight: 40 }} onClick={toBench}>
          Start a tray of {piece.quantity + piece.spares} at the bench
        </Button>
        <Typography variant="body2" sx={{ mt: 0.75 }}>
          The plan is frozen with the tray; later changes here do not reach it.
        </Typography>
        <ProblemLine says={hand.problem} />
      </Box>
    </Box>
  )
}

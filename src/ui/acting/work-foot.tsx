'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { findOperation } from '@/core/operations'
import type { AskedStep } from '@/core/piece'
import { useKeys } from '../keys/use-keys'
import { PageLink } from '../shared/page-link'
import { SaveWords } from './save-words'
import { UndoRedo } from './undo-redo'
import type { usePartWork, WorkedPiece } from './use-part-work'

type Work = ReturnType<typeof usePartWork>

interface WorkFootProps {
  readonly piece: WorkedPiece
  readonly hand: Pick<Work, 'move' | 'state' | 'refusal'>
  /** Steps that the plan asks for and the route does not have yet, or with other figures. */
  readonly lacking: readonly AskedStep[]
  readonly onToRoute: () => void
}

/** Under a station that plans work on a part: what the route lacks of it, undo, and whether it is saved. */
export function WorkFoot({ piece, hand, lacking, onToRoute }: WorkFootProps) {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const move = async (way: 'undo' | 'redo') => {
    setProblem(await hand.move(way))
    router.refresh()
  }
  useKeys({ undo: () => void move('undo'), redo: () => void move('redo') })
  const titles = lacking.map(({ op }) => `“${findOperation(op)?.title ?? op}”`)
  return (
    <>
      {titles.length > 0 ? (
        <Box sx={{ my: 1 }}>
          <Typography variant="body2">
            The <PageLink href={`/pieces/${piece.id}/route`}>route</PageLink> does not have it as planned here yet: {titles.join(', ')}.
          </Typography>
          <Button variant="outlined" onClick={onToRoute} sx={{ mt: 0.5 }}>
            Put it on the route
          </Button>
        </Box>
      ) : null}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}>
        <UndoRedo piece={piece} onMove={(way) => void move(way)} />
        <SaveWords state={hand.state} />
      </Box>
      <Typography role="status" variant="body2">
        {problem || hand.refusal}
      </Typography>
    </>
  )
}

'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import NextLink from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { findOperation } from '@/core/operations'
import { missingSteps } from '@/core/piece'
import { SaveWords } from '../acting/save-words'
import { UndoRedo } from '../acting/undo-redo'
import { useKeys } from '../keys/use-keys'
import { ChoiceField } from '../shared/choice-field'
import { EtchedView } from './etched-view'
import { StruckView } from './struck-view'
import { type MarkedPiece, useMarks } from './use-marks'

/** What is done to a part’s blank while it is flat: struck and drilled, or etched. */
export function MarkStation({ piece }: { readonly piece: MarkedPiece }) {
  const hand = useMarks(piece)
  const { part } = hand
  const [way, setWay] = useState<'strike' | 'etch'>(part.etch && part.marks.length === 0 ? 'etch' : 'strike')
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const move = async (way: 'undo' | 'redo') => {
    setProblem(await hand.move(way))
    router.refresh()
  }
  useKeys({ undo: () => void move('undo'), redo: () => void move('redo') })
  const top = (
    <>
      {piece.parts.length > 1 ? (
        <ChoiceField
          label="Part"
          value={part.part}
          options={Object.fromEntries(piece.parts.map(({ part: id, name }) => [id, name]))}
          onChange={hand.show}
          width={190}
        />
      ) : null}
      <ToggleButtonGroup
        exclusive
        size="small"
        value={way}
        aria-label="How it is marked"
        onChange={(_, next: 'strike' | 'etch' | null) => next && setWay(next)}
        sx={{ mb: 1 }}
      >
        <ToggleButton value="strike">Struck and drilled</ToggleButton>
        <ToggleButton value="etch">Etched</ToggleButton>
      </ToggleButtonGroup>
    </>
  )
  const missing = missingSteps(part).map((op) => findOperation(op)?.title ?? op)
  const foot = (
    <>
      {missing.length > 0 ? (
        <Typography variant="body2" sx={{ my: 1 }}>
          The route has no step for it yet: put in {missing.map((title) => `“${title}”`).join(' and ')} on the{' '}
          <NextLink href={`/pieces/${piece.id}/route`}>route</NextLink>, before the piece is formed.
        </Typography>
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
  const View = way === 'strike' ? StruckView : EtchedView
  return <View key={part.part} piece={piece} hand={hand} top={top} foot={foot} />
}

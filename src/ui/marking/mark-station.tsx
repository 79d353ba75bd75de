'use client'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useState } from 'react'
import { lackingOnRoute } from '@/core/piece'
import { WorkFoot } from '../acting/work-foot'
import { PartPicker } from '../shared/part-picker'
import { EtchedView } from './etched-view'
import { StruckView } from './struck-view'
import { type MarkedPiece, useMarks } from './use-marks'

/** What is done to a part’s blank while it is flat: struck and drilled, or etched. */
export function MarkStation({ piece }: { readonly piece: MarkedPiece }) {
  const hand = useMarks(piece)
  const { part } = hand
  const [way, setWay] = useState<'strike' | 'etch'>(part.etch && part.marks.length === 0 ? 'etch' : 'strike')
  const top = (
    <>
      <PartPicker parts={piece.parts} part={part.part} onShow={hand.show} />
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
  const foot = <WorkFoot piece={piece} hand={hand} lacking={lackingOnRoute(part, part.part, hand.asked)} onToRoute={hand.toRoute} />
  const View = way === 'strike' ? StruckView : EtchedView
  return <View key={part.part} piece={piece} hand={hand} top={top} foot={foot} />
}

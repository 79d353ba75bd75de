'use client'
import Box from '@mui/material/Box'
import { OutlineResult } from './outline-result'
import { PictureInput, usePictureInput } from './picture-input'
import { PointsOnPicture } from './points-on-picture'
import { useOutline } from './use-outline'

/** Outlines read in: of what lies on the measuring card of a photograph, or as a drawing has them. */
export function OutlineView() {
  const hand = usePictureInput()
  const seen = useOutline(hand.file, hand.typed)
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '340px minmax(0, 1fr)' }, gap: 3.5, alignItems: 'start' }}>
      <PictureInput hand={hand} mayPoint />
      <Box>
        {hand.picture && hand.points ? <PointsOnPicture picture={hand.picture} points={hand.points} onLay={hand.lay} /> : null}
        <OutlineResult seen={seen} name={hand.file?.name.replace(/\.[^.]+$/, '') ?? 'outline'} />
      </Box>
    </Box>
  )
}

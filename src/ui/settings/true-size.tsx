'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { keepPxPerMm, USUAL_PX_PER_MM, usePxPerMm } from '../drawing/true-size'
import { PALETTE } from '../theme/palette'

/** A bank or library card, mm: ID-1 of ISO/IEC 7810. */
const CARD_MM = { width: 85.6, height: 53.98 }

/** Measures the screen with a card laid on it, so that a drawing at 100 % is as large as the piece. */
export function TrueSize() {
  const pxPerMm = usePxPerMm()
  const [measuring, setMeasuring] = useState(false)
  const isMeasured = pxPerMm !== USUAL_PX_PER_MM
  return (
    <Box sx={{ py: 1 }}>
      <Typography>
        {isMeasured
          ? 'This screen was measured: drawings at 100 % are as large as the piece.'
          : 'This screen was not measured: 100 % is only about as large as the piece.'}
      </Typography>
      <Button variant="text" sx={{ ml: -0.75 }} onClick={() => setMeasuring(!measuring)}>
        {measuring ? 'Done' : 'Measure it with a card'}
      </Button>
      {measuring ? (
        <>
          <Typography variant="body2">Lay a bank card on the screen and make the shape as large as the card.</Typography>
          <Slider
            aria-label="Width of the card"
            min={2}
            max={12}
            step={0.01}
            value={pxPerMm}
            onChange={(_, value) => keepPxPerMm(value as number)}
            valueLabelDisplay="off"
          />
          <Box
            sx={{
              width: CARD_MM.width * pxPerMm,
              height: CARD_MM.height * pxPerMm,
              border: `2px solid ${PALETTE.verdigris}`,
              borderRadius: `${3 * pxPerMm}px`,
              bgcolor: PALETTE.verdigrisSoft,
              maxWidth: 'none',
            }}
          />
        </>
      ) : null}
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import type { Target } from '@/core/forms'
import { bandWords } from '@/core/instruments'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'

/** The reading against its band, read at arm's length: a triangle, a figure and a word. */
export function TargetBand({
  target,
  valueMm,
  source,
  predicted = '',
  withinMm,
}: {
  readonly target: Target
  readonly valueMm: number | null
  readonly source: string
  /** What it comes out at by what was measured before, in words. */
  readonly predicted?: string
  /** What the calipers tell, give or take. */
  readonly withinMm: number
}) {
  const low = target.valueMm - target.plusMinusMm
  const high = target.valueMm + target.plusMinusMm
  const span = target.plusMinusMm * 6
  const place = valueMm === null ? 50 : Math.min(98, Math.max(2, 50 + ((valueMm - target.valueMm) / span) * 100))
  const word = bandWords(valueMm, target, withinMm)
  return (
    <Box sx={{ px: { xs: 3, md: 5 }, pb: 3, pt: 1 }}>
      <Box sx={{ position: 'relative', height: 66 }}>
        <Box
          sx={{
            position: 'absolute',
            left: `clamp(60px, ${place}%, calc(100% - 60px))`,
            transform: 'translateX(-50%)',
            textAlign: 'center',
            transition: 'left 120ms',
          }}
        >
          <Box className="fig" data-testid="live-reading" sx={{ fontSize: 36, fontWeight: 700, color: '#fff', lineHeight: 1.2 }}>
            {valueMm === null ? '–' : formatPlain(valueMm, 2)}
          </Box>
          <Box
            aria-hidden
            sx={{
              mx: 'auto',
              width: 0,
              borderLeft: '10px solid transparent',
              borderRight: '10px solid transparent',
              borderTop: '14px solid #fff',
            }}
          />
        </Box>
      </Box>
      <Box aria-hidden sx={{ height: 14, borderRadius: '7px', bgcolor: PALETTE.petrolLine, position: 'relative', overflow: 'hidden' }}>
        <Box sx={{ position: 'absolute', left: '33.3%', width: '33.4%', top: 0, bottom: 0, bgcolor: PALETTE.verdigrisBench }} />
      </Box>
      <Box className="fig" sx={{ position: 'relative', height: 30, fontSize: 17, color: PALETTE.petrolText }}>
        <Box sx={{ position: 'absolute', left: '33.3%', transform: 'translateX(-50%)' }}>{formatPlain(low, 2)}</Box>
        <Box sx={{ position: 'absolute', left: '66.7%', transform: 'translateX(-50%)' }}>{formatPlain(high, 2)}</Box>
      </Box>
      <Box role="status" sx={{ fontSize: 18, mt: 1 }}>
        {target.label.toLowerCase()}, {source}: <b>{word}</b>
      </Box>
      {predicted ? <Box sx={{ fontSize: 17, color: PALETTE.petrolText, mt: 0.5 }}>{predicted}</Box> : null}
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { netAreaMm2 } from '@/core/geometry'
import type { LayoutInput } from '@/core/layout'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'
import type { SheetChoice } from './layout-setup'
import { type SheetTry, useWhichSheet } from './use-which-sheet'

interface WhichSheetProps {
  readonly instance: LayoutInput
  /** Sheets of the metal and thickness that are wanted. */
  readonly sheets: readonly SheetChoice[]
  readonly onUse: (tried: SheetTry) => void
}

function sayTaken({ placements, wanted }: SheetTry): string {
  return placements.length >= wanted ? `takes all ${wanted}` : `takes ${placements.length} of ${wanted}`
}

function Tried({ tried, onUse }: { readonly tried: SheetTry; readonly onUse: () => void }) {
  const { choice } = tried
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'space-between',
        borderBottom: `1px dotted ${PALETTE.hairline}`,
        py: 0.5,
      }}
    >
      <span>
        <b>{choice.label}</b> <span className="fig">{formatPlain(netAreaMm2(choice.sheet.outer, choice.sheet.holes) / 100, 1)} cm²</span>:{' '}
        {sayTaken(tried)}
      </span>
      <Button variant="text" disabled={tried.placements.length === 0} onClick={onUse}>
        Use {choice.label}
      </Button>
    </Box>
  )
}

/** Which sheet or offcut takes the job's blanks: each of its metal is tried, the smallest first. */
export function WhichSheet({ instance, sheets, onUse }: WhichSheetProps) {
  const { tries, failed, at, look, stop } = useWhichSheet(instance)
  if (sheets.length < 2) return null
  return (
    <Box sx={{ mt: 1 }}>
      {at === undefined ? (
        <Button variant="text" sx={{ px: 0 }} onClick={() => void look(sheets)}>
          Which sheet takes them?
        </Button>
      ) : (
        <Typography role="status" variant="body2">
          Trying {at}…{' '}
          <Button variant="text" onClick={stop}>
            Stop trying
          </Button>
        </Typography>
      )}
      {failed.length > 0 ? <Typography variant="body2">The search failed for {failed.join(', ')}: ask again.</Typography> : null}
      {tries.length > 0 ? (
        <Box component="ul" aria-label="What each sheet takes" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {tries.map((tried) => (
            <Tried
              key={tried.choice.id}
              tried={tried}
              onUse={() => {
                stop()
                onUse(tried)
              }}
            />
          ))}
        </Box>
      ) : null}
    </Box>
  )
}

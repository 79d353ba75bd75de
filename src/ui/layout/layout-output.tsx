'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { methodOfMarking, PATTERN_METHODS, type PatternMethod } from '@/core/drawing'
import { ChoiceField } from '../shared/choice-field'
import { useWorkshop } from '../shared/workshop-context'
import { PrintLayout } from './print-layout'
import type { LayoutHand } from './use-layout'

interface LayoutOutputProps {
  readonly layout: LayoutHand
  readonly layoutId: number
  readonly onCut: () => void
}

const METHODS = Object.fromEntries(Object.entries(PATTERN_METHODS).map(([id, { title }]) => [id, title.toLowerCase()]))

/** Paper, file and saw: an illegal layout says so on what it prints, and cannot be cut. */
export function LayoutOutput({ layout, layoutId, onCut }: LayoutOutputProps) {
  const { uid, orderSchools } = useWorkshop()
  const [method, setMethod] = useState<PatternMethod>(methodOfMarking(orderSchools.S22))
  const [mirror, setMirror] = useState(false)
  const isLegal = layout.illegal.length === 0
  const tail = isLegal ? '' : ', as it is'
  const of = `?of=${uid}${mirror ? '&mirror=1' : ''}`
  return (
    <Box sx={{ mt: 2, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1 }}>
      <Box>
        <ChoiceField label="Pattern" value={method} options={METHODS} onChange={(id) => setMethod(id as PatternMethod)} width={190} />
        {method === 'glue' ? null : (
          <Typography variant="body2" sx={{ mt: 0.5 }}>
            {PATTERN_METHODS[method].say}
          </Typography>
        )}
        <FormControlLabel
          control={<Checkbox size="small" checked={mirror} onChange={(_, on) => setMirror(on)} />}
          label={method === 'trace' ? 'Not mirrored' : 'Mirrored, to work from the back'}
        />
      </Box>
      <PrintLayout layoutId={layoutId} label={`Print full size (PDF)${tail}`} asked={{ method, mirror }} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button fullWidth href={`/api/layouts/${layoutId}/svg${of}`}>
          Download SVG{tail}
        </Button>
        <Button fullWidth href={`/api/layouts/${layoutId}/dxf${of}`}>
          Download DXF{tail}
        </Button>
      </Box>
      <Button disabled={!isLegal || layout.busy} onClick={onCut}>
        Cut: take it off the sheet
      </Button>
      <Button variant="text" onClick={layout.clear}>
        Take all blanks off
      </Button>
    </Box>
  )
}

'use client'
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogContentText from '@mui/material/DialogContentText'
import DialogTitle from '@mui/material/DialogTitle'
import { useMemo } from 'react'
import { netAreaMm2, type Region } from '@/core/geometry'
import { type LayoutItem, metalMm2, type Placement, placedRegion, remnantsOf, usefulIn } from '@/core/layout'
import { findAlloy } from '@/core/metals'
import { formatPlain } from '@/core/units'
import { OpenedDialog } from '../shared/opened-dialog'
import type { SheetChoice } from './layout-setup'

interface CutDialogProps {
  readonly open: boolean
  readonly choice: SheetChoice
  readonly items: ReadonlyMap<string, { readonly item: LayoutItem; readonly name: string }>
  readonly placements: readonly Placement[]
  readonly kerfMm: number
  readonly onCut: () => void
  readonly onLeave: () => void
}

/** Net area of the placed blanks, mm². */
function takenMm2({ items, placements }: Pick<CutDialogProps, 'items' | 'placements'>): number {
  return metalMm2(placements.flatMap(({ id }) => items.get(id) ?? []))
}

/** What the largest piece that is left of the sheet is good for. */
function sayLeft({ choice, items, placements, kerfMm }: Pick<CutDialogProps, 'choice' | 'items' | 'placements' | 'kerfMm'>): string {
  const blanks = placements.flatMap((place) => {
    const item = items.get(place.id)?.item
    return item ? [placedRegion(item, place)] : []
  })
  const size = (one: Region) => netAreaMm2(one.outer, one.holes)
  const [largest] = remnantsOf(choice.sheet, blanks, kerfMm).sort((a, b) => size(b) - size(a))
  if (!largest) return 'Nothing worth keeping is left of it.'
  const { rectangle, disc } = usefulIn(largest)
  const [wide, high] = [rectangle.maxX - rectangle.minX, rectangle.maxY - rectangle.minY]
  return `The largest piece left holds a rectangle of ${formatPlain(wide, 1)} × ${formatPlain(high, 1)} mm and a disc ${formatPlain(2 * disc.radiusMm, 1)} mm across.`
}

/** Asks before metal is taken off the sheet, and says how much, and what is left. */
export function CutDialog({ open, choice, items, placements, kerfMm, onCut, onLeave }: CutDialogProps) {
  const left = useMemo(() => (open ? sayLeft({ choice, items, placements, kerfMm }) : ''), [open, choice, items, placements, kerfMm])
  const areaMm2 = takenMm2({ items, placements })
  const density = findAlloy(choice.alloy)?.densityGPerCm3 ?? 0
  const massG = (areaMm2 * choice.thicknessMm * density) / 1000
  return (
    <OpenedDialog open={open} onClose={onLeave} aria-labelledby="cut-title">
      <DialogTitle id="cut-title">Cut {choice.label}?</DialogTitle>
      <DialogContent>
        <DialogContentText>
          {placements.length} {placements.length === 1 ? 'blank comes' : 'blanks come'} off it, {formatPlain(areaMm2 / 100, 1)} cm² and{' '}
          {formatPlain(massG, 1)} g besides the kerf. {choice.label} leaves the drawer, and what is left of it goes in as remnants. It can
          be put back until a remnant is cut.
        </DialogContentText>
        <DialogContentText sx={{ mt: 1 }}>{left}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={onLeave}>Not yet</Button>
        <Button variant="contained" onClick={onCut} autoFocus>
          Cut it
        </Button>
      </DialogActions>
    </OpenedDialog>
  )
}

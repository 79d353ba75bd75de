'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { LayoutItem } from '@/core/layout'
import { findAlloy } from '@/core/metals'
import { formatPlain } from '@/core/units'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { type SheetChoice, whatDiffers } from './layout-setup'

type Items = readonly { readonly item: LayoutItem; readonly name: string }[]

/** What became of the sheet of a draft, and what is left of it. */
export interface GoneSheet {
  readonly message: string
  readonly remnants: readonly { readonly id: number; readonly label: string }[]
}

/** A sheet in a list: its metal and thickness, and what about it is not as the blanks need it. */
export function sheetWords(sheet: SheetChoice, items: Items): string {
  const metal = findAlloy(sheet.alloy)?.title ?? sheet.alloy
  const differs = whatDiffers(sheet, items)
  return `${sheet.label}, ${metal.toLowerCase()} ${formatPlain(sheet.thicknessMm, 2)}${differs === 'nothing' ? '' : ` (other ${differs})`}`
}

/** Says what became of a sheet that was cut, and moves the blanks to what is left of it. */
export function SheetGone({ gone, onMove }: { readonly gone: GoneSheet; readonly onMove: (id: number) => void }) {
  return (
    <Box role="alert" sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1.25, mt: 1.5 }}>
      <Typography>{gone.message}</Typography>
      {gone.remnants.map((remnant) => (
        <Button key={remnant.id} sx={{ mt: 1, mr: 1 }} onClick={() => onMove(remnant.id)}>
          Move to {remnant.label}
        </Button>
      ))}
    </Box>
  )
}

/** What other jobs have lying on the sheet. */
export function Reserved({ choice }: { readonly choice: SheetChoice }) {
  if (choice.reserved.length === 0) return null
  return (
    <Typography variant="body2" sx={{ mt: 1 }}>
      Dotted blanks are reserved:{' '}
      {choice.reserved.map((item, i) => (
        <span key={item.jobId}>
          {i > 0 ? ', ' : ''}
          {item.count} for <PageLink href={`/layout/${item.jobId}`}>{item.jobTitle}</PageLink>
        </span>
      ))}
      .
    </Typography>
  )
}

/** What is different about the sheet that was chosen, where none of the blanks can be cut from it as they are. */
export function Differs({ choice, items }: { readonly choice: SheetChoice; readonly items: Items }) {
  const differs = whatDiffers(choice, items)
  const [first] = items
  if (differs === 'nothing' || !first) return null
  const metal = findAlloy(first.item.alloy)?.title.toLowerCase() ?? first.item.alloy
  return (
    <Typography role="alert" sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1, mt: 1 }}>
      {choice.label} is of another {differs}: these blanks need {metal} {formatPlain(first.item.thicknessMm, 2)} mm.
    </Typography>
  )
}

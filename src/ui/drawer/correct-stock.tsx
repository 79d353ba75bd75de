'use client'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useWatch } from 'react-hook-form'
import { stockEntry } from '@/core/entries'
import { formatPlain } from '@/core/units'
import type { StockNote } from '@/server/db/repositories'
import { useTold } from '../acting/use-told'
import { EntryCheck, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useDates } from '../shared/dates'
import { OpenedDialog } from '../shared/opened-dialog'
import { NO_STOCK } from './new-stock'
import { StockMetal, StockShape, type StockTyped } from './stock-fields'
import type { StockView } from './stock-view'

type Correction = StockTyped & { readonly label: string; readonly reshape: boolean }

/** What is known of a piece of metal, as it would be typed. */
function typedOf(stock: StockView): Correction {
  const { kind, alloy, label, temper, thicknessTyped, measuredMm } = stock
  const measured = measuredMm === null ? '' : formatPlain(measuredMm, 3)
  return { ...NO_STOCK, kind, alloy, label, temper, thickness: thicknessTyped, measured, reshape: false }
}

function Shape({ isUsed }: { readonly isUsed: boolean }) {
  const { reshape } = useWatch() as Correction
  if (isUsed) return <Typography variant="body2">A layout lies on it, or blanks were cut from it: its shape stays as it is.</Typography>
  return (
    <>
      <EntryCheck name="reshape" label="Enter the shape anew" />
      {reshape ? <StockShape /> : null}
    </>
  )
}

function Notes({ notes }: { readonly notes: readonly StockNote[] }) {
  const { time } = useDates()
  if (notes.length === 0) return null
  return (
    <>
      <Typography variant="h2" sx={{ mt: 2 }}>
        Corrected before
      </Typography>
      {notes.map((note) => (
        <Typography key={note.at} variant="body2">
          {time(note.at)}: {note.text}
        </Typography>
      ))}
    </>
  )
}

/** Renames a piece of metal and corrects what was entered of it; each correction is written down, and can be taken back. */
export function CorrectStock({ stock, onClose }: { readonly stock: StockView | null; readonly onClose: () => void }) {
  return (
    <OpenedDialog open={stock !== null} onClose={onClose} maxWidth="sm" fullWidth>
      {stock ? <Body stock={stock} onClose={onClose} /> : null}
    </OpenedDialog>
  )
}

function Body({ stock, onClose }: { readonly stock: StockView; readonly onClose: () => void }) {
  const told = useTold()
  const before = typedOf(stock)
  const entryOf = ({ kind: _, ...entry }: Correction) => ({ ...entry, id: stock.id })
  const send = (typed: Correction) =>
    told('correctStock', entryOf(typed), {
      revision: stock.revision,
      text: `${typed.label} is corrected.`,
      ...(typed.reshape ? {} : { back: entryOf({ ...before, sure: true }) }),
    })
  return (
    <>
      <DialogTitle>Correct {stock.label}</DialogTitle>
      <DialogContent>
        <EntryForm<Correction>
          label={`Correct ${stock.label}`}
          schema={stockEntry}
          values={before}
          send={send}
          onDone={onClose}
          onCancel={onClose}
          submit="Save"
        >
          <EntryText name="label" label="Label" />
          <StockMetal />
          <Shape isUsed={stock.isUsed} />
        </EntryForm>
        <Notes notes={stock.notes} />
      </DialogContent>
    </>
  )
}

'use client'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { pieceWords } from '@/core/entries'
import { useTold } from '../acting/use-told'
import { EntryForm } from '../entry/entry-form'
import { OpenedDialog } from '../shared/opened-dialog'
import type { PieceView } from './job-view'
import { PieceWordsFields } from './piece-words-fields'

interface Words {
  readonly name: string
  readonly quantity: string
  readonly spares: string
}

/** The name of a piece, how many are wanted and how many spare. */
export function RenamePiece({ piece, open, onClose }: { readonly piece: PieceView; readonly open: boolean; readonly onClose: () => void }) {
  const told = useTold()
  const { id: pieceId, name, quantity, spares } = piece
  const send = (typed: Words) =>
    told(
      'describePiece',
      { ...typed, pieceId },
      {
        revision: piece.revision,
        text: `It is ${typed.name} now, ${typed.quantity} and ${typed.spares} spare.`,
        back: { pieceId, name, quantity, spares },
      },
    )
  return (
    <OpenedDialog open={open} onClose={onClose} maxWidth="xs" fullWidth>
      <DialogTitle>Rename {name}</DialogTitle>
      <DialogContent>
        <EntryForm<Words>
          label={`Rename ${name}`}
          schema={pieceWords}
          values={{ name, quantity: String(quantity), spares: String(spares) }}
          send={send}
          onDone={onClose}
          onCancel={onClose}
          submit="Save"
        >
          <PieceWordsFields />
        </EntryForm>
      </DialogContent>
    </OpenedDialog>
  )
}

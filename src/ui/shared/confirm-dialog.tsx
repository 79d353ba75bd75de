'use client'
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogContentText from '@mui/material/DialogContentText'
import DialogTitle from '@mui/material/DialogTitle'
import { OpenedDialog } from './opened-dialog'

interface ConfirmDialogProps {
  readonly open: boolean
  readonly title: string
  /** What it will do. */
  readonly says: string
  readonly yes: string
  readonly onAnswer: (yes: boolean) => void
}

/** Asks before something that cannot be taken back. */
export function ConfirmDialog({ open, title, says, yes, onAnswer }: ConfirmDialogProps) {
  return (
    <OpenedDialog open={open} onClose={() => onAnswer(false)}>
      <DialogTitle>{title}</DialogTitle>
      <DialogContent>
        <DialogContentText>{says}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onAnswer(false)}>Cancel</Button>
        <Button variant="contained" onClick={() => onAnswer(true)}>
          {yes}
        </Button>
      </DialogActions>
    </OpenedDialog>
  )
}

'use client'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogContentText from '@mui/material/DialogContentText'
import DialogTitle from '@mui/material/DialogTitle'
import type { Asking } from './use-archive'

/** The question in two sentences: what hangs on it, and what becomes of that. */
function wordsOf({ found, way }: Asking): string {
  const hanging = found.hanging.length > 0 ? `With it: ${found.hanging.join(', ')}. ` : ''
  if (way === 'archive') return `${hanging}All of it stays as it is, and comes back when this is taken out of the archive.`
  return found.kept ?? `${hanging}It is deleted with everything that belongs to it, and cannot be brought back.`
}

/** Asks before something is put away on which other things hang, and before anything is deleted for good. */
export function ArchiveDialog({ asking, onAnswer }: { readonly asking: Asking | null; readonly onAnswer: (yes: boolean) => void }) {
  if (!asking) return null
  const { thing, found, way } = asking
  const isKept = way === 'delete' && found.kept !== null
  return (
    <Dialog open onClose={() => onAnswer(false)} aria-labelledby="archive-title" maxWidth="sm" fullWidth>
      <DialogTitle id="archive-title">
        {way === 'archive' ? `Put ${thing.name} into the archive?` : isKept ? `${thing.name} stays` : `Delete ${thing.name} for good?`}
      </DialogTitle>
      <DialogContent>
        <DialogContentText>{wordsOf(asking)}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onAnswer(false)}>{isKept ? 'Close' : 'Cancel'}</Button>
        {isKept ? null : (
          <Button variant="contained" onClick={() => onAnswer(true)}>
            {way === 'archive' ? 'Archive' : 'Delete for good'}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  )
}

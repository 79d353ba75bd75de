'use client'
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogContentText from '@mui/material/DialogContentText'
import DialogTitle from '@mui/material/DialogTitle'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { Refusal } from '@/server/actions/action'
import { OpenedDialog } from '../shared/opened-dialog'

export type Choice = 'mine' | 'theirs' | 'leave' | 'reopen'

interface ConflictDialogProps {
  readonly refusal: Refusal | null
  readonly workshopTitle: string
  readonly onChoose: (choice: Choice) => void
}

function Lines({ lines }: { readonly lines: NonNullable<Refusal['stale']>['lines'] }) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell />
          <TableCell>there now</TableCell>
          <TableCell>yours</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((line) => (
          <TableRow key={line.label}>
            <TableCell component="th" scope="row">
              {line.label}
            </TableCell>
            <TableCell className="fig">{line.now}</TableCell>
            <TableCell className="fig">{line.yours}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

/** Asks what is to become of a write that cannot simply be kept: made in another workshop, or somebody else was quicker. */
export function ConflictDialog({ refusal, workshopTitle, onChoose }: ConflictDialogProps) {
  const stale = refusal?.stale
  return (
    <OpenedDialog open={refusal !== null} onClose={() => onChoose('leave')} aria-labelledby="conflict-title" maxWidth="sm" fullWidth>
      <DialogTitle id="conflict-title">{stale ? 'Changed elsewhere meanwhile' : 'Another workshop is open'}</DialogTitle>
      <DialogContent>
        <DialogContentText sx={{ mb: 2 }}>{refusal?.message}</DialogContentText>
        {stale && stale.lines.length > 0 ? <Lines lines={stale.lines} /> : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onChoose('leave')}>Decide later</Button>
        {stale ? (
          <>
            <Button onClick={() => onChoose('theirs')}>Take what is there</Button>
            <Button variant="contained" onClick={() => onChoose('mine')}>
              {stale.lines.length > 0 ? 'Keep mine' : 'Do it anyway'}
            </Button>
          </>
        ) : (
          <Button variant="contained" onClick={() => onChoose('reopen')}>
            Open {workshopTitle} again
          </Button>
        )}
      </DialogActions>
    </OpenedDialog>
  )
}

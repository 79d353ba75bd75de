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
import { useEffect, useState } from 'react'
import type { WorkshopFacts } from '@/server/db/check-backup'
import type { BackupLook } from '@/server/services/backups'
import { OpenedDialog } from '../shared/opened-dialog'
import { WORKSHOP_TITLES } from '../shared/workshop-context'

interface RestoreDialogProps {
  readonly file: string | null
  readonly onRestore: (shownLastAt: string | null) => void
  readonly onLeave: () => void
}

const time = (at: string | null) => (at === null ? 'nothing yet' : `${at.slice(0, 10)} ${at.slice(11, 16)}`)

const ROWS: readonly (readonly [label: string, read: (facts: WorkshopFacts) => string | number])[] = [
  ['Name', (facts) => facts.name || '–'],
  ['Last written', (facts) => time(facts.lastAt)],
  ['Jobs', (facts) => facts.jobs],
  ['Pieces', (facts) => facts.pieces],
  ['Readings', (facts) => facts.readings],
]

function Compared({ held, present }: Pick<BackupLook, 'held' | 'present'>) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell />
          <TableCell>in the backup</TableCell>
          <TableCell>there now</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {ROWS.map(([label, read]) => (
          <TableRow key={label}>
            <TableCell component="th" scope="row">
              {label}
            </TableCell>
            <TableCell className="fig">{read(held)}</TableCell>
            <TableCell className="fig">{present ? read(present) : '–'}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

type Look = BackupLook | { readonly problem: string } | null

function useLook(file: string | null): Look {
  const [look, setLook] = useState<Look>(null)
  useEffect(() => {
    setLook(null)
    if (file === null) return
    const left = new AbortController()
    const load = async () => {
      try {
        const response = await fetch(`/api/backups/${encodeURIComponent(file)}`, { signal: left.signal })
        const answer = (await response.json()) as BackupLook | { error: { message: string } }
        setLook('error' in answer ? { problem: answer.error.message } : answer)
      } catch {
        if (!left.signal.aborted) setLook({ problem: 'The program is not responding. Nothing was changed.' })
      }
    }
    void load()
    return () => left.abort()
  }, [file])
  return look
}

/** Shows what a backup holds against what is there, before it takes its place. */
export function RestoreDialog({ file, onRestore, onLeave }: RestoreDialogProps) {
  const look = useLook(file)
  const found = look && 'held' in look ? look : undefined
  return (
    <OpenedDialog open={file !== null} onClose={onLeave} aria-labelledby="restore-title" maxWidth="sm" fullWidth>
      <DialogTitle id="restore-title">Put this backup back?</DialogTitle>
      <DialogContent>
        <DialogContentText sx={{ mb: 2 }}>
          {found
            ? `It takes the place of ${WORKSHOP_TITLES[found.backup.of]} and is opened. What is there now is kept as a backup first.`
            : look && 'problem' in look
              ? look.problem
              : 'Looking at it…'}
        </DialogContentText>
        {found ? <Compared {...found} /> : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onLeave}>Cancel</Button>
        <Button variant="contained" disabled={!found} onClick={() => onRestore(found?.present?.lastAt ?? null)}>
          Restore it
        </Button>
      </DialogActions>
    </OpenedDialog>
  )
}

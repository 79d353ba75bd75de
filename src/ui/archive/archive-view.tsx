'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { ArchiveDialog } from './archive-dialog'
import { type Thing, useArchive } from './use-archive'

export interface ArchivedThing extends Thing {
  readonly what: string
  readonly revision: number
  /** The day it was put away, as it is read. */
  readonly since: string
}

/** What was put away: to be taken out again, or deleted for good. */
export function ArchiveView({ things }: { readonly things: readonly ArchivedThing[] }) {
  const { asking, takeOut, deleteForGood, answer } = useArchive()
  if (things.length === 0)
    return (
      <Box sx={{ p: 2.5, maxWidth: 560 }}>
        <Typography variant="h3" component="h2">
          The archive is empty
        </Typography>
        <Typography sx={{ mt: 1 }}>Jobs, pieces, metal and tools that you archive lie here until you take them out again.</Typography>
      </Box>
    )
  return (
    <Box sx={{ p: 2.5 }}>
      <Table aria-label="Archive" size="small" sx={{ maxWidth: 900 }}>
        <TableHead>
          <TableRow>
            <TableCell>What</TableCell>
            <TableCell>Name</TableCell>
            <TableCell>Since</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {things.map((thing) => (
            <TableRow key={`${thing.kind}-${thing.id}`}>
              <TableCell>{thing.what}</TableCell>
              <TableCell component="th" scope="row">
                {thing.name}
              </TableCell>
              <TableCell className="fig">{thing.since}</TableCell>
              <TableCell align="right">
                <Button onClick={() => void takeOut(thing, thing.revision)} sx={{ mr: 1 }}>
                  Take out
                </Button>
                <Button onClick={() => void deleteForGood(thing)}>Delete for good</Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <ArchiveDialog asking={asking} onAnswer={(yes) => void answer(yes)} />
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { ChoiceField } from '../shared/choice-field'
import { useWorkshop } from '../shared/workshop-context'

const TABLES: Readonly<Record<string, string>> = {
  jobs: 'jobs',
  pieces: 'pieces',
  stock: 'metal',
  trays: 'trays',
  entries: 'entries of the bench',
  tools: 'tools',
  layouts: 'layouts',
  baths: 'baths',
  bath_entries: 'etches',
  swatches: 'swatches',
  jars: 'scrap jars',
  jar_entries: 'weighings of scrap',
  templates: 'templates',
}

/** The workshop to take along: whole as one open file, or a table of it for a spreadsheet. */
export function TakeAway() {
  const { uid } = useWorkshop()
  const [table, setTable] = useState('jobs')
  return (
    <Box component="section" aria-label="Take it along" sx={{ mt: 2 }}>
      <Typography variant="h2">Take it along</Typography>
      <Typography variant="body2">One zip with all tables as JSON and the pictures; it can be brought into another workshop.</Typography>
      <Box sx={{ my: 1 }}>
        <Button component="a" href={`/api/workshop/zip?of=${uid}`}>
          Everything as a zip
        </Button>
      </Box>
      <ChoiceField label="One table" value={table} options={TABLES} onChange={setTable} width={180} />
      <Button component="a" href={`/api/workshop/${table}/csv?of=${uid}`} sx={{ mt: 1 }}>
        As CSV
      </Button>
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useAct } from '../acting/act-provider'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { PrintLayout } from './print-layout'

export interface CutView {
  readonly id: number
  readonly revision: number
  readonly label: string
  readonly count: number
  readonly canPutBack: boolean
}

/** What was cut of this job: printed again, or put back as long as no remnant was used. */
export function CutAlready({ jobId, cut }: { readonly jobId: number; readonly cut: readonly CutView[] }) {
  const act = useAct()
  const [problem, setProblem] = useState('')
  async function putBack(item: CutView) {
    const done = await act('putBackCut', { id: item.id }, { revision: item.revision })
    setProblem(done.ok ? `Put back: ${item.label} is whole again.` : done.message)
  }
  return (
    <Box component="section" aria-label="Cut already" sx={{ mt: 2 }}>
      <Typography variant="h2">Cut already</Typography>
      {cut.map((item) => (
        <Box key={item.id} sx={{ py: 0.5, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
          <Typography>
            <span className="fig">{item.count}</span> from {item.label}
          </Typography>
          <PrintLayout layoutId={item.id} label="Print it" variant="text" />
          <Button component={PageLink} variant="text" href={`/layout/${jobId}/saw?of=${item.id}`}>
            How it is sawn
          </Button>
          {item.canPutBack ? (
            <Button variant="text" onClick={() => void putBack(item)}>
              Put it back
            </Button>
          ) : null}
        </Box>
      ))}
      <Typography role="status" variant="body2">
        {problem}
      </Typography>
    </Box>
  )
}

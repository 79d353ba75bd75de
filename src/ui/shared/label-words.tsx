'use client'
import Box from '@mui/material/Box'
import Tooltip from '@mui/material/Tooltip'
import { termIn } from '@/core/glossary'
import { PALETTE } from '../theme/palette'

/** The words of a label, the one of the trade among them explained when it is pointed at or pressed on a phone. */
export function LabelWords({ label }: { readonly label: string }) {
  const found = termIn(label)
  if (!found) return label
  const { term, from, to } = found
  return (
    <>
      {label.slice(0, from)}
      <Tooltip title={term.means} describeChild placement="top-start" enterDelay={400} enterTouchDelay={250} leaveTouchDelay={5000}>
        <Box component="span" sx={{ borderBottom: `1px dotted ${PALETTE.muted}`, cursor: 'help' }}>
          {label.slice(from, to)}
        </Box>
      </Tooltip>
      {label.slice(to)}
    </>
  )
}

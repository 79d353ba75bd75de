'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { SaveWords } from '../acting/save-words'
import { KEY_REGISTRY } from '../keys/registry'
import { TimedProgress } from '../shared/timed-progress'
import { PALETTE } from '../theme/palette'
import { BlankCounts } from './blank-counts'
import { whatDiffers } from './layout-setup'
import type { LayoutTableProps } from './layout-table-props'
import { type LayoutHand, SEARCH_SECONDS } from './use-layout'
import { WhichSheet } from './which-sheet'

/** The blanks of the job: how many lie there, the search for their places, and which of them cannot be cut as they lie. */
export function PlaceBlanks({ items, sheets, layout }: Pick<LayoutTableProps, 'items' | 'sheets'> & { readonly layout: LayoutHand }) {
  const { choice, placements, illegal } = layout
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', mt: 2 }}>
        <Box>
          <Typography variant="h2">Blanks</Typography>
          <SaveWords state={layout.state} />
        </Box>
        <Box>
          <Button variant="text" title={KEY_REGISTRY.undo.shown} disabled={!layout.canUndo} onClick={layout.undo}>
            Undo
          </Button>
          <Button variant="text" title={KEY_REGISTRY.redo.shown} disabled={!layout.canRedo} onClick={layout.redo}>
            Redo
          </Button>
        </Box>
      </Box>
      <BlankCounts items={items} placements={placements} />
      {items.length === 0 ? <Typography>This job has no blanks cut from sheet.</Typography> : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
        <Button variant="contained" fullWidth disabled={layout.busy || !choice} onClick={() => void layout.pack()}>
          {layout.busy ? 'Placing…' : 'Place the blanks'}
        </Button>
        {layout.busy ? <Button onClick={layout.stop}>Stop</Button> : null}
      </Box>
      {layout.busy ? null : (
        <WhichSheet
          instance={layout.instance}
          sheets={sheets.filter((sheet) => whatDiffers(sheet, items) === 'nothing')}
          onUse={({ choice: used, placements: laid }) => layout.layOn(used.id, laid)}
        />
      )}
      {layout.busy ? <TimedProgress label="Looking for better places" seconds={SEARCH_SECONDS} /> : null}
      <Typography role="status" sx={{ mt: 1, fontSize: 13.5 }}>
        {layout.said}
      </Typography>
      {illegal.length > 0 && choice ? (
        <Typography role="alert" sx={{ mt: 1, color: PALETTE.fire, fontWeight: 600 }}>
          {new Set(illegal.flatMap(({ index, other }) => [index, other ?? index])).size} cannot be cut as they lie: hatched blanks overlap,
          leave the sheet or lie where another job has its blanks.
        </Typography>
      ) : null}
    </>
  )
}

'use client'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useAct } from '../acting/act-provider'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { useKeys } from '../keys/use-keys'
import { CutAlready } from './cut-already'
import { CutDialog } from './cut-dialog'
import { LayoutOutput } from './layout-output'
import type { LayoutTableProps } from './layout-table-props'
import { PlaceBlanks } from './place-blanks'
import { SelectedBlanks } from './selected-blanks'
import { NOTHING, type Selection } from './selection'
import { SheetAndPanel } from './sheet-and-panel'
import { SheetChoices } from './sheet-choices'
import { SheetView } from './sheet-view'
import { useLayout } from './use-layout'

/** The job's blanks on a sheet from the drawer: packed, moved by hand, printed at full size, cut. */
export function LayoutTable(props: LayoutTableProps) {
  const { jobId, items, sheets, gapMm, marginMm, cut, gone } = props
  const act = useAct()
  const layout = useLayout(props)
  const [selected, setSelected] = useState<Selection>(NOTHING)
  const [comesToRest, setComesToRest] = useState(true)
  const [problem, setProblem] = useState('')
  const [asking, setAsking] = useState(false)
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  useKeys({ undo: layout.undo, redo: layout.redo })
  const { choice, placements, illegal, layoutId, byId, hands } = layout
  async function cutNow() {
    setAsking(false)
    if (layoutId === null || !(await layout.stored())) return
    const done = await act('cutLayout', { id: layoutId }, { revision: layout.revision.current })
    setProblem(done.ok ? `Cut. In the drawer now: ${done.remnants.join(', ') || 'nothing worth keeping is left'}.` : done.message)
  }
  return (
    <>
      <SheetAndPanel
        sheetRef={ref}
        label="Layout"
        panelPx={300}
        sheet={
          choice ? (
            <SheetView
              sheet={choice.sheet}
              colour={colourOf(choice.alloy)}
              items={byId}
              placements={placements}
              illegal={illegal}
              gaps={{ kerfMm: gapMm, marginMm }}
              comesToRest={comesToRest}
              selected={selected}
              width={width}
              height={height - 8}
              onSelect={setSelected}
              hands={hands}
            />
          ) : (
            <Typography sx={{ p: 4 }}>
              {gone
                ? 'The sheet this layout lay on is no longer whole; see at the right.'
                : 'There is no sheet in the drawer yet. Put one in, and the blanks can be placed on it.'}
            </Typography>
          )
        }
      >
        <SheetChoices {...props} layout={layout} />
        <PlaceBlanks items={items} sheets={sheets} layout={layout} />
        <SelectedBlanks
          selected={selected}
          placements={placements}
          items={byId}
          hands={hands}
          isBusy={layout.busy}
          onFitRound={() => layout.fitRound(selected)}
        />
        <FormControlLabel
          sx={{ mt: 0.5 }}
          control={<Checkbox size="small" checked={comesToRest} onChange={(_, on) => setComesToRest(on)} />}
          label="Dragged blanks come to rest a kerf from others and on centre lines"
        />
        <Typography variant="body2">
          Drag a blank, or a frame round several; Shift adds one. The arrow keys move, R turns, P pins; with Alt held nothing holds it back.
        </Typography>
        {layoutId !== null && placements.length > 0 && choice ? (
          <LayoutOutput
            layout={layout}
            layoutId={layoutId}
            onCut={() => {
              void layout.stored()
              setAsking(true)
            }}
          />
        ) : null}
        {problem ? (
          <Typography role="status" sx={{ mt: 1 }}>
            {problem}
          </Typography>
        ) : null}
        {cut.length > 0 ? <CutAlready jobId={jobId} cut={cut} /> : null}
      </SheetAndPanel>
      {choice ? (
        <CutDialog
          open={asking}
          choice={choice}
          items={byId}
          placements={placements}
          kerfMm={gapMm}
          onCut={() => void cutNow()}
          onLeave={() => setAsking(false)}
        />
      ) : null}
    </>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { netAreaMm2 } from '@/core/geometry'
import type { LayoutItem } from '@/core/layout'
import { formatPlain } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { SaveWords } from '../acting/save-words'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { KEY_REGISTRY } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { ChoiceField } from '../shared/choice-field'
import { TimedProgress } from '../shared/timed-progress'
import { PALETTE } from '../theme/palette'
import { BlankCounts } from './blank-counts'
import { CutAlready, type CutView } from './cut-already'
import { CutDialog } from './cut-dialog'
import { LayoutOutput } from './layout-output'
import { SelectedBlanks } from './selected-blanks'
import { NOTHING, type Selection } from './selection'
import { SheetAndPanel } from './sheet-and-panel'
import { SheetView } from './sheet-view'
import { Differs, type GoneSheet, Reserved, SheetGone, sheetWords } from './sheet-words'
import { type DraftLayout, inOrder, SEARCH_SECONDS, type SheetChoice, useLayout, whatDiffers } from './use-layout'
import { WhichSheet } from './which-sheet'

interface LayoutTableProps {
  readonly jobId: number
  readonly jobs: readonly { readonly id: number; readonly title: string }[]
  readonly items: readonly { readonly item: LayoutItem; readonly name: string; readonly pieceId: number }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: DraftLayout | null
  readonly cut: readonly CutView[]
  /** Where the draft's sheet is no longer whole: what happened, and what is left of it. */
  readonly gone: GoneSheet | null
  readonly kerfMm: number
  /** What blanks must have between them: the kerf, or more for other ways to cut them than the saw. */
  readonly gapMm: number
  /** The smith's own blade for this metal, where the wall has one. */
  readonly ownBlade: string | null
  readonly marginMm: number
}

/** The job's blanks on a sheet from the drawer: packed, moved by hand, printed at full size, cut. */
export function LayoutTable(props: LayoutTableProps) {
  const { jobId, jobs, items, sheets, kerfMm, gapMm, ownBlade, marginMm, cut, gone } = props
  const router = useRouter()
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
        <ChoiceField
          label="Job"
          value={String(jobId)}
          options={Object.fromEntries(jobs.map((job) => [job.id, job.title]))}
          onChange={(id) => router.push(`/layout/${id}`)}
          width={190}
        />
        <ChoiceField
          label="Sheet"
          value={String(layout.sheetId)}
          options={{
            ...(choice ? {} : { [layout.sheetId]: 'choose' }),
            ...Object.fromEntries(inOrder(sheets, items).map((sheet) => [`${sheet.id}`, sheetWords(sheet, items)])),
          }}
          onChange={(id) => layout.chooseSheet(Number(id))}
          width={190}
        />
        {choice ? <Differs choice={choice} items={items} /> : null}
        {gone && !choice ? <SheetGone gone={gone} onMove={layout.moveTo} /> : null}
        <Typography variant="body2" sx={{ mt: 0.75 }}>
          Kerf <span className="fig">{formatPlain(kerfMm, 2)} mm</span>
          {ownBlade ? ` (your ${ownBlade} blade)` : ''}
          {gapMm > kerfMm ? (
            <>
              , <span className="fig">{formatPlain(gapMm, 1)} mm</span> between blanks for the way they are cut
            </>
          ) : null}
          , margin <span className="fig">{marginMm} mm</span>
          {choice ? (
            <>
              , sheet <span className="fig">{formatPlain(netAreaMm2(choice.sheet.outer, choice.sheet.holes) / 100, 1)} cm²</span>
            </>
          ) : null}
        </Typography>
        {choice ? <Reserved choice={choice} /> : null}
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
            {new Set(illegal.flatMap(({ index, other }) => [index, other ?? index])).size} cannot be cut as they lie: hatched blanks
            overlap, leave the sheet or lie where another job has its blanks.
          </Typography>
        ) : null}
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

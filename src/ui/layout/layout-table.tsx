'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { netAreaMm2 } from '@/core/geometry'
import type { LayoutItem, Placement } from '@/core/layout'
import { ALLOYS } from '@/core/metals'
import { formatPlain } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { SaveWords } from '../acting/save-words'
import { useSize } from '../drawing/use-size'
import { KEY_REGISTRY } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { ChoiceField } from '../shared/choice-field'
import { TimedProgress } from '../shared/timed-progress'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { CutDialog } from './cut-dialog'
import { PrintLayout } from './print-layout'
import { SheetView } from './sheet-view'
import { type DraftLayout, inOrder, SEARCH_SECONDS, type SheetChoice, useLayout, whatDiffers } from './use-layout'
import { WhichSheet } from './which-sheet'

interface CutView {
  readonly id: number
  readonly revision: number
  readonly label: string
  readonly count: number
  readonly canPutBack: boolean
}

interface LayoutTableProps {
  readonly jobId: number
  readonly jobs: readonly { readonly id: number; readonly title: string }[]
  readonly items: readonly { readonly item: LayoutItem; readonly name: string; readonly pieceId: number }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: DraftLayout | null
  readonly cut: readonly CutView[]
  /** Where the draft's sheet is no longer whole: what happened, and what is left of it. */
  readonly gone: { readonly message: string; readonly remnants: readonly { readonly id: number; readonly label: string }[] } | null
  readonly kerfMm: number
  /** The smith's own blade for this metal, where the wall has one. */
  readonly ownBlade: string | null
  readonly marginMm: number
}

function colourOf(alloy: string) {
  return (Object.values(ALLOYS).find((item) => item.id === alloy) ?? ALLOYS['sterling-925']).colour
}

function sheetWords(sheet: SheetChoice, items: LayoutTableProps['items']): string {
  const metal = Object.values(ALLOYS).find((item) => item.id === sheet.alloy)?.title ?? sheet.alloy
  const differs = whatDiffers(sheet, items)
  return `${sheet.label}, ${metal.toLowerCase()} ${formatPlain(sheet.thicknessMm, 2)}${differs === 'nothing' ? '' : ` (other ${differs})`}`
}

function Blanks({ items, placements }: Pick<LayoutTableProps, 'items'> & { readonly placements: readonly Placement[] }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {items.map(({ item, name }) => {
        const placed = placements.filter((place) => place.id === item.id).length
        return (
          <Box
            component="li"
            key={item.id}
            sx={{ display: 'flex', justifyContent: 'space-between', py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}
          >
            <span>{name}</span>
            <Box className="fig" sx={{ color: placed < item.qty ? PALETTE.fire : PALETTE.verdigris, fontWeight: 700 }}>
              {placed} of {item.qty}
            </Box>
          </Box>
        )
      })}
    </Box>
  )
}

/** What was cut of this job: printed again, or put back as long as no remnant was used. */
function CutAlready({ cut }: { readonly cut: readonly CutView[] }) {
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

/** Says what became of a sheet that was cut, and moves the blanks to what is left of it. */
function SheetGone({ gone, onMove }: { readonly gone: NonNullable<LayoutTableProps['gone']>; readonly onMove: (id: number) => void }) {
  return (
    <Box role="alert" sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1.25, mt: 1.5 }}>
      <Typography>{gone.message}</Typography>
      {gone.remnants.map((remnant) => (
        <Button key={remnant.id} sx={{ mt: 1, mr: 1 }} onClick={() => onMove(remnant.id)}>
          Move to {remnant.label}
        </Button>
      ))}
    </Box>
  )
}

function Reserved({ choice }: { readonly choice: SheetChoice }) {
  if (choice.reserved.length === 0) return null
  return (
    <Typography variant="body2" sx={{ mt: 1 }}>
      Dotted blanks are reserved:{' '}
      {choice.reserved.map((item, i) => (
        <span key={item.jobId}>
          {i > 0 ? ', ' : ''}
          {item.count} for <Link href={`/layout/${item.jobId}`}>{item.jobTitle}</Link>
        </span>
      ))}
      .
    </Typography>
  )
}

/** What is different about the sheet that was chosen, where none of the blanks can be cut from it as they are. */
function Differs({ choice, items }: { readonly choice: SheetChoice; readonly items: LayoutTableProps['items'] }) {
  const differs = whatDiffers(choice, items)
  const [first] = items
  if (differs === 'nothing' || !first) return null
  const metal =
    Object.values(ALLOYS)
      .find((alloy) => alloy.id === first.item.alloy)
      ?.title.toLowerCase() ?? first.item.alloy
  return (
    <Typography role="alert" sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1, mt: 1 }}>
      {choice.label} is of another {differs}: these blanks need {metal} {formatPlain(first.item.thicknessMm, 2)} mm.
    </Typography>
  )
}

interface OutputProps {
  readonly layout: ReturnType<typeof useLayout>
  readonly layoutId: number
  readonly onCut: () => void
}

/** Paper, file and saw: an illegal layout says so on what it prints, and cannot be cut. */
function Output({ layout, layoutId, onCut }: OutputProps) {
  const { uid } = useWorkshop()
  const isLegal = layout.illegal.length === 0
  const tail = isLegal ? '' : ', as it is'
  return (
    <Box sx={{ mt: 2, display: 'grid', gap: 1 }}>
      <PrintLayout layoutId={layoutId} label={`Print full size (PDF)${tail}`} />
      <Button href={`/api/layouts/${layoutId}/svg?of=${uid}`}>Download SVG{tail}</Button>
      <Button disabled={!isLegal || layout.busy} onClick={onCut}>
        Cut: take it off the sheet
      </Button>
      <Button variant="text" onClick={layout.clear}>
        Take all blanks off
      </Button>
    </Box>
  )
}

/** The job's blanks on a sheet from the drawer: packed, moved by hand, printed at full size, cut. */
export function LayoutTable(props: LayoutTableProps) {
  const { jobId, jobs, items, sheets, kerfMm, ownBlade, marginMm, cut, gone } = props
  const router = useRouter()
  const act = useAct()
  const layout = useLayout(props)
  const [selected, setSelected] = useState<number | null>(null)
  const [problem, setProblem] = useState('')
  const [asking, setAsking] = useState(false)
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  useKeys({ undo: layout.undo, redo: layout.redo })
  const byId = useMemo(() => new Map(items.map((entry) => [entry.item.id, entry])), [items])
  const { choice, placements, illegal, layoutId } = layout
  async function cutNow() {
    setAsking(false)
    if (layoutId === null || !(await layout.stored())) return
    const done = await act('cutLayout', { id: layoutId }, { revision: layout.revision.current })
    setProblem(done.ok ? `Cut. In the drawer now: ${done.remnants.join(', ') || 'nothing worth keeping is left'}.` : done.message)
  }
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 300px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        minHeight: { xs: 0, md: 560 },
        overflow: { md: 'hidden' },
      }}
    >
      <Box ref={ref} component="section" aria-label="Sheet" sx={{ minHeight: { xs: 420, md: 0 }, overflow: 'hidden' }}>
        {choice ? (
          <SheetView
            sheet={choice.sheet}
            colour={colourOf(choice.alloy)}
            items={byId}
            placements={placements}
            illegal={illegal}
            selected={selected}
            width={width}
            height={height - 8}
            onSelect={setSelected}
            onMove={layout.move}
            onTurn={layout.turn}
          />
        ) : (
          <Typography sx={{ p: 4 }}>
            {gone
              ? 'The sheet this layout lay on is no longer whole; see at the right.'
              : 'There is no sheet in the drawer yet. Put one in, and the blanks can be placed on it.'}
          </Typography>
        )}
      </Box>
      <Box
        component="section"
        aria-label="Layout"
        sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
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
          {ownBlade ? ` (your ${ownBlade} blade)` : ''}, margin <span className="fig">{marginMm} mm</span>
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
        <Blanks items={items} placements={placements} />
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
            onUse={({ choice: used, placements: laid = [] }) => layout.layOn(used.id, laid)}
          />
        )}
        {layout.busy ? <TimedProgress label="Looking for better places" seconds={SEARCH_SECONDS} /> : null}
        <Typography role="status" sx={{ mt: 1, fontSize: 13.5 }}>
          {layout.said}
        </Typography>
        {illegal.length > 0 && choice ? (
          <Typography role="alert" sx={{ mt: 1, color: PALETTE.fire, fontWeight: 600 }}>
            {illegal.length} cannot be cut as they lie: hatched blanks overlap, leave the sheet or lie where another job has its blanks.
          </Typography>
        ) : null}
        <Typography variant="body2" sx={{ mt: 1 }}>
          Drag a blank, or select it and use the arrow keys (Shift for 5 mm) and R to turn it.
        </Typography>
        {layoutId !== null && placements.length > 0 && choice ? (
          <Output
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
        {cut.length > 0 ? <CutAlready cut={cut} /> : null}
      </Box>
      {choice ? (
        <CutDialog
          open={asking}
          choice={choice}
          items={byId}
          placements={placements}
          kerfMm={kerfMm}
          onCut={() => void cutNow()}
          onLeave={() => setAsking(false)}
        />
      ) : null}
    </Box>
  )
}

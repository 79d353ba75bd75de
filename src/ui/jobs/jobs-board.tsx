'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Archive, Copy, Pencil, Plus } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { isOpenJob } from '@/core/entries'
import { countWords } from '@/core/logbook'
import { formatPlain } from '@/core/units'
import type { JobLine } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ArchiveDialog } from '../archive/archive-dialog'
import { type Thing, useArchive } from '../archive/use-archive'
import { Thumb } from '../drawing/thumb'
import type { GridColumn, GridRow } from '../grid/columns'
import { DataTable } from '../grid/data-table'
import { useDates } from '../shared/dates'
import { LookChoice, useLook } from '../shared/look-choice'
import { MoreMenu } from '../shared/more-menu'
import { useNotice } from '../shared/notices'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { type FirstAnswers, FirstStart, TrialMark } from './first-start'
import { JobForm } from './job-form'
import type { JobView, PieceView } from './job-view'
import { NewPiece } from './new-piece'
import { RenamePiece } from './rename-piece'
import { STATUS_WORDS } from './words'

function PieceLine({ piece, onArchive }: { readonly piece: PieceView; readonly onArchive: (thing: Thing) => void }) {
  const act = useAct()
  const say = useNotice()
  const [renaming, setRenaming] = useState(false)
  async function duplicate() {
    const done = await act('duplicatePiece', { pieceId: piece.id })
    say({ text: done.ok ? `${piece.name} has a variant beside it.` : done.message })
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, py: 0.75, borderTop: `1px dotted ${PALETTE.hairline}` }}>
      {piece.thumb ? <Thumb {...piece.thumb} size={54} /> : <Box sx={{ width: 54, height: 54 }} />}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <PageLink href={`/pieces/${piece.id}`} style={{ color: PALETTE.ink, fontWeight: 650, fontSize: 15 }}>
          {piece.name}
        </PageLink>
        <Typography variant="body2">
          {countWords(piece)}, {piece.alloy} <span className="fig">{formatPlain(piece.thicknessMm, 2)} mm</span>
        </Typography>
      </Box>
      <Box sx={{ textAlign: 'right' }}>
        {piece.cutMm === null ? (
          <Typography sx={{ color: PALETTE.fire, fontSize: 13 }}>size not complete</Typography>
        ) : (
          <Box className="fig" sx={{ fontWeight: 700 }}>
            {formatPlain(piece.cutMm, 2)} mm
          </Box>
        )}
        {piece.openTrayId === null ? (
          <Typography variant="body2">{piece.trayCount > 0 ? 'made before' : 'to cut'}</Typography>
        ) : (
          <PageLink href={`/bench/${piece.openTrayId}`} style={{ color: PALETTE.verdigris, fontWeight: 600, fontSize: 13 }}>
            at the bench
          </PageLink>
        )}
      </Box>
      <MoreMenu
        label={`More of ${piece.name}`}
        entries={[
          { label: 'Rename', icon: Pencil, onChoose: () => setRenaming(true) },
          { label: 'Duplicate', icon: Copy, onChoose: () => void duplicate() },
          { label: 'Archive', icon: Archive, onChoose: () => onArchive({ kind: 'piece', id: piece.id, name: piece.name }) },
        ]}
      />
      <RenamePiece piece={piece} open={renaming} onClose={() => setRenaming(false)} />
    </Box>
  )
}

const intoView = (card: HTMLElement | null) => card?.scrollIntoView({ block: 'nearest' })

function JobCard({
  job,
  isShown,
  isTrial,
  today,
  onArchive,
}: {
  readonly job: JobView
  readonly isShown: boolean
  readonly isTrial: boolean
  readonly today: string
  readonly onArchive: (thing: Thing) => void
}) {
  const act = useAct()
  const say = useNotice()
  const router = useRouter()
  const [editing, setEditing] = useState(false)
  async function duplicate() {
    const done = await act('duplicateJob', { id: job.id })
    say({ text: done.ok ? `${job.title} is copied.` : done.message })
    if (done.ok) router.push(`/jobs?job=${done.id}`)
  }
  const [adding, setAdding] = useState(false)
  const { day } = useDates()
  const late = job.dueOn !== null && job.dueOn < today && isOpenJob(job)
  return (
    <Box
      component="article"
      aria-label={job.title}
      ref={isShown ? intoView : undefined}
      sx={{
        bgcolor: PALETTE.paper,
        border: `1px solid ${isShown ? PALETTE.verdigris : PALETTE.hairline}`,
        borderRadius: '4px',
        p: 2,
        pb: 1,
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
        <Box sx={{ minWidth: 0 }}>
          <Typography variant="h3" component="h2">
            {job.title}
          </Typography>
          <Typography variant="body2">{job.customer || 'no customer named'}</Typography>
        </Box>
        <Box sx={{ textAlign: 'right', flexShrink: 0 }}>
          <Typography sx={{ fontWeight: 600, color: PALETTE.verdigris }}>{STATUS_WORDS[job.status]}</Typography>
          <Typography variant="body2" sx={{ color: late ? PALETTE.fire : undefined }}>
            {late ? 'late, ' : ''}
            {job.dueOn === null ? 'no date' : `due ${day(job.dueOn)}`}
          </Typography>
        </Box>
      </Box>
      {isTrial ? <TrialMark job={job} /> : null}
      {job.note ? (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {job.note}
        </Typography>
      ) : null}
      <Box sx={{ mt: 1 }}>
        {job.pieces.map((piece) => (
          <PieceLine key={piece.id} piece={piece} onArchive={onArchive} />
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, borderTop: `1px dotted ${PALETTE.hairline}`, pt: 0.5 }}>
        <Button variant="text" onClick={() => setAdding(true)}>
          Add a piece
        </Button>
        <Button variant="text" onClick={() => setEditing(!editing)}>
          Change the job
        </Button>
        {job.pieces.length > 0 ? (
          <Button variant="text" component={PageLink} href={`/layout/${job.id}`}>
            Lay it out
          </Button>
        ) : null}
        {job.pieces.length > 0 ? (
          <Button variant="text" component={PageLink} href={`/jobs/${job.id}/quote`}>
            Quote
          </Button>
        ) : null}
        <Box sx={{ flex: 1 }} />
        <MoreMenu
          label={`More of ${job.title}`}
          entries={[
            { label: 'Duplicate', icon: Copy, onChoose: () => void duplicate() },
            { label: 'Archive', icon: Archive, onChoose: () => onArchive({ kind: 'job', id: job.id, name: job.title }) },
          ]}
        />
      </Box>
      <NewPiece jobId={job.id} open={adding} onClose={() => setAdding(false)} />
      {editing ? <JobForm job={job} onDone={() => setEditing(false)} /> : null}
    </Box>
  )
}

interface JobsBoardProps {
  readonly jobs: readonly JobView[]
  /** Every job in a line, where they are asked for as a table. */
  readonly lines: readonly JobLine[]
  /** The job that was just made or looked for: it comes into view. */
  readonly shown: number | null
  /** The job that is only there to try things out. */
  readonly trialJobId: number | null
  /** What the first questions start from; null where they were answered. */
  readonly firstStart: FirstAnswers | null
  readonly today: string
}

const COLUMNS: readonly GridColumn[] = [
  { key: 'title', title: 'Job', wide: 2 },
  { key: 'customer', title: 'For', wide: 1.6 },
  { key: 'status', title: 'Status' },
  { key: 'dueOn', title: 'Due', kind: 'day' },
  { key: 'pieces', title: 'Pieces', kind: 'figure', wide: 0.6 },
]

function lineOf({ id, title, customer, status, dueOn, pieces }: JobLine): GridRow {
  return { id, href: `/jobs?job=${id}`, cells: { title, customer, status: STATUS_WORDS[status], dueOn, pieces } }
}

/** What was promised, of what: each job with its pieces drawn, what to cut, and where it stands. */
export function JobsBoard({ jobs, lines, shown, trialJobId, firstStart, today }: JobsBoardProps) {
  const look = useLook()
  const rows = useMemo(() => lines.map(lineOf), [lines])
  const [making, setMaking] = useState(false)
  const { asking, archive, answer } = useArchive()
  return (
    <Box sx={{ p: 2.5 }}>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={() => setMaking(!making)}>
          New job
        </Button>
        <Button variant="text" component={PageLink} href="/archive">
          Archive
        </Button>
        <Box sx={{ flex: 1 }} />
        <LookChoice drawn="With their pieces" />
      </Box>
      {look === 'table' ? (
        <Box sx={{ mt: 2, height: 'calc(100vh - 170px)' }}>
          <DataTable label="Jobs" columns={COLUMNS} rows={rows} empty="No jobs yet." />
        </Box>
      ) : null}
      {making ? (
        <Box sx={{ maxWidth: 520, my: 1.5, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}>
          <JobForm onDone={() => setMaking(false)} />
        </Box>
      ) : null}
      {firstStart ? <FirstStart answers={firstStart} /> : null}
      {jobs.length === 0 && !making && look === 'drawn' ? (
        <Box sx={{ maxWidth: 520, mt: 4 }}>
          <Typography variant="h3" component="h2">
            No jobs yet
          </Typography>
          <Typography sx={{ mt: 1 }}>
            Start with a new job, or type a piece into the line at the top, such as <code>dome 24 x 6 20ga brass</code>, and make a piece of
            it.
          </Typography>
        </Box>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))', xl: 'repeat(3, minmax(0, 1fr))' },
          gap: 2,
          mt: 2,
          alignItems: 'start',
        }}
      >
        {(look === 'table' ? [] : jobs).map((job) => (
          <JobCard
            key={job.id}
            job={job}
            isShown={job.id === shown}
            isTrial={job.id === trialJobId}
            today={today}
            onArchive={(thing) => void archive(thing)}
          />
        ))}
      </Box>
      <ArchiveDialog asking={asking} onAnswer={(yes) => void answer(yes)} />
    </Box>
  )
}

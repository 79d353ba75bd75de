'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Lesson } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { PageLink } from '../shared/page-link'
import { ProblemLine } from '../shared/problem-line'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'

interface LessonsViewProps {
  readonly lessons: readonly Lesson[]
  readonly pieces: readonly { readonly id: number; readonly name: string }[]
}

/** Pieces prepared as lessons: learners open one on their own devices and predict before they see. */
export function LessonsView({ lessons, pieces }: LessonsViewProps) {
  const act = useAct()
  const [piece, setPiece] = useState(String(pieces[0]?.id ?? ''))
  const [title, setTitle] = useState('')
  const [problem, setProblem] = useState('')
  const [leaving, setLeaving] = useState<Lesson | null>(null)
  async function prepare() {
    const done = await act('addLesson', { pieceId: Number(piece), title })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) setTitle('')
  }
  async function drop(lesson: Lesson) {
    const done = await act('dropLesson', { id: lesson.id }, { revision: lesson.revision })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.6fr) minmax(0, 1fr)' }, gap: 4 }}>
      <Box component="section" aria-label="Lessons">
        {lessons.length === 0 ? <Typography>No lesson is prepared yet.</Typography> : null}
        {lessons.map((lesson) => (
          <Box
            key={lesson.id}
            component="article"
            aria-label={lesson.title}
            sx={{ display: 'flex', alignItems: 'center', gap: 2, py: 1.25, borderBottom: `1px solid ${PALETTE.hairline}` }}
          >
            <Box sx={{ flex: 1 }}>
              <PageLink href={`/book/lessons/${lesson.id}`} style={{ color: PALETTE.ink, fontWeight: 650, fontSize: 17 }}>
                {lesson.title}
              </PageLink>
              <Typography variant="body2">
                {pieces.find(({ id }) => id === lesson.pieceId)?.name ?? ''}, <span className="fig">{lesson.learners}</span>{' '}
                {lesson.learners === 1 ? 'learner' : 'learners'}
              </Typography>
            </Box>
            <PageLink href={`/book/lessons/${lesson.id}?view=class`} style={{ color: PALETTE.verdigris, fontWeight: 600 }}>
              How the class did
            </PageLink>
            <Button variant="text" aria-label={`Delete ${lesson.title}`} onClick={() => setLeaving(lesson)}>
              Delete
            </Button>
          </Box>
        ))}
      </Box>
      <Box component="section" aria-label="Prepare a lesson">
        <Typography variant="h2">Prepare a piece as a lesson</Typography>
        <ChoiceField
          label="Piece"
          value={piece}
          options={Object.fromEntries(pieces.map(({ id, name }) => [String(id), name]))}
          onChange={setPiece}
          width={210}
        />
        <TextRow label="Name of the lesson" value={title} onChange={setTitle} />
        <Button onClick={() => void prepare()} sx={{ mt: 1 }} disabled={pieces.length === 0}>
          Prepare it
        </Button>
        <ProblemLine says={problem} />
        <Typography variant="body2" sx={{ mt: 2 }}>
          Learners open the lesson on their own devices, say what they think, and see the answer afterwards: the size of the blank, the side
          of the line, the order, where it is annealed, which solder.
        </Typography>
      </Box>
      <ConfirmDialog
        open={leaving !== null}
        title={`Delete ${leaving?.title ?? ''}?`}
        says="What the learners predicted in it is deleted too."
        yes="Delete it"
        onAnswer={(yes) => {
          if (yes && leaving) void drop(leaving)
          setLeaving(null)
        }}
      />
    </Box>
  )
}

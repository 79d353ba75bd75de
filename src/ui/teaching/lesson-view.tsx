'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Question } from '@/core/teaching'
import type { PieceThumb } from '@/server/services/piece-thumb'
import { Thumb } from '../drawing/thumb'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { AskPanel } from './ask-panel'
import { LearnerName, useLearner } from './learner-name'

interface LessonViewProps {
  readonly lessonId: number
  readonly questions: readonly Question[]
  readonly thumb: PieceThumb | null
}

/** A lesson as a learner works it: one question after the other, each predicted before it is answered. */
export function LessonView({ lessonId, questions, thumb }: LessonViewProps) {
  const [learner, setLearner] = useLearner()
  const [at, setAt] = useState(0)
  const [right, setRight] = useState(0)
  const question = questions[at]
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.6fr) minmax(0, 1fr)' }, gap: 4 }}>
      <Box>
        {question ? (
          <>
            <Typography variant="body2">
              question <span className="fig">{at + 1}</span> of <span className="fig">{questions.length}</span>
            </Typography>
            <AskPanel
              key={question.id}
              question={question}
              learner={learner}
              lessonId={lessonId}
              onJudged={({ isRight }) => setRight(right + (isRight ? 1 : 0))}
              onNext={() => setAt(at + 1)}
            />
          </>
        ) : (
          <Box role="status">
            <Typography sx={{ fontSize: 26, fontWeight: 700 }}>
              {right} of {questions.length} right
            </Typography>
            <Typography sx={{ my: 1.5 }}>Now make it: the numbers are yours.</Typography>
            <Button
              onClick={() => {
                setAt(0)
                setRight(0)
              }}
            >
              Once more
            </Button>
          </Box>
        )}
      </Box>
      <Box component="section" aria-label="The piece">
        <LearnerName learner={learner} onChange={setLearner} />
        {thumb ? (
          <Box sx={{ my: 2, bgcolor: PALETTE.white, border: `1px solid ${PALETTE.hairline}`, p: 2, display: 'grid', placeItems: 'center' }}>
            <Thumb {...thumb} size={220} />
          </Box>
        ) : null}
        <PageLink href="/book/lessons" style={{ color: PALETTE.verdigris, fontWeight: 600 }}>
          All lessons
        </PageLink>
      </Box>
    </Box>
  )
}

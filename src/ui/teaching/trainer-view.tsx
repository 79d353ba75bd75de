'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useEffect, useMemo, useState } from 'react'
import { exercise, KIND_WORDS, nextKind, TRAINED, type Trained, type Tried } from '@/core/teaching'
import type { Prediction } from '@/server/db/repositories'
import { PALETTE } from '../theme/palette'
import { AskPanel } from './ask-panel'
import { LearnerName, useLearner } from './learner-name'

const ANSWER_WITHIN_MS = 8000
const SHOWN = 20

/** What somebody tried before, the newest first; nothing of it where the program is not responding. */
function useTried(learner: string): readonly [readonly Tried[], (tried: Tried) => void] {
  const [tried, setTried] = useState<readonly Tried[]>([])
  useEffect(() => {
    if (learner.trim() === '') return setTried([])
    const left = new AbortController()
    const timer = setTimeout(() => {
      fetch(`/api/predictions?learner=${encodeURIComponent(learner.trim())}`, {
        signal: AbortSignal.any([left.signal, AbortSignal.timeout(ANSWER_WITHIN_MS)]),
      })
        .then((answer) => answer.json() as Promise<{ predictions: Prediction[] }>)
        .then(({ predictions }) => setTried(predictions))
        .catch(() => undefined)
    }, 400)
    return () => {
      clearTimeout(timer)
      left.abort()
    }
  }, [learner])
  return [tried, (one) => setTried((before) => [one, ...before])]
}

/** How a kind went: a mark for each try, the newest on the right, up for right and down for not. */
function Tries({ tried, kind }: { readonly tried: readonly Tried[]; readonly kind: Trained }) {
  const own = tried.filter((one) => one.kind === kind).slice(0, SHOWN)
  const right = own.filter(({ isRight }) => isRight).length
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '150px 1fr',
        alignItems: 'center',
        py: 0.5,
        borderBottom: `1px dotted ${PALETTE.hairline}`,
      }}
    >
      <span>{KIND_WORDS[kind]}</span>
      <svg
        viewBox="0 0 200 28"
        width={200}
        height={28}
        role="img"
        aria-label={own.length === 0 ? 'not tried yet' : `${right} of ${own.length} right`}
      >
        <line x1={0} x2={200} y1={14} y2={14} stroke={PALETTE.hairline} />
        {own
          .map(({ isRight }, i) => ({ isRight, x: 194 - i * 10 }))
          .map(({ isRight, x }) => (
            <line key={x} x1={x} x2={x} y1={14} y2={isRight ? 4 : 24} stroke={isRight ? PALETTE.verdigris : PALETTE.fire} strokeWidth={4} />
          ))}
      </svg>
    </Box>
  )
}

/** A trainer alone against the program: exercises made from its forms, rules and tables, what was missed more often. */
export function TrainerView({ seed, kind: asked }: { readonly seed: number; readonly kind: Trained | null }) {
  const [learner, setLearner] = useLearner()
  const [tried, add] = useTried(learner)
  const [turn, setTurn] = useState(0)
  const [kind, setKind] = useState<Trained>(asked ?? nextKind([], seed))
  const question = useMemo(() => exercise(kind, seed + turn), [kind, seed, turn])
  function next() {
    setKind(asked ?? nextKind(tried, seed + turn + 1))
    setTurn(turn + 1)
  }
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.6fr) minmax(0, 1fr)' }, gap: 4 }}>
      <AskPanel
        key={question.id}
        question={question}
        learner={learner}
        lessonId={null}
        onJudged={({ isRight }) => add({ kind, isRight })}
        onNext={next}
      />
      <Box component="section" aria-label="How it goes">
        <LearnerName learner={learner} onChange={setLearner} />
        <Typography variant="h2" sx={{ mt: 2 }}>
          How it goes
        </Typography>
        {TRAINED.map((one) => (
          <Tries key={one} tried={tried} kind={one} />
        ))}
        <Typography variant="body2" sx={{ mt: 1 }}>
          Up is right, down is not; the newest on the right. What was missed comes more often.
        </Typography>
      </Box>
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { isNumeric, type Judged, type Question } from '@/core/teaching'
import { formatPlain, formatValue } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { ProblemLine } from '../shared/problem-line'
import { randomText } from '../shared/random-text'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'

interface AskPanelProps {
  readonly question: Question
  readonly learner: string
  readonly lessonId: number | null
  readonly onJudged: (judged: Judged) => void
  readonly onNext: () => void
}

/** What was off, on a line from nothing to a tenth. */
function OffLine({ off }: { readonly off: number }) {
  const x = 4 + 232 * Math.min(1, off / 0.1)
  return (
    <svg viewBox="0 0 240 26" width={240} height={26} role="img" aria-label={`${formatPlain(100 * off, 1)} % off`}>
      <line x1={4} x2={236} y1={18} y2={18} stroke={PALETTE.ruleLine} />
      {Array.from({ length: 11 }, (_, i) => (
        <line key={`${i * 23.2}`} x1={4 + i * 23.2} x2={4 + i * 23.2} y1={18} y2={i % 5 === 0 ? 9 : 13} stroke={PALETTE.ruleInk} />
      ))}
      <path d={`M${x} 18l-5 7h10z`} fill={PALETTE.verdigris} />
    </svg>
  )
}

/** The answer, once it was predicted: how far off, why, and what was mistaken for what. */
function Answer({ question, judged }: { readonly question: Question; readonly judged: Judged }) {
  return (
    <Box
      role="status"
      aria-label="Answer"
      sx={{ mt: 2, borderLeft: `4px solid ${judged.isRight ? PALETTE.verdigris : PALETTE.fire}`, pl: 2 }}
    >
      <Typography sx={{ fontWeight: 700, fontSize: 18 }}>
        {judged.isRight ? 'Right.' : 'Not quite.'}{' '}
        {isNumeric(question) ? (
          <span className="fig">
            {formatPlain(question.answer, 3)} {question.unit}
          </span>
        ) : (
          question.choices.find(({ id }) => id === question.answer)?.words
        )}
      </Typography>
      {isNumeric(question) ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <OffLine off={judged.off} />
          <span>
            <span className="fig">{formatPlain(100 * judged.off, 1)} %</span> off
          </span>
        </Box>
      ) : null}
      {judged.misconception ? <Typography sx={{ color: PALETTE.fire }}>{judged.misconception}</Typography> : null}
      <Typography>{question.why}</Typography>
      {question.working.length > 0 ? (
        <Box component="ul" sx={{ pl: 2.5, m: 0, mt: 1 }}>
          {question.working.slice(-4).map((step) => (
            <li key={step.label}>
              {step.label}: <span className="fig">{step.formula}</span>
              {step.substituted ? (
                <>
                  {' '}
                  = <span className="fig">{step.substituted}</span>
                </>
              ) : null}{' '}
              = <b className="fig">{formatValue(step.value, step.unit)}</b>
            </li>
          ))}
        </Box>
      ) : null}
    </Box>
  )
}

/** A question that is predicted first: the answer is there only afterwards. */
export function AskPanel({ question, learner, lessonId, onJudged, onNext }: AskPanelProps) {
  const act = useAct()
  const [guess, setGuess] = useState('')
  const [judged, setJudged] = useState<Judged | null>(null)
  const [problem, setProblem] = useState('')
  async function predict(said: string) {
    setProblem('')
    const kept = await act('keepPrediction', { token: randomText(24), learner, lessonId, question: question.id, guess: said })
    if (!kept.ok) return setProblem(kept.message)
    const { isRight, off, misconception } = kept
    setJudged({ isRight, off, misconception })
    onJudged({ isRight, off, misconception })
  }
  return (
    <Box component="section" aria-label="Question" sx={{ maxWidth: 640 }}>
      <Typography sx={{ fontSize: 22, lineHeight: 1.35, mb: 2 }}>{question.prompt}</Typography>
      {judged === null ? (
        isNumeric(question) ? (
          <Box
            component="form"
            onSubmit={(event: React.FormEvent) => {
              event.preventDefault()
              void predict(guess)
            }}
          >
            <TextRow label="Your prediction" value={guess} onChange={setGuess} />
            <Typography variant="body2">in {question.unit}</Typography>
            <Button type="submit" variant="contained" sx={{ mt: 1.5 }}>
              That is what I think
            </Button>
          </Box>
        ) : (
          <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start', gap: 1 }}>
            {question.choices.map(({ id, words }) => (
              <Button key={id} onClick={() => void predict(id)} sx={{ minHeight: 44, fontSize: 16 }}>
                {words}
              </Button>
            ))}
          </Box>
        )
      ) : (
        <>
          <Answer question={question} judged={judged} />
          <Button variant="contained" onClick={onNext} sx={{ mt: 2 }}>
            Next
          </Button>
        </>
      )}
      <ProblemLine says={problem} />
    </Box>
  )
}

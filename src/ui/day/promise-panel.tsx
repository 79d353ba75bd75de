'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { promiseWords } from '@/core/schedule'
import { ChoiceField } from '../shared/choice-field'
import { useDates } from '../shared/dates'
import { ProblemLine } from '../shared/problem-line'
import { TextRow } from '../shared/text-row'

/** A piece that could be promised: it has its size, and no tray at the bench yet. */
export interface PromisePiece {
  readonly id: number
  readonly name: string
  readonly dueOn: string | null
}

interface Promised {
  readonly doneAt: string
  readonly earliest: string
  readonly latest: string
  readonly onTimeShare: number
}

const ANSWER_WITHIN_MS = 20_000

/** Can I promise Friday? A piece that is not begun, behind and between everything that is. */
export function PromisePanel({ pieces }: { readonly pieces: readonly PromisePiece[] }) {
  const { five } = useDates()
  const [piece, setPiece] = useState(pieces[0]?.id ?? 0)
  const [day, setDay] = useState(pieces[0]?.dueOn ?? '')
  const [said, setSaid] = useState<Promised | null>(null)
  const [problem, setProblem] = useState('')
  const [isAsking, setAsking] = useState(false)
  if (pieces.length === 0) return null
  async function ask() {
    setAsking(true)
    setSaid(null)
    setProblem('')
    try {
      const response = await fetch(`/api/day/promise?piece=${piece}&on=${encodeURIComponent(day.trim())}`, {
        signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      })
      const answer = (await response.json()) as Promised & { error?: { message: string } }
      if (answer.error) setProblem(answer.error.message)
      else setSaid(answer)
    } catch {
      setProblem('The program is not responding. Try again.')
    }
    setAsking(false)
  }
  return (
    <Box component="section" aria-label="Can I promise it?" sx={{ mt: 2.5 }}>
      <Typography variant="h2">Can I promise it?</Typography>
      <ChoiceField
        label="Piece"
        value={String(piece)}
        options={Object.fromEntries(pieces.map(({ id, name }) => [String(id), name]))}
        onChange={(next) => {
          setPiece(Number(next))
          setSaid(null)
          const due = pieces.find(({ id }) => id === Number(next))?.dueOn
          if (due) setDay(due)
        }}
      />
      <TextRow label="For the day" value={day} onChange={setDay} />
      <Button onClick={() => void ask()} disabled={isAsking} sx={{ mt: 1 }}>
        {isAsking ? 'Planning…' : 'Ask the plan'}
      </Button>
      <ProblemLine says={problem} />
      <Box role="status">
        {said ? (
          <Typography sx={{ mt: 1 }}>
            <b>{promiseWords(said.onTimeShare)}</b> It would be done about {five(said.doneAt)}, between {five(said.earliest)} and{' '}
            {five(said.latest)}, if everything at the bench is begun now and nothing new comes between.
          </Typography>
        ) : null}
      </Box>
    </Box>
  )
}

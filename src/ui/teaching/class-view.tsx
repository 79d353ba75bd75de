'use client'
import Box from '@mui/material/Box'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import { isNumeric, KIND_WORDS, type Question } from '@/core/teaching'
import { formatPlain } from '@/core/units'
import type { Prediction } from '@/server/db/repositories'
import { PALETTE } from '../theme/palette'

const AGAIN_MS = 5000

interface ClassViewProps {
  readonly questions: readonly Question[]
  readonly predictions: readonly Prediction[]
}

/** The first and the newest prediction of a learner to a question, in words: how far off then, how far now. */
function cellWords(question: Question, own: readonly Prediction[]): string {
  const [first] = own
  const last = own.at(-1)
  if (!first || !last) return ''
  const say = ({ isRight, off }: Prediction) => (isNumeric(question) ? `${formatPlain(100 * off, 1)} %` : isRight ? 'right' : 'no')
  return own.length > 1 ? `${say(first)}, then ${say(last)}` : say(first)
}

/** Wrong ways of thinking, with how many had them. */
function misconceptions(predictions: readonly Prediction[]): [string, number][] {
  const learners = new Map<string, Set<string>>()
  for (const { misconception, learner } of predictions)
    if (misconception) learners.set(misconception, (learners.get(misconception) ?? new Set()).add(learner))
  return [...learners].map(([words, who]) => [words, who.size] as [string, number]).sort((a, b) => b[1] - a[1])
}

/** How a class did in a lesson, learner by learner and question by question, and what to talk about. */
export function ClassView({ questions, predictions }: ClassViewProps) {
  const router = useRouter()
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') router.refresh()
    }, AGAIN_MS)
    return () => clearInterval(timer)
  }, [router])
  const learners = [...new Set(predictions.map(({ learner }) => learner))]
  const talk = misconceptions(predictions)
  return (
    <Box sx={{ p: 2.5 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" aria-label="How far off">
          <TableHead>
            <TableRow>
              <TableCell>Learner</TableCell>
              {questions.map((question) => (
                <TableCell key={question.id} title={question.prompt}>
                  {KIND_WORDS[question.kind]}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {learners.map((learner) => (
              <TableRow key={learner}>
                <TableCell component="th" scope="row">
                  {learner}
                </TableCell>
                {questions.map((question) => {
                  const own = predictions.filter((one) => one.learner === learner && one.question === question.id)
                  return (
                    <TableCell key={question.id} className="fig" sx={own.at(-1)?.isRight === false ? { color: PALETTE.fire } : {}}>
                      {cellWords(question, own)}
                    </TableCell>
                  )
                })}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {learners.length === 0 ? <Typography sx={{ mt: 2 }}>Nobody has predicted anything yet.</Typography> : null}
      {talk.length > 0 ? (
        <Box component="section" aria-label="To talk about" sx={{ mt: 3 }}>
          <Typography variant="h2">To talk about</Typography>
          <Box component="ul" sx={{ pl: 2.5 }}>
            {talk.map(([words, count]) => (
              <li key={words}>
                <span className="fig">{count}</span> {count === 1 ? 'learner' : 'learners'}: {words}
              </li>
            ))}
          </Box>
        </Box>
      ) : null}
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { DayQuestion } from '@/server/services/day-question'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { DayEnds } from './day-ends'
import { DayPicture } from './day-picture'
import { PromisePanel, type PromisePiece } from './promise-panel'
import { StepList } from './step-list'
import { useDay } from './use-day'

const SPANS = { near: 'Two hours', day: 'The day', all: 'Until all is done' } as const
type Span = keyof typeof SPANS
const AGAIN_MS = 60_000

/** Asks for the trays as they stand now, once a minute and whenever the page comes into sight. */
function useFresh(): void {
  const router = useRouter()
  useEffect(() => {
    const look = async () => {
      if (document.visibilityState !== 'visible') return
      // a refresh that nothing answers would leave the page
      const isThere = await fetch('/icon.svg', { method: 'HEAD', cache: 'no-store' }).then(
        ({ ok }) => ok,
        () => false,
      )
      if (isThere) router.refresh()
    }
    const timer = setInterval(look, AGAIN_MS)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', look)
    }
  }, [router])
}

function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString())
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), 30_000)
    return () => clearInterval(timer)
  }, [])
  return now
}

/** The day at the bench: what comes next for one torch and two hands, and when all of it will be done. */
export function DayView({ question, pieces }: { readonly question: DayQuestion; readonly pieces: readonly PromisePiece[] }) {
  const { uid } = useWorkshop()
  const { plan, isWorking, isFailed } = useDay(question)
  const [span, setSpan] = useState<Span>('day')
  const now = useNow()
  useFresh()
  if (question.input === null)
    return (
      <Box sx={{ p: 2.5 }}>
        <Typography variant="h2">Nothing waits for the hands</Typography>
        <Typography sx={{ mb: 2 }}>Start a tray on the route of a piece; from then on its steps are planned here.</Typography>
        <PromisePanel pieces={pieces} />
      </Box>
    )
  const spanMin = span === 'near' ? 120 : span === 'day' ? 600 : Math.max(120, (plan?.answer.makespanMin ?? 600) * 1.02)
  return (
    <Box sx={{ p: 2.5 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <ToggleButtonGroup exclusive value={span} onChange={(_, next: Span | null) => next && setSpan(next)} aria-label="How far ahead">
          {Object.entries(SPANS).map(([id, title]) => (
            <ToggleButton key={id} value={id}>
              {title}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Typography role="status" variant="body2" sx={{ flex: 1 }}>
          {isFailed ? 'This browser could not plan the day. Load the page again.' : isWorking ? 'Planning…' : ''}
        </Typography>
        <Button component="a" href={`/api/day/sheet?of=${uid}`} target="_blank">
          Print the day sheet
        </Button>
        <Button component="a" href={`/api/day/ics?of=${uid}`}>
          Calendar file
        </Button>
      </Box>
      {plan?.question.input ? (
        <>
          <Box sx={{ overflowX: 'auto', bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: 1, p: 1.25 }}>
            <DayPicture answer={plan.answer} input={plan.question.input} trays={plan.question.trays} spanMin={spanMin} nowIso={now} />
          </Box>
          <Box
            sx={{
              mt: 2,
              display: 'grid',
              gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2.1fr) minmax(0, 1fr)' },
              gap: 3,
              alignItems: 'start',
            }}
          >
            <StepList answer={plan.answer} trays={plan.question.trays} />
            <Box>
              <DayEnds answer={plan.answer} trays={plan.question.trays} />
              <PromisePanel pieces={pieces} />
            </Box>
          </Box>
        </>
      ) : null}
    </Box>
  )
}

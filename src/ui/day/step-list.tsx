'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { PlacedTask, ScheduleAnswer } from '@/core/schedule'
import type { DayTray } from '@/server/services/day-question'
import { useDates } from '../shared/dates'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'

const SHOWN = 10
const MS = 60_000

/** A tray by the letter its metal carries in the picture. */
export function TrayMark({ tray }: { readonly tray: Pick<DayTray, 'letter' | 'colour'> }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        display: 'inline-block',
        minWidth: 22,
        textAlign: 'center',
        fontWeight: 700,
        borderRadius: '2px',
        border: `1.5px solid ${tray.colour.edge}`,
        bgcolor: tray.colour.face,
        color: PALETTE.onMetal,
        mr: 1,
      }}
    >
      {tray.letter}
    </Box>
  )
}

function minutesWords({ from, handsUntil, to }: PlacedTask): string {
  const hands = Math.round((Date.parse(handsUntil) - Date.parse(from)) / MS)
  const wait = Math.round((Date.parse(to) - Date.parse(handsUntil)) / MS)
  const waits = wait > 0 ? `${wait} min by itself` : ''
  return [hands > 0 ? `${hands} min` : '', waits].filter(Boolean).join(', then ')
}

/** What to take up, in order, with the times it will be about. */
export function StepList({ answer, trays }: { readonly answer: ScheduleAnswer; readonly trays: readonly DayTray[] }) {
  const { five } = useDates()
  const [isWhole, setWhole] = useState(false)
  const trayOf = new Map(trays.map((tray) => [tray.id, tray] as const))
  const tasks = isWhole ? answer.tasks : answer.tasks.slice(0, SHOWN)
  return (
    <Box component="section" aria-label="In this order">
      <Typography variant="h2">In this order</Typography>
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {tasks.map((task) => {
          const tray = trayOf.get(task.tray)
          if (!tray) return null
          return (
            <Box
              component="li"
              key={`${task.tray}-${task.step}`}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '64px 1fr', sm: '84px minmax(0, 1.6fr) minmax(0, 0.8fr) 158px' },
                columnGap: 1.5,
                alignItems: 'baseline',
                py: 0.6,
                borderBottom: `1px dotted ${PALETTE.hairline}`,
              }}
            >
              <span className="fig" style={{ fontWeight: 700 }}>
                {five(task.from)}
              </span>
              <PageLink href={`/bench/${tray.trayId}`} style={{ color: 'inherit', textDecorationColor: PALETTE.hairline }}>
                <TrayMark tray={tray} />
                {tray.steps[task.step]?.title ?? task.op}
                <Typography component="span" variant="body2">
                  , {tray.name}
                </Typography>
              </PageLink>
              <Typography variant="body2" component="span">
                {minutesWords(task)}
              </Typography>
              <Typography variant="body2" component="span" noWrap>
                {five(task.fromEarliest) === five(task.fromLatest) ? '' : `${five(task.fromEarliest)} to ${five(task.fromLatest)}`}
              </Typography>
            </Box>
          )
        })}
      </Box>
      {answer.tasks.length > SHOWN ? (
        <Button variant="text" onClick={() => setWhole(!isWhole)} sx={{ mt: 0.5 }}>
          {isWhole ? 'Only the next ones' : `All ${answer.tasks.length} steps`}
        </Button>
      ) : null}
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { boundWords, dueWords, type ScheduleAnswer } from '@/core/schedule'
import type { DayTray } from '@/server/services/day-question'
import { useDates } from '../shared/dates'
import { PALETTE } from '../theme/palette'
import { TrayMark } from './step-list'

function lasting(minutes: number): string {
  const whole = Math.max(5, Math.round(minutes / 5) * 5)
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  return [hours > 0 ? `${hours} h` : '', rest > 0 ? `${rest} min` : ''].filter(Boolean).join(' ')
}

/** When each tray is done, which is late, and how near the plan is to what is possible at all. */
export function DayEnds({ answer, trays }: { readonly answer: ScheduleAnswer; readonly trays: readonly DayTray[] }) {
  const { day, five } = useDates()
  const own = trays.flatMap(({ steps }) => steps).filter((step) => step.own > 0).length
  const all = trays.reduce((sum, { steps }) => sum + steps.length, 0)
  return (
    <Box component="section" aria-label="When it is done">
      <Typography variant="h2">When it is done</Typography>
      {answer.ends.map(({ tray: id, doneAt, earliest, latest, onTimeShare }) => {
        const tray = trays.find((one) => one.id === id)
        if (!tray) return null
        const isLate = answer.late.some((late) => late.tray === id)
        return (
          <Box key={id} sx={{ py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
            <Typography component="div">
              <TrayMark tray={tray} />
              {tray.name}: <b className="fig">{five(doneAt)}</b>
            </Typography>
            <Typography variant="body2">
              between {five(earliest)} and {five(latest)}
            </Typography>
            {tray.dueOn && onTimeShare !== undefined ? (
              <Typography variant="body2" sx={isLate ? { color: PALETTE.fire, fontWeight: 600 } : {}}>
                {isLate ? '▲ late: ' : ''}
                {dueWords(day(tray.dueOn), onTimeShare)}
              </Typography>
            ) : null}
          </Box>
        )
      })}
      <Typography sx={{ mt: 1.5 }}>
        All done in {lasting(answer.makespanMin)}, nights and breaks counted. No order is quicker than {lasting(answer.lowerBoundMin)}:{' '}
        {boundWords(answer.boundBy)}.
        {answer.gapShare < 0.005 ? ' This order is as quick as any.' : ` This order is ${Math.ceil(100 * answer.gapShare)} % over that.`}
      </Typography>
      <Typography variant="body2" sx={{ mt: 1 }}>
        {own === 0
          ? 'Minutes are presets until yours are known from the bench.'
          : `Minutes of ${own} of ${all} steps are your own, as the bench saw them; the others are presets.`}
      </Typography>
    </Box>
  )
}

import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { type BladesBroken, CUT_WAY_FACTS, CUT_WAYS, type SawPlan } from '@/core/sawing'
import { formatPlain } from '@/core/units'
import { WorkingSteps } from '../forms/answer-column'
import { PALETTE } from '../theme/palette'

interface SawTotalsProps {
  readonly plan: SawPlan
  readonly broken: BladesBroken | undefined
}

function Row({ label, value }: { readonly label: string; readonly value: string }) {
  return (
    <Box
      component="li"
      sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, borderBottom: `1px dotted ${PALETTE.hairline}`, py: 0.5 }}
    >
      <span>{label}</span>
      <Box component="span" className="fig" sx={{ fontWeight: 700, textAlign: 'right' }}>
        {value}
      </Box>
    </Box>
  )
}

const minutes = (value: number) => (value >= 90 ? `${formatPlain(value / 60, 1)} h` : `${formatPlain(value, 0)} min`)

/** How many lines are cut in each way. */
function waysUsed({ cuts }: SawPlan): string {
  const counts = CUT_WAYS.map((way) => [way, cuts.filter((cut) => cut.way === way).length] as const).filter(([, count]) => count > 0)
  return counts.map(([way, count]) => `${count} by ${CUT_WAY_FACTS[way].title.toLowerCase()}`).join(', ')
}

/** By what the blades are told. */
function sayLife({ bladeLife: { mm2, low, high } }: SawPlan, broken: BladesBroken | undefined): string {
  if (low === undefined || high === undefined || !broken)
    return 'So do the blades, until a layout is cut or you typed a figure of your own.'
  const [life, least, most] = [mm2, low, high].map((value) => formatPlain(value, 0))
  const own = broken.blades === 0 ? 'none of yours broke' : `${broken.blades} of yours broke`
  return `The blades are told by your own hand: ${own} over ${formatPlain(broken.sawnMm2, 0)} mm² sawn. One cuts ${life} mm²; in eight of ten cases ${least} to ${most} mm².`
}

/** What the whole plan comes to: blade, length, holes, blades, minutes. */
export function SawTotals({ plan, broken }: SawTotalsProps) {
  const { blade, sawnMm, thicknessMm } = plan
  return (
    <Box component="section" aria-label="The whole plan" sx={{ mt: 2 }}>
      <Typography variant="h2">The whole plan</Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        <Row label="Lines" value={waysUsed(plan)} />
        {sawnMm > 0 ? (
          <>
            <Row label="Blade" value={`${blade.name}${blade.isOwn ? ', yours' : ''}`} />
            <Row label="Sawn" value={`${formatPlain(sawnMm, 0)} mm in ${formatPlain(thicknessMm, 2)} mm`} />
            <Row label="Turns" value={String(plan.turns)} />
            <Row
              label={`Blades to expect (${plan.bladeLife.low === undefined ? 'usual' : 'your own'})`}
              value={formatPlain(Math.max(0.1, plan.blades), 1)}
            />
          </>
        ) : null}
        <Row label="Holes to drill or punch" value={String(plan.holes)} />
        <Row label="Cutting" value={minutes(plan.minutes)} />
        <Row label="Cleaning the edges up" value={minutes(plan.cleanUpMinutes)} />
      </Box>
      <Typography variant="body2" sx={{ mt: 0.75 }}>
        Minutes and clean-up come from house figures of low certainty. {sayLife(plan, broken)}
      </Typography>
      {plan.tooNear > 0 ? (
        <Typography role="alert" variant="body2" sx={{ borderLeft: `3px solid ${PALETTE.ochre}`, pl: 1, mt: 1 }}>
          {plan.tooNear} {plan.tooNear === 1 ? 'pair of blanks lies' : 'pairs of blanks lie'} too near for the way they are cut: that needs{' '}
          {formatPlain(plan.spacingMm, 1)} mm between them. Place the blanks again under Lay out; that gap is kept there now.
        </Typography>
      ) : null}
      {plan.cautions.map((words) => (
        <Typography key={words} variant="body2" sx={{ mt: 1, fontWeight: 600 }}>
          {words}
        </Typography>
      ))}
      <Box component="details" sx={{ mt: 1 }}>
        <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 600 }}>
          The working
        </Box>
        <WorkingSteps steps={plan.working} />
      </Box>
    </Box>
  )
}

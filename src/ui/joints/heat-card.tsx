'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { JOINT_TESTS } from '@/core/joints'
import { SOLDERS } from '@/core/metals'
import type { HeatCard } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'

function Amounts({ card }: { readonly card: HeatCard }) {
  return (
    <Box component="ul" aria-label="Solder" sx={{ m: 0, pl: 2.25 }}>
      {card.joints.map(({ joint, solder, flowC, amount, metals }) => (
        <Typography component="li" key={joint} sx={{ fontSize: 14 }}>
          <b>{card.names.get(joint) ?? joint}</b>
          {solder ? (
            <>
              : {SOLDERS[solder].title}, flows at <span className="fig">{flowC} °C</span>
              {amount
                ? `; ${amount.pallionCount} ${amount.pallionCount === 1 ? 'pallion' : 'pallions'} of 1 × 1 × 0.25 mm${amount.pallionCount > 1 ? `, one every ${formatPlain(amount.spacingMm, 1)} mm` : ''}, or ${formatPlain(amount.wireLengthMm, 1)} mm of 0.5 wire, or ${formatPlain(amount.pasteLengthMm, 1)} mm of paste`
                : '; say how long the seam is, and the amount follows'}
              {metals
                .map(({ alloy, marginC }) =>
                  marginC < 40 ? `; only ${marginC} °C under where ${alloy.replaceAll('-', ' ')} begins to melt` : '',
                )
                .join('')}
            </>
          ) : (
            ': fused, no solder'
          )}
        </Typography>
      ))}
    </Box>
  )
}

function Plan({ card }: { readonly card: HeatCard }) {
  const { plan } = card
  return (
    <>
      <Typography sx={{ mt: 1 }}>{plan.say}</Typography>
      {plan.warnings.map((warning) => (
        <Typography key={warning} sx={{ color: PALETTE.fire }}>
          {warning}
        </Typography>
      ))}
      <Typography variant="body2">
        {plan.ratio === null ? '' : `One side takes ${formatPlain(plan.ratio, 2)} times the heat of the other. `}
        {plan.seconds === null
          ? 'How long it takes is known once the sizes are, or this torch does not get it there.'
          : `About ${Math.round(plan.seconds)} s under the torch (${plan.secondsFrom === null ? '' : Math.round(plan.secondsFrom)} to ${plan.secondsTo === null ? 'longer' : `${Math.round(plan.secondsTo)} s`}), an estimate.`}
      </Typography>
    </>
  )
}

/** One heat: with what and how much, where the flame goes, what to look for, and the tests after it. */
export function HeatCardView({ card, number }: { readonly card: HeatCard; readonly number: number }) {
  return (
    <Box
      component="section"
      aria-label={`Heat ${number}`}
      tabIndex={0}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        columnGap: 4,
        px: 2.5,
        py: 1.5,
        overflowY: 'auto',
      }}
    >
      <Box>
        <Typography variant="h2">
          Heat {number}: {card.what}
        </Typography>
        <Amounts card={card} />
        <Plan card={card} />
        <Typography variant="body2" sx={{ mt: 1 }}>
          {card.caution}
        </Typography>
      </Box>
      <Box>
        <Typography variant="h2">What to look for</Typography>
        <Box component="ol" aria-label="What to look for" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {card.cues.map(({ atC, see, act }) => (
            <Typography component="li" key={see} sx={{ fontSize: 14, display: 'flex', gap: 1.5, py: 0.25 }}>
              <span className="fig" style={{ flexShrink: 0, width: 62, textAlign: 'right' }}>
                {atC} °C
              </span>
              <span>
                <b>{see}.</b> {act}
              </span>
            </Typography>
          ))}
        </Box>
        <Typography sx={{ mt: 1 }}>{card.coolDown}</Typography>
        <Typography variant="h2" sx={{ mt: 1 }}>
          Then, before anything else goes on
        </Typography>
        {JOINT_TESTS.map(({ test, fails }) => (
          <Typography key={test} variant="body2">
            {test} {fails}
          </Typography>
        ))}
      </Box>
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Advice, ToolPick } from '@/core/advice'
import { PALETTE } from '../theme/palette'

const GRADE: Readonly<Record<ToolPick['grade'], { readonly sign: string; readonly word: string; readonly colour: string }>> = {
  right: { sign: '●', word: 'right', colour: PALETTE.verdigris },
  usable: { sign: '◐', word: 'usable', colour: PALETTE.ochre },
  no: { sign: '○', word: 'no', colour: PALETTE.fire },
}

/** What to take, large, with why and with what is missing from the wall. */
export function AdviceAnswer({ advice }: { readonly advice: Advice }) {
  return (
    <Box role="status" aria-label="Advice" sx={{ bgcolor: PALETTE.petrol, color: PALETTE.petrolText, borderRadius: '4px', p: 1.75 }}>
      <Box data-testid="advice" sx={{ fontSize: 20, fontWeight: 700, lineHeight: 1.3, color: '#fff' }}>
        {advice.answer}
      </Box>
      <Box sx={{ fontSize: 13, color: PALETTE.petrolMuted, mt: 0.75 }}>{advice.reason}</Box>
      {advice.missing ? (
        <Box data-testid="missing" sx={{ mt: 1, pt: 1, borderTop: `1px solid ${PALETTE.petrolLine}`, color: PALETTE.fireOnPetrol }}>
          {advice.missing}
        </Box>
      ) : null}
    </Box>
  )
}

/** Everything that was weighed, the smith's own first, each with how well it does. */
export function PickList({ picks }: { readonly picks: readonly ToolPick[] }) {
  if (picks.length === 0) return null
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {picks.map((pick, i) => {
        const { sign, word, colour } = GRADE[pick.grade]
        return (
          <Box
            component="li"
            key={`${pick.name}-${i}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: '62px minmax(0, 1fr)',
              columnGap: 1,
              py: 0.6,
              borderBottom: `1px dotted ${PALETTE.hairline}`,
            }}
          >
            <Box sx={{ color: colour, fontSize: 13, whiteSpace: 'nowrap' }}>
              <span aria-hidden="true">{sign}</span> {word}
            </Box>
            <Box>
              <Box sx={{ fontWeight: 600 }}>
                {pick.name}
                {pick.owned ? (
                  <Box component="span" sx={{ ml: 1, fontSize: 12, fontWeight: 400, color: PALETTE.verdigris }}>
                    on your wall
                  </Box>
                ) : null}
              </Box>
              <Typography variant="body2">{pick.detail}</Typography>
            </Box>
          </Box>
        )
      })}
    </Box>
  )
}

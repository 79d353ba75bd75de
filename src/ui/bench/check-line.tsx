'use client'
import Box from '@mui/material/Box'
import { useChecked } from '../shared/use-checked'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import type { useCheck } from './use-check'

/** When the calipers were last tried on the check piece and what came of it, and the way to try them now. */
export function CheckLine({
  check,
  onCheck,
}: {
  readonly check: Pick<ReturnType<typeof useCheck>, 'last' | 'says'>
  readonly onCheck: () => void
}) {
  const { last, says } = check
  const checked = useChecked(last?.at)
  return (
    <Box
      role="group"
      aria-label="Check piece"
      sx={{ px: { xs: 3, md: 5 }, pb: 2, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', fontSize: 17 }}
    >
      <Box sx={{ flex: '1 1 260px', color: says?.isOff ? PALETTE.fireBench : PALETTE.petrolText }}>
        {!checked || checked.isToday ? null : 'The calipers were not checked today. '}
        {checked && says ? `Checked ${checked.on}. ${says.says}` : null}
      </Box>
      <BigButton plain onPress={onCheck}>
        Check the calipers
      </BigButton>
    </Box>
  )
}

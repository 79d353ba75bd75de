import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { LayoutItem, Placement } from '@/core/layout'
import { formatPlain } from '@/core/units'
import { KEY_REGISTRY } from '../keys/registry'
import { PALETTE } from '../theme/palette'
import { keyOf, type Selection } from './selection'
import type { LayoutHands } from './use-hands'

interface SelectedBlanksProps {
  readonly selected: Selection
  readonly placements: readonly Placement[]
  readonly items: ReadonlyMap<string, { readonly item: LayoutItem; readonly name: string }>
  readonly hands: LayoutHands
  readonly isBusy: boolean
  readonly onFitRound: () => void
}

/** What is selected, where it lies, and what can be done with it. */
export function SelectedBlanks({ selected, placements, items, hands, isBusy, onFitRound }: SelectedBlanksProps) {
  const chosen = placements.filter((place) => selected.has(keyOf(place)))
  const [only] = chosen
  if (!only) return null
  const isPinned = chosen.every(({ pinned }) => pinned)
  const rest = placements.length > chosen.length
  return (
    <Box component="section" aria-label="Selected" sx={{ mt: 1.5, borderTop: `2px solid ${PALETTE.verdigris}`, pt: 1 }}>
      <Typography sx={{ fontWeight: 600 }}>
        {chosen.length === 1 ? `${items.get(only.id)?.name ?? only.id} ${only.copy + 1}` : `${chosen.length} blanks selected`}
      </Typography>
      {chosen.length === 1 ? (
        <Typography variant="body2">
          at{' '}
          <span className="fig">
            {formatPlain(only.x, 1)}, {formatPlain(only.y, 1)} mm
          </span>
          , turned <span className="fig">{formatPlain(only.rotationDeg, 0)}°</span>
          {only.pinned ? ', pinned' : ''}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 0.5 }}>
        <Button variant="text" title={KEY_REGISTRY.pinBlank.shown} onClick={() => hands.pin(selected)}>
          {isPinned ? 'Take the pin out' : 'Pin'}
        </Button>
        <Button variant="text" title={KEY_REGISTRY.turnBlank.shown} disabled={isPinned} onClick={() => hands.turn(selected, 90)}>
          Turn 90°
        </Button>
        <Button variant="text" title={KEY_REGISTRY.takeOffBlank.shown} onClick={() => hands.takeOff(selected)}>
          Take off
        </Button>
      </Box>
      <Button fullWidth disabled={isBusy} onClick={onFitRound}>
        {rest ? 'Fit the rest round' : 'Pin, and place the others round'} {chosen.length === 1 ? 'it' : 'them'}
      </Button>
    </Box>
  )
}

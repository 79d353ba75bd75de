'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Supply, ToBuy } from '@/core/costing'
import { ALLOYS, BOUGHT_TEMPERS } from '@/core/metals'
import { formatMoney, formatPlain } from '@/core/units'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

function sizeWords({ kind, lengthMm, widthMm, pieces }: ToBuy): string {
  if (kind !== 'sheet') return `${formatPlain(lengthMm, 0)} mm of it`
  return `${pieces > 1 ? `${pieces} of ` : ''}${formatPlain(lengthMm, 0)} × ${formatPlain(widthMm, 0)} mm`
}

function metalWords({ kind, alloy, thicknessMm, widthMm }: ToBuy): string {
  const title = ALLOYS[alloy].title
  if (kind === 'tube') return `${title} tube ${formatPlain(widthMm, 2)} mm across, wall ${formatPlain(thicknessMm, 2)} mm`
  return `${title} ${kind}, ${formatPlain(thicknessMm, 2)} mm`
}

function buyWords(buy: ToBuy, currency: string): string {
  return `${metalWords(buy)}, ${BOUGHT_TEMPERS[buy.temper]}, ${sizeWords(buy)}: ${formatPlain(buy.massG, 1)} g, about ${formatMoney(buy.cost, currency)}`
}

function holds({ needed, covered, from }: Supply): string {
  const labels = from.join(', ')
  if (covered >= needed) return `Holds all ${needed}, on ${labels}.`
  if (covered === 0) return `Holds none of the ${needed}.`
  return `Holds ${covered} of ${needed}, on ${labels}.`
}

/** What the drawer holds of this piece's metal; where it is short, what to buy and what else would do. */
export function SupplyPanel({ supply }: { readonly supply: readonly Supply[] }) {
  const { currency } = useWorkshop()
  return (
    <Box sx={{ mt: 1.5 }} data-testid="supply">
      <Typography variant="h2">The drawer</Typography>
      {supply.map((item) => (
        <Box key={item.blank} sx={{ py: 0.5 }}>
          <Typography sx={{ fontSize: 13.5 }}>
            {supply.length > 1 ? <b>{item.blank}: </b> : null}
            {holds(item)}
          </Typography>
          {item.buy ? (
            <Typography sx={{ fontSize: 13.5, color: PALETTE.fire }}>
              Buy {item.needed - item.covered < item.needed ? 'for the rest ' : ''}
              {buyWords(item.buy, currency)}.
            </Typography>
          ) : null}
          {item.instead.map((other) => (
            <Typography key={other.label} variant="body2">
              {other.label} would take {other.takes}: {other.why}.
            </Typography>
          ))}
        </Box>
      ))}
    </Box>
  )
}

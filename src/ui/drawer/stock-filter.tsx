'use client'
import Box from '@mui/material/Box'
import { ALLOYS } from '@/core/metals'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { thicknessOf } from './stock-facts'
import type { StockView } from './stock-view'

/** Which metal of the drawer is shown; empty is all. */
export interface StockShown {
  readonly alloy: string
  readonly thickness: string
}

export const ALL_STOCK: StockShown = { alloy: '', thickness: '' }

/** Thicknesses are told apart to this, as they are read off the sheet. */
const thicknessKey = (stock: StockView) => formatPlain(thicknessOf(stock), 2)

/** What is shown of the drawer. */
export function shownOf(stock: readonly StockView[], { alloy, thickness }: StockShown): StockView[] {
  return stock.filter((item) => (alloy === '' || item.alloy === alloy) && (thickness === '' || thicknessKey(item) === thickness))
}

interface StockFilterProps {
  readonly stock: readonly StockView[]
  readonly shown: StockShown
  readonly onChange: (shown: StockShown) => void
}

/** One metal, one thickness: of those that lie in the drawer. */
export function StockFilter({ stock, shown, onChange }: StockFilterProps) {
  const alloys = [...new Set(stock.map((item) => item.alloy))]
  const thicknesses = [...new Set(shownOf(stock, { ...shown, thickness: '' }).map(thicknessKey))].sort((a, b) => Number(a) - Number(b))
  return (
    <Box sx={{ display: 'flex', columnGap: 2, flexWrap: 'wrap', '& > *': { borderBottom: 'none !important' } }}>
      <ChoiceField
        label="Metal shown"
        value={shown.alloy}
        options={{ '': 'all metals', ...Object.fromEntries(alloys.map((id) => [id, ALLOYS[id].title.toLowerCase()])) }}
        onChange={(alloy) => onChange({ alloy, thickness: '' })}
        width={150}
      />
      <ChoiceField
        label="Thickness shown"
        value={shown.thickness}
        options={{ '': 'all', ...Object.fromEntries(thicknesses.map((mm) => [mm, `${mm} mm`])) }}
        onChange={(thickness) => onChange({ ...shown, thickness })}
        width={110}
      />
    </Box>
  )
}

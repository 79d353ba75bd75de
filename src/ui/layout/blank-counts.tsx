import Box from '@mui/material/Box'
import type { LayoutItem, Placement } from '@/core/layout'
import { PALETTE } from '../theme/palette'

interface BlankCountsProps {
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly placements: readonly Placement[]
}

/** How many of each blank lie on the sheet. */
export function BlankCounts({ items, placements }: BlankCountsProps) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {items.map(({ item, name }) => {
        const placed = placements.filter((place) => place.id === item.id).length
        return (
          <Box
            component="li"
            key={item.id}
            sx={{ display: 'flex', justifyContent: 'space-between', py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}
          >
            <span>{name}</span>
            <Box className="fig" sx={{ color: placed < item.qty ? PALETTE.fire : PALETTE.verdigris, fontWeight: 700 }}>
              {placed} of {item.qty}
            </Box>
          </Box>
        )
      })}
    </Box>
  )
}

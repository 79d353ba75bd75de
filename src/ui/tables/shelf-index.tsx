'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { SHELVES, type Shelf, TABLES, type Table } from '@/core/tables'
import { PALETTE } from '../theme/palette'

/** Every table by its shelf, for whoever would rather look than type. */
export function ShelfIndex({ openId, onOpen }: { readonly openId: string | undefined; readonly onOpen: (table: Table) => void }) {
  return (
    <Box component="nav" aria-label="All tables">
      {Object.entries(SHELVES).map(([shelf, title]) => (
        <Box key={shelf} sx={{ py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
          <Typography variant="h2" component="div">
            {title}
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5 }}>
            {TABLES.filter((table) => table.shelf === (shelf as Shelf)).map((table) => (
              <ButtonBase
                key={table.id}
                aria-pressed={table.id === openId}
                onClick={() => onOpen(table)}
                sx={{
                  p: 0,
                  py: 0.25,
                  bgcolor: 'transparent',
                  fontSize: 13.5,
                  color: table.id === openId ? PALETTE.verdigris : PALETTE.ink,
                  fontWeight: table.id === openId ? 700 : 400,
                  textDecoration: 'underline',
                  textDecorationColor: PALETTE.hairline,
                  textUnderlineOffset: 3,
                }}
              >
                {shortTitle(table)}
              </ButtonBase>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

function shortTitle(table: Table): string {
  return table.title.replace(/^Ring sizes, |^Silver solder, | \(.*\)$/g, '')
}

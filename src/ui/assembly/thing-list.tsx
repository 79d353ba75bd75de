'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { PALETTE } from '../theme/palette'

export interface ListedThing {
  readonly id: string
  readonly name: string
  readonly detail: string
  readonly colour: string | undefined
  /** Something is open or wrong with it. */
  readonly isOpen: boolean
}

interface ThingListProps {
  readonly title: string
  readonly things: readonly ListedThing[]
  readonly chosen: string | undefined
  readonly onChoose: (id: string) => void
}

/** Parts, what goes on them, or joints, each with what there is to say of it in a line. */
export function ThingList({ title, things, chosen, onChoose }: ThingListProps) {
  if (things.length === 0) return null
  return (
    <Box sx={{ mb: 1.5 }}>
      <Typography variant="h2">{title}</Typography>
      <Box component="ul" aria-label={title} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {things.map(({ id, name, detail, colour, isOpen }) => (
          <Box component="li" key={id}>
            <ButtonBase
              onClick={() => onChoose(id)}
              aria-pressed={id === chosen}
              sx={{
                width: '100%',
                display: 'flex',
                justifyContent: 'flex-start',
                alignItems: 'baseline',
                gap: 1,
                py: 0.6,
                px: 0.75,
                textAlign: 'left',
                borderBottom: `1px solid ${PALETTE.hairline}`,
                bgcolor: id === chosen ? PALETTE.verdigrisSoft : 'transparent',
              }}
            >
              <Box
                aria-hidden
                sx={{
                  width: 12,
                  height: 12,
                  flexShrink: 0,
                  borderRadius: colour ? '50%' : '2px',
                  bgcolor: colour ?? 'transparent',
                  border: `1px solid ${PALETTE.steelEdge}`,
                  alignSelf: 'center',
                }}
              />
              <Box sx={{ minWidth: 0 }}>
                <Typography sx={{ fontSize: 14, fontWeight: 600 }}>{name}</Typography>
                <Typography sx={{ fontSize: 13, color: isOpen ? PALETTE.ochre : PALETTE.muted }}>{detail}</Typography>
              </Box>
            </ButtonBase>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

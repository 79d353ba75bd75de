import Box from '@mui/material/Box'
import List from '@mui/material/List'
import ListItemButton from '@mui/material/ListItemButton'
import Typography from '@mui/material/Typography'
import type { FoundThing } from '@/server/services/find-things'
import { PALETTE } from '../theme/palette'
import { PageLink } from './page-link'

interface FoundThingsProps {
  readonly title: string
  readonly things: readonly FoundThing[]
  /** Nothing else stands under them. */
  readonly isAll: boolean
  readonly onGo: () => void
}

/** Things of the workshop to go to, each by what it is. */
export function FoundThings({ title, things, isAll, onGo }: FoundThingsProps) {
  if (things.length === 0) return null
  return (
    <Box sx={isAll ? {} : { mb: 1, pb: 1, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
      <Typography variant="h2">{title}</Typography>
      <List dense disablePadding aria-label={title}>
        {things.map(({ kind, name, about, href }) => (
          <ListItemButton key={href + name} component={PageLink} href={href} onClick={onGo} sx={{ px: 0.5, gap: 1 }}>
            <Box component="span" sx={{ width: 52, color: PALETTE.muted, fontSize: 12.5 }}>
              {kind}
            </Box>
            <Box component="span" sx={{ fontWeight: 600 }}>
              {name}
            </Box>
            <Box component="span" sx={{ color: PALETTE.muted, fontSize: 13 }}>
              {about}
            </Box>
          </ListItemButton>
        ))}
      </List>
    </Box>
  )
}

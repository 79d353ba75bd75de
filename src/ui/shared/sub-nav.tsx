'use client'
import Box from '@mui/material/Box'
import { usePathname } from 'next/navigation'
import { PALETTE } from '../theme/palette'
import { PageLink } from './page-link'

interface SubNavProps {
  readonly label: string
  readonly links: readonly {
    readonly href: string
    readonly label: string
    /** Lit for every address that begins so. */
    readonly below?: string
  }[]
}

/** The parts of a place or of a piece, beside its title. */
export function SubNav({ label, links }: SubNavProps) {
  const path = usePathname()
  return (
    <Box
      component="nav"
      aria-label={label}
      sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, flexShrink: { md: 0 }, columnGap: { xs: 2, sm: 3 } }}
    >
      {links.map(({ href, label: text, below }) => {
        const on = path === href || (below !== undefined && path.startsWith(below))
        return (
          <Box
            component={PageLink}
            key={href}
            href={href}
            aria-current={on ? 'page' : undefined}
            sx={{
              fontWeight: 600,
              fontSize: 15,
              textDecoration: 'none',
              whiteSpace: 'nowrap',
              color: on ? PALETTE.ink : PALETTE.muted,
              borderBottom: `3px solid ${on ? PALETTE.verdigris : 'transparent'}`,
              py: 0.5,
            }}
          >
            {text}
          </Box>
        )
      })}
    </Box>
  )
}

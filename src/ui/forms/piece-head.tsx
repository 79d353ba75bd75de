'use client'
import Box from '@mui/material/Box'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { PALETTE } from '../theme/palette'

const STATIONS = [
  { slug: '', label: 'Size' },
  { slug: '/route', label: 'Route' },
  { slug: '/record', label: 'Record' },
] as const

/** The stations of a piece. */
export function Stations({ pieceId }: { readonly pieceId: number }) {
  const path = usePathname()
  return (
    <Box component="nav" aria-label="Stations" sx={{ display: 'flex', gap: 3 }}>
      {STATIONS.map(({ slug, label }) => {
        const on = path === `/pieces/${pieceId}${slug}`
        return (
          <Box
            component={Link}
            key={slug}
            href={`/pieces/${pieceId}${slug}`}
            aria-current={on ? 'page' : undefined}
            sx={{
              fontWeight: 600,
              fontSize: 15,
              textDecoration: 'none',
              color: on ? PALETTE.ink : PALETTE.muted,
              borderBottom: `3px solid ${on ? '#b58a35' : 'transparent'}`,
              py: 0.5,
            }}
          >
            {label}
          </Box>
        )
      })}
    </Box>
  )
}

'use client'
import Box from '@mui/material/Box'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { PALETTE } from '../theme/palette'
import { Mark, Sign } from './marks'

const PLACES = [
  { href: '/bench', name: 'bench', label: 'Bench' },
  { href: '/jobs', name: 'jobs', label: 'Jobs', also: '/pieces' },
  { href: '/layout', name: 'layout', label: 'Layout' },
  { href: '/drawer', name: 'drawer', label: 'Drawer' },
  { href: '/book', name: 'book', label: 'Book' },
  { href: '/tables', name: 'tables', label: 'Tables' },
  { href: '/settings', name: 'settings', label: 'Settings' },
] as const

const railSx = {
  bgcolor: PALETTE.petrol,
  color: PALETTE.petrolMuted,
  display: 'flex',
  flexShrink: 0,
  zIndex: 5,
  flexDirection: { xs: 'row', md: 'column' },
  width: { xs: '100%', md: 76 },
  position: { xs: 'fixed', md: 'sticky' },
  left: 0,
  right: 0,
  overflow: 'hidden',
  bottom: { xs: 0, md: 'auto' },
  top: { md: 0 },
  height: { xs: 56, md: '100vh' },
}

const itemSx = (on: boolean) => ({
  color: on ? '#ffffff' : PALETTE.petrolMuted,
  textDecoration: 'none',
  fontSize: { xs: 12, md: 13 },
  minWidth: 0,
  flex: { xs: 1, md: 'none' },
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 0.25,
  height: { xs: 56, md: 64 },
  borderLeft: { md: `4px solid ${on ? '#b58a35' : 'transparent'}` },
  borderTop: { xs: `3px solid ${on ? '#b58a35' : 'transparent'}`, md: 'none' },
  fontWeight: on ? 650 : 400,
  '&:focus-visible': { outline: '2px solid #fff', outlineOffset: -3 },
  '&:hover': { color: '#fff' },
})

/** The six places and the settings, always in reach: down the side, or along the foot of a phone. */
export function Rail() {
  const path = usePathname()
  return (
    <Box component="nav" aria-label="Places" sx={railSx}>
      <Box sx={{ display: { xs: 'none', md: 'flex' }, justifyContent: 'center', pt: 1.5, pb: 1 }}>
        <Sign />
      </Box>
      {PLACES.map((place) => {
        const on = path.startsWith(place.href) || ('also' in place && path.startsWith(place.also))
        return (
          <Box component={Link} key={place.href} href={place.href} aria-current={on ? 'page' : undefined} sx={itemSx(on)}>
            <Mark name={place.name} />
            <span>{place.label}</span>
          </Box>
        )
      })}
    </Box>
  )
}

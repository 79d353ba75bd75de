'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { Anvil, BookOpen, ClipboardList, Inbox, Ruler, SlidersHorizontal } from 'lucide-react'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { AnvilSign } from '../signs/anvil-sign'
import { SheetSign } from '../signs/sheet-sign'
import { PALETTE } from '../theme/palette'
import { PageLink } from './page-link'

interface Place {
  readonly href: string
  readonly label: string
  readonly sign: ReactNode
  readonly also?: string
}

const ICON = { size: 22, strokeWidth: 1.7, 'aria-hidden': true } as const

const PLACES: readonly Place[] = [
  { href: '/bench', label: 'Bench', sign: <Anvil {...ICON} /> },
  { href: '/jobs', label: 'Jobs', sign: <ClipboardList {...ICON} />, also: '/pieces' },
  { href: '/layout', label: 'Layout', sign: <SheetSign /> },
  { href: '/drawer', label: 'Drawer', sign: <Inbox {...ICON} /> },
  { href: '/book', label: 'Book', sign: <BookOpen {...ICON} /> },
  { href: '/tables', label: 'Tables', sign: <Ruler {...ICON} /> },
  { href: '/settings', label: 'Settings', sign: <SlidersHorizontal {...ICON} /> },
]

/** A place is so long a division of the rule, px. */
const DIVISION_PX = 72

/** Graduations cut into an edge: eight to a division, the division's own the longest. */
function graduations(direction: 'to bottom' | 'to right', long: number, short: number): object {
  const line = (period: string) => `repeating-linear-gradient(${direction}, ${PALETTE.ruleLine} 0 1px, transparent 1px ${period})`
  const down = direction === 'to bottom'
  return {
    backgroundImage: `${line(`${DIVISION_PX}px`)}, ${line(`${DIVISION_PX / 8}px`)}`,
    backgroundSize: down ? `${long}px 100%, ${short}px 100%` : `100% ${long}px, 100% ${short}px`,
    backgroundPosition: down ? 'right top' : 'left top',
    backgroundRepeat: 'no-repeat',
  }
}

const railSx = {
  bgcolor: PALETTE.rule,
  color: PALETTE.ruleInk,
  display: 'flex',
  flexShrink: 0,
  zIndex: 5,
  flexDirection: { xs: 'row', md: 'column' },
  width: { xs: '100%', md: 88 },
  position: { xs: 'fixed', md: 'sticky' },
  left: 0,
  right: 0,
  overflow: 'hidden',
  bottom: { xs: 0, md: 'auto' },
  top: { md: 0 },
  height: { xs: 60, md: '100vh' },
  borderRight: { md: `1px solid ${PALETTE.ruleLine}` },
  borderTop: { xs: `1px solid ${PALETTE.ruleLine}`, md: 'none' },
}

/** The scribed line of the place one is at, with the punch mark it ends in. */
const hereSx = {
  '&::before': {
    content: '""',
    position: 'absolute',
    left: { xs: '50%', md: 0 },
    right: { xs: 'auto', md: 0 },
    top: { xs: 0, md: '100%' },
    width: { xs: 2, md: 'auto' },
    height: { xs: 9, md: 2 },
    mt: { md: '-1px' },
    bgcolor: PALETTE.verdigris,
  },
  '&::after': {
    content: '""',
    position: 'absolute',
    right: { xs: 'auto', md: 3 },
    left: { xs: 'calc(50% - 3px)', md: 'auto' },
    top: { xs: 6, md: 'calc(100% - 4px)' },
    width: 8,
    height: 8,
    borderRadius: '50%',
    bgcolor: PALETTE.verdigris,
  },
}

const itemSx = (on: boolean) => ({
  position: 'relative',
  color: on ? PALETTE.verdigris : PALETTE.ruleInk,
  fontSize: { xs: 12, md: 13.5 },
  minWidth: 0,
  flex: { xs: 1, md: 'none' },
  display: 'flex',
  flexDirection: 'column',
  alignItems: { xs: 'center', md: 'flex-start' },
  justifyContent: 'center',
  gap: 0.25,
  pl: { md: 1.75 },
  height: { xs: 60, md: DIVISION_PX },
  fontWeight: on ? 700 : 500,
  '&:hover': { color: PALETTE.verdigris },
  ...(on ? hereSx : {}),
})

/** The places as divisions of a steel rule, always in reach: down the side, or along the foot of a phone. */
export function Rail() {
  const path = usePathname()
  return (
    <Box component="nav" aria-label="Places" sx={railSx}>
      <Box
        sx={{ display: { xs: 'none', md: 'flex' }, alignItems: 'center', pl: 1.5, height: DIVISION_PX, ...graduations('to bottom', 22, 8) }}
      >
        <AnvilSign />
      </Box>
      <Box
        sx={{
          display: 'flex',
          flex: 1,
          flexDirection: { xs: 'row', md: 'column' },
          ...Object.fromEntries(
            Object.entries(graduations('to bottom', 22, 8)).map(([name, value]) => [
              name,
              { xs: (graduations('to right', 14, 6) as Record<string, string>)[name], md: value },
            ]),
          ),
        }}
      >
        {PLACES.map(({ href, label, sign, also }) => {
          const on = path.startsWith(href) || (also !== undefined && path.startsWith(also))
          return (
            <ButtonBase component={PageLink} key={href} href={href} aria-current={on ? 'page' : undefined} sx={itemSx(on)}>
              {sign}
              <span>{label}</span>
            </ButtonBase>
          )
        })}
      </Box>
    </Box>
  )
}

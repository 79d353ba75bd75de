'use client'
import Box from '@mui/material/Box'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { DemoBanner } from './demo-banner'
import { Rail } from './rail'
import { WorkshopProvider, type WorkshopView } from './workshop-context'

/** Rail, banner and page; a tray at the bench takes the whole screen. */
export function Frame({ demo, view, children }: { readonly demo: boolean; readonly view: WorkshopView; readonly children: ReactNode }) {
  const path = usePathname()
  if (/^\/bench\/\d+/.test(path)) return <WorkshopProvider value={view}>{children}</WorkshopProvider>
  return (
    <WorkshopProvider value={view}>
      <Box sx={{ display: 'flex', minHeight: '100vh', flexDirection: { xs: 'column', md: 'row' } }}>
        <Rail />
        <Box
          component="main"
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            flexDirection: 'column',
            pb: { xs: 7, md: 0 },
            height: { md: '100vh' },
            minHeight: { xs: '100vh', md: 0 },
            overflowY: { md: 'auto' },
          }}
        >
          {demo ? <DemoBanner /> : null}
          {children}
        </Box>
      </Box>
    </WorkshopProvider>
  )
}

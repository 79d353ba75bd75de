'use client'
import Box from '@mui/material/Box'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { ActProvider } from '../acting/act-provider'
import { KeysDialog } from '../keys/keys-dialog'
import { DatesProvider } from './dates'
import { DemoBanner } from './demo-banner'
import { NoticeProvider } from './notices'
import { Rail } from './rail'
import { WorkshopProvider, type WorkshopView } from './workshop-context'

/** Rail, banner and page; a tray at the bench takes the whole screen. */
export function Frame({ view, children }: { readonly view: WorkshopView; readonly children: ReactNode }) {
  const path = usePathname()
  const isTray = /^\/bench\/\d+/.test(path)
  return (
    <WorkshopProvider value={view}>
      <ActProvider>
        <DatesProvider>
          <NoticeProvider>
            {isTray ? children : <Places demo={view.name === 'demo'}>{children}</Places>}
            <KeysDialog />
          </NoticeProvider>
        </DatesProvider>
      </ActProvider>
    </WorkshopProvider>
  )
}

function Places({ demo, children }: { readonly demo: boolean; readonly children: ReactNode }) {
  return (
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
  )
}

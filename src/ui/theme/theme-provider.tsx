'use client'
import CssBaseline from '@mui/material/CssBaseline'
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript'
import { ThemeProvider } from '@mui/material/styles'
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter'
import { type ReactNode, useEffect } from 'react'
import { SCHEME_ATTRIBUTE, theme } from './theme'

/** Sets the scheme before anything is drawn, so that no page flashes in the other one. */
export function SchemeScript({ nonce }: { readonly nonce?: string }) {
  return <InitColorSchemeScript attribute={SCHEME_ATTRIBUTE} defaultMode="system" {...(nonce ? { nonce } : {})} />
}

export function Themed({ children }: { readonly children: ReactNode }) {
  // the page says when it answers to hands: those that drive it wait for that
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes'
  }, [])
  return (
    <AppRouterCacheProvider>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        {children}
      </ThemeProvider>
    </AppRouterCacheProvider>
  )
}

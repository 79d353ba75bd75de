'use client'
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react'
import { PALETTE } from '../theme/palette'

interface Notice {
  readonly text: string
  /** Takes back what the notice tells of. */
  readonly undo?: (() => Promise<void> | void) | undefined
}

const SHOWN_MS = 10_000

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined)

/** Says in passing what happened, with Undo where it can be taken back. */
export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext)
}

/** One notice at a time, at the foot of the page. */
export function NoticeProvider({ children }: { readonly children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null)
  const [open, setOpen] = useState(false)
  const say = useCallback((next: Notice) => {
    setNotice(next)
    setOpen(true)
  }, [])
  return (
    <NoticeContext.Provider value={say}>
      {children}
      <Snackbar
        key={notice?.text}
        open={open}
        autoHideDuration={SHOWN_MS}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') setOpen(false)
        }}
        message={notice?.text}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        action={
          notice?.undo ? (
            <Button
              variant="text"
              onClick={() => {
                setOpen(false)
                void notice.undo?.()
              }}
              sx={{ '&&': { color: PALETTE.ribbonNow } }}
            >
              Undo
            </Button>
          ) : undefined
        }
      />
    </NoticeContext.Provider>
  )
}

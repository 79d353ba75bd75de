'use client'
import Dialog, { type DialogProps } from '@mui/material/Dialog'
import { useState } from 'react'

/** A dialog that is made once it is opened: a page may have a hundred, and few are. */
export function OpenedDialog({ open, ...dialog }: DialogProps) {
  const [wasOpened, setOpened] = useState(open)
  if (open && !wasOpened) setOpened(true)
  return wasOpened ? <Dialog open={open} {...dialog} /> : null
}

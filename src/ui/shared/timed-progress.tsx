'use client'
import Box from '@mui/material/Box'
import LinearProgress from '@mui/material/LinearProgress'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'

const TICK_MS = 250

/** Work that takes so many seconds at most: how far its time has run, and how much of it is left. */
export function TimedProgress({ label, seconds }: { readonly label: string; readonly seconds: number }) {
  const [gone, setGone] = useState(0)
  useEffect(() => {
    const began = performance.now()
    const timer = setInterval(() => setGone((performance.now() - began) / 1000), TICK_MS)
    return () => clearInterval(timer)
  }, [])
  return (
    <Box sx={{ mt: 1 }}>
      <LinearProgress variant="determinate" value={Math.min(100, (100 * gone) / seconds)} aria-label={label} />
      <Typography variant="body2">{Math.max(0, Math.ceil(seconds - gone))} s left at most</Typography>
    </Box>
  )
}

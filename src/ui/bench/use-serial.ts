'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { readInstrumentLine } from '@/core/instruments'
import type { LiveReading } from './use-calipers'

/** The part of the browser’s serial interface that is used; its types ship with no library yet. */
interface Port {
  readonly readable: ReadableStream<Uint8Array> | null
  open(how: { readonly baudRate: number }): Promise<void>
  close(): Promise<void>
}
interface Serial {
  requestPort(): Promise<Port>
}
const serialOf = () => (navigator as Navigator & { readonly serial?: Serial }).serial

const BAUD = 9600
/** A figure stands still when it was sent so often within a hundredth. */
const STEADY_LINES = 3
const SAME_MM = 0.011
/** An instrument that says nothing for so long has dropped out, ms. */
const SILENT_MS = 3000

/** Calipers on a cable that send lines of text: the same live figure as any other instrument. */
export function useSerial() {
  const [reading, setReading] = useState<LiveReading | null>(null)
  const [canConnect, setCanConnect] = useState(false)
  const [problem, setProblem] = useState('')
  const port = useRef<Port>(undefined)
  useEffect(() => {
    setCanConnect(serialOf() !== undefined)
    return () => void port.current?.close().catch(() => undefined)
  }, [])
  const connect = useCallback(async () => {
    const serial = serialOf()
    if (!serial) return
    try {
      const chosen = await serial.requestPort()
      await chosen.open({ baudRate: BAUD })
      port.current = chosen
      setProblem('')
      await hear(chosen, setReading)
    } catch (error) {
      // a window that was closed without a choice is no fault
      if (!(error instanceof DOMException && error.name === 'NotFoundError')) setProblem('The calipers could not be read. Check the cable.')
    }
    setReading(null)
  }, [])
  return { reading, canConnect, connect, problem }
}

/** Reads lines until the instrument is gone; tells of each figure, and of silence. */
async function hear(port: Port, tell: (reading: LiveReading | null) => void): Promise<void> {
  const reader = port.readable?.getReader()
  if (!reader) return
  const decoder = new TextDecoder()
  const recent: number[] = []
  let rest = ''
  let silence: ReturnType<typeof setTimeout> | undefined
  for (;;) {
    clearTimeout(silence)
    silence = setTimeout(() => tell(null), SILENT_MS)
    const { value, done } = await reader.read()
    if (done) break
    const lines = (rest + decoder.decode(value, { stream: true })).split(/[\r\n]+/)
    rest = lines.pop() ?? ''
    for (const valueMm of lines.flatMap((line) => readInstrumentLine(line) ?? [])) {
      recent.push(valueMm)
      if (recent.length > STEADY_LINES) recent.shift()
      const steady = recent.length === STEADY_LINES && Math.max(...recent) - Math.min(...recent) < SAME_MM
      tell({ valueMm, steady, instrument: 'serial-calipers', title: 'Calipers' })
    }
  }
  clearTimeout(silence)
}

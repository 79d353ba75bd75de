'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { readInstrumentLine, readTemperatureLine } from '@/core/instruments'

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
/** A figure stands still when it was sent so often, as good as the same. */
const STEADY_LINES = 3
/** An instrument that says nothing for so long has dropped out, ms. */
const SILENT_MS = 3000

/** An instrument on a cable that sends lines of text: how its figure is read out of one, and how near two of them are the same. */
export interface LineInstrument {
  readonly read: (line: string) => number | undefined
  readonly sameWithin: number
  /** Said where it cannot be read. */
  readonly fault: string
}

export const CALIPERS_ON_CABLE: LineInstrument = {
  read: readInstrumentLine,
  sameWithin: 0.011,
  fault: 'The calipers could not be read. Check the cable.',
}
export const THERMOMETER_ON_CABLE: LineInstrument = {
  read: readTemperatureLine,
  sameWithin: 2.1,
  fault: 'The thermometer could not be read. Check the cable.',
}

/** What an instrument on a cable shows now. `n` counts its figures: each is a new one, also where it is the same. */
export interface Shown {
  readonly value: number
  readonly steady: boolean
  readonly n: number
}

/** The live figure of an instrument on a cable; null while there is none, or it says nothing. */
export function useSerial(instrument: LineInstrument) {
  const [shown, setShown] = useState<Shown | null>(null)
  const [canConnect, setCanConnect] = useState(false)
  const [isConnected, setIsConnected] = useState(false)
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
      setIsConnected(true)
      await hear(chosen, instrument, setShown)
    } catch (error) {
      // a window that was closed without a choice is no fault
      if (!(error instanceof DOMException && error.name === 'NotFoundError')) setProblem(instrument.fault)
    }
    setIsConnected(false)
    setShown(null)
  }, [instrument])
  return { shown, isConnected, canConnect, connect, problem }
}

/** Reads lines until the instrument is gone; tells of each figure, and of silence. */
async function hear(port: Port, { read, sameWithin }: LineInstrument, tell: (shown: Shown | null) => void): Promise<void> {
  const reader = port.readable?.getReader()
  if (!reader) return
  const decoder = new TextDecoder()
  const recent: number[] = []
  let rest = ''
  let n = 0
  let silence: ReturnType<typeof setTimeout> | undefined
  for (;;) {
    clearTimeout(silence)
    silence = setTimeout(() => tell(null), SILENT_MS)
    const { value, done } = await reader.read()
    if (done) break
    const lines = (rest + decoder.decode(value, { stream: true })).split(/[\r\n]+/)
    rest = lines.pop() ?? ''
    for (const figure of lines.flatMap((line) => read(line) ?? [])) {
      recent.push(figure)
      if (recent.length > STEADY_LINES) recent.shift()
      const steady = recent.length === STEADY_LINES && Math.max(...recent) - Math.min(...recent) < sameWithin
      n++
      tell({ value: figure, steady, n })
    }
  }
  clearTimeout(silence)
}

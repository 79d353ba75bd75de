'use client'
import { useRef, useState } from 'react'
import { randomText } from '../shared/random-text'

/** A part is well under what the door lets through at once. */
const PART_BYTES = 2 * 1024 * 1024

/** How far a file has come, and how long the rest will take as it has gone so far. */
export interface Coming {
  readonly share: number
  readonly secondsLeft: number | null
}

interface Brought {
  readonly file: string | null
}

/** Brings a file in part by part: how far it is, and a way to call it off. */
export function useBringing(onThere: (file: string) => void) {
  const [coming, setComing] = useState<Coming | null>(null)
  const [problem, setProblem] = useState('')
  const off = useRef<AbortController>(undefined)

  async function sendPart(file: File, id: string, from: number, signal: AbortSignal): Promise<Brought> {
    const address = `/api/backups?id=${id}&from=${from}&size=${file.size}`
    const answer = await fetch(address, { method: 'POST', body: await file.slice(from, from + PART_BYTES).arrayBuffer(), signal })
    const said = (await answer.json()) as Brought | { error: { message: string } }
    if ('error' in said) throw new Error(said.error.message)
    return said
  }

  async function bring(file: File): Promise<void> {
    const id = randomText(20).toLowerCase()
    off.current = new AbortController()
    const began = performance.now()
    setProblem('')
    setComing({ share: 0, secondsLeft: null })
    try {
      for (let from = 0; from < Math.max(1, file.size); from += PART_BYTES) {
        const { file: there } = await sendPart(file, id, from, off.current.signal)
        const share = Math.min(1, (from + PART_BYTES) / file.size)
        setComing({ share, secondsLeft: ((performance.now() - began) / 1000) * (1 / share - 1) })
        if (there) onThere(there)
      }
    } catch (error) {
      const isCalledOff = off.current.signal.aborted
      setProblem(isCalledOff ? 'Called off; nothing was kept of it.' : error instanceof Error ? error.message : String(error))
      void fetch(`/api/backups?id=${id}`, { method: 'DELETE' }).catch(() => undefined)
    }
    setComing(null)
  }
  return { coming, problem, bring, callOff: () => off.current?.abort() }
}

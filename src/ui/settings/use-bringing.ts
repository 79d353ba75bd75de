'use client'
import { useRef, useState } from 'react'
import type { UnderWay } from '@/server/long/under-way'
import { useUnderWay } from '../shared/use-under-way'

/** A part is well under what the door lets through at once. */
const PART_BYTES = 2 * 1024 * 1024

interface Brought {
  readonly file: string | null
  readonly said?: string
}

/** Brings a file in part by part: how far it is, and a way to call it off. */
export function useBringing(onThere: (file: string, words: string) => void) {
  const [coming, setComing] = useState<UnderWay | null>(null)
  const { told, wait, callOff } = useUnderWay()
  const [problem, setProblem] = useState('')
  const off = useRef<AbortController>(undefined)

  async function sendPart(file: File, id: string, from: number, signal: AbortSignal): Promise<Brought> {
    const address = `/api/backups?id=${id}&from=${from}&size=${file.size}`
    const answer = await fetch(address, { method: 'POST', body: await file.slice(from, from + PART_BYTES).arrayBuffer(), signal })
    const said = (await answer.json()) as Brought | { error: { message: string } }
    if ('error' in said) throw new Error(said.error.message)
    return said
  }

  async function sendAll(file: File, id: string, signal: AbortSignal): Promise<{ file: string; said: string }> {
    const began = performance.now()
    for (let from = 0; from < Math.max(1, file.size); from += PART_BYTES) {
      const share = Math.min(1, from / file.size)
      const secondsLeft = share > 0 ? ((performance.now() - began) / 1000) * (1 / share - 1) : null
      setComing(from + PART_BYTES < file.size ? { step: 'Copying it in', share, secondsLeft } : null)
      const { file: there, said = '' } = await sendPart(file, id, from, signal)
      if (there) return { file: there, said }
    }
    throw new Error('A part of the file is missing; start again.')
  }

  async function bring(file: File): Promise<void> {
    const left = new AbortController()
    off.current = left
    setProblem('')
    await wait(async (id) => {
      try {
        const there = await sendAll(file, id, left.signal)
        onThere(there.file, there.said)
      } catch (error) {
        setProblem(left.signal.aborted ? 'Called off; nothing was kept of it.' : error instanceof Error ? error.message : String(error))
        void fetch(`/api/backups?id=${id}`, { method: 'DELETE' }).catch(() => undefined)
      }
    })
    setComing(null)
  }

  function stop(): void {
    callOff()
    off.current?.abort()
  }
  return { coming: coming ?? told, problem, bring, callOff: stop }
}

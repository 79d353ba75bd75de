'use client'
import { useEffect, useState } from 'react'
import { agentOfStep, benchChemistry } from '@/core/chemistry'
import type { BenchStepView, BenchTrayView } from './tray-view'

const LOOK_MS = 15_000

/** Why a step is not begun now: what stands open on the bench for another tray must not meet what it is done with. Empty where nothing stands against it. */
export function useChemistry(beside: BenchTrayView['beside'], step: BenchStepView | null): string {
  const [now, setNow] = useState('')
  useEffect(() => {
    const look = () => setNow(new Date().toISOString())
    look()
    const timer = setInterval(look, LOOK_MS)
    return () => clearInterval(timer)
  }, [])
  const own = step && agentOfStep(step)
  if (!own || now === '') return ''
  for (const { agent, tray, until } of beside) {
    const clash = until > now && benchChemistry([own, agent]).find(({ code }) => code === 'forbidden-chemistry')
    if (clash) return `${tray}: ${clash.message} Finish that one and put it away first.`
  }
  return ''
}

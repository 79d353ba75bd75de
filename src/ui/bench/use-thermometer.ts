'use client'
import { useEffect, useRef, useState } from 'react'
import { HEAT_BEGUN, type HeatGoal, type HeatRun, nextHeat, PRACTICE_BEGINS_C, type ThermometerFault, warmed } from '@/core/instruments'
import { THERMOMETER_ON_CABLE, useSerial } from './use-serial'

/** The stand-in is read so often; so much of the heat goes by at each of its readings, s. */
const EVERY_MS = 250
export const PRACTICE_S: Readonly<Record<HeatGoal['by'], number>> = { torch: 2, kiln: 60 }

/** A heat watched by a thermometer: one on a cable, or where practice is on the stand-in over a piece that warms as such a piece does. */
export function useThermometer(goal: HeatGoal, practice: boolean) {
  const [isOn, setIsOn] = useState(false)
  const [run, setRun] = useState<HeatRun>(HEAT_BEGUN)
  const [fault, setFault] = useState<ThermometerFault>()
  const [problem, setProblem] = useState('')
  const serial = useSerial(THERMOMETER_ON_CABLE)
  const trueC = useRef(PRACTICE_BEGINS_C)
  const isCabled = serial.shown !== null
  const lastMs = useRef<number>(undefined)
  const now = useRef({ isOn, fault })
  now.current = { isOn, fault }

  // a figure of the cable stands for the time since the one before
  const { shown } = serial
  useEffect(() => {
    if (!shown) return
    const atMs = performance.now()
    const seconds = lastMs.current === undefined ? 0 : (atMs - lastMs.current) / 1000
    lastMs.current = atMs
    if (now.current.isOn) setRun((was) => nextHeat(goal, was, shown.value, seconds))
  }, [shown, goal])

  const isPractised = practice && !isCabled
  const isCold = !isOn && run.seconds === 0
  useEffect(() => {
    if (!isPractised || isCold) return
    let isReading = false
    const read = async () => {
      if (isReading) return
      isReading = true
      const { isOn: on, fault: wrong } = now.current
      trueC.current = warmed(trueC.current, goal, on, PRACTICE_S[goal.by])
      const asked = new URLSearchParams({ true: trueC.current.toFixed(1), ...(wrong ? { fault: wrong } : {}) })
      const answer = await fetch(`/api/instruments/thermometer?${asked}`).catch(() => undefined)
      isReading = false
      if (!answer?.ok) return setProblem('The thermometer is not responding. Go by the colour of the metal.')
      setProblem('')
      const { tempC } = (await answer.json()) as { readonly tempC: number | null }
      if (now.current.isOn) setRun((was) => nextHeat(goal, was, tempC, PRACTICE_S[goal.by]))
      else setRun((was) => ({ ...was, lastC: tempC ?? was.lastC }))
    }
    const timer = setInterval(() => void read(), EVERY_MS)
    return () => clearInterval(timer)
  }, [isPractised, isCold, goal])

  return {
    isOn,
    run,
    fault,
    problem: problem || serial.problem,
    isCabled,
    canConnect: serial.canConnect && !isCabled,
    connect: serial.connect,
    practise: (kind: ThermometerFault) => setFault(fault === kind ? undefined : kind),
    begin: () => {
      setFault(undefined)
      setIsOn(true)
    },
    end: () => setIsOn(false),
  }
}

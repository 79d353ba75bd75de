'use client'
import { type Dispatch, type SetStateAction, useEffect, useRef, useState } from 'react'
import { HEAT_BEGUN, type HeatGoal, type HeatRun, nextHeat, PRACTICE_BEGINS_C, type ThermometerFault, warmed } from '@/core/instruments'
import { THERMOMETER_ON_CABLE, useSerial } from './use-serial'

/** The stand-in is read so often; so much of the heat goes by at each of its readings, s. */
const EVERY_MS = 250
/** A cable that says nothing is a reading of nothing each time. */
const SILENT_MS = 1000
const MOST_BETWEEN_S = 3
/** Colder than this a practice piece is looked at no longer, °C. */
const COOL_C = 40
export const PRACTICE_S: Readonly<Record<HeatGoal['by'], number>> = { torch: 2, kiln: 60 }

/** What the stand-in shows over something so hot, null where it shows nothing; undefined where no answer comes. */
async function askStandIn(trueC: number, fault: ThermometerFault | undefined): Promise<number | null | undefined> {
  const asked = new URLSearchParams({ true: trueC.toFixed(1), ...(fault ? { fault } : {}) })
  const answer = await fetch(`/api/instruments/thermometer?${asked}`).catch(() => undefined)
  return answer?.ok ? ((await answer.json()) as { readonly tempC: number | null }).tempC : undefined
}

interface StandIn {
  readonly isUsed: boolean
  readonly isOn: boolean
  readonly fault: ThermometerFault | undefined
  /** Told of each reading, null where it shows nothing; undefined where no answer comes. */
  readonly tell: (tempC: number | null | undefined, isOn: boolean) => void
}

/** The stand-in over a piece that warms under its heat and cools without it: read until it is cold again. */
function useStandIn(goal: HeatGoal, standIn: StandIn): void {
  const now = useRef(standIn)
  now.current = standIn
  const trueC = useRef(PRACTICE_BEGINS_C)
  const [isWarm, setIsWarm] = useState(false)
  const { isUsed, isOn } = standIn
  useEffect(() => {
    if (isOn) setIsWarm(true)
  }, [isOn])
  useEffect(() => {
    if (!isUsed || !isWarm) return
    let isReading = false
    const read = async () => {
      if (isReading) return
      isReading = true
      trueC.current = warmed(trueC.current, goal, now.current.isOn, PRACTICE_S[goal.by])
      const tempC = await askStandIn(trueC.current, now.current.fault)
      isReading = false
      now.current.tell(tempC, now.current.isOn)
      if (!now.current.isOn && trueC.current < COOL_C) setIsWarm(false)
    }
    const timer = setInterval(() => void read(), EVERY_MS)
    return () => clearInterval(timer)
  }, [isUsed, isWarm, goal])
}

/** A thermometer on a cable: each of its figures stands for the time since the one before, and its silence for readings of nothing. */
function useCable(goal: HeatGoal, isOn: boolean, setRun: Dispatch<SetStateAction<HeatRun>>) {
  const serial = useSerial(THERMOMETER_ON_CABLE)
  const { shown, isConnected } = serial
  const lastMs = useRef<number>(undefined)
  useEffect(() => {
    if (!shown) return
    const atMs = performance.now()
    // what was not seen is not counted as seen
    const seconds = lastMs.current === undefined ? 0 : Math.min(MOST_BETWEEN_S, (atMs - lastMs.current) / 1000)
    lastMs.current = atMs
    if (isOn) setRun((was) => nextHeat(goal, was, shown.value, seconds))
  }, [shown, goal, isOn, setRun])
  const isSilent = isConnected && isOn && !shown
  useEffect(() => {
    if (!isSilent) return
    const timer = setInterval(() => setRun((was) => nextHeat(goal, was, null, SILENT_MS / 1000)), SILENT_MS)
    return () => clearInterval(timer)
  }, [isSilent, goal, setRun])
  return serial
}

/** A heat watched by a thermometer: one on a cable, or where practice is on the stand-in. */
export function useThermometer(goal: HeatGoal, practice: boolean) {
  const [isOn, setIsOn] = useState(false)
  const [run, setRun] = useState<HeatRun>(HEAT_BEGUN)
  const [fault, setFault] = useState<ThermometerFault>()
  const [problem, setProblem] = useState('')
  const serial = useCable(goal, isOn, setRun)
  const isCabled = serial.isConnected
  useStandIn(goal, {
    isUsed: practice && !isCabled,
    isOn,
    fault,
    tell: (tempC, isHeated) => {
      setProblem(tempC === undefined ? 'The thermometer is not responding. Go by the colour of the metal.' : '')
      if (tempC === undefined) return
      setRun((was) => (isHeated ? nextHeat(goal, was, tempC, PRACTICE_S[goal.by]) : { ...was, lastC: tempC ?? was.lastC }))
    },
  })
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

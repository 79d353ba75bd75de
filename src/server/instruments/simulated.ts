import { setTimeout as wait } from 'node:timers/promises'
import { readCaliper, readScale, readSupply, readThermometer, STAND_IN_CALIPERS, zeroDrift } from '@/core/instruments'
import type { CurrentSupply, LengthInstrument, Scale, Thermometer } from './instrument'

const INTERVAL_MS = 300
/** How far pieces scatter about what was aimed at, and how a hand holds the jaws (house model, low). */
const PIECE_SCATTER_MM = 0.06
const HAND_SCATTER_MM = 0.008
const STEADY_AFTER = 3
/** One step of the display. */
const CALIPER_STEP_MM = 0.01
const SCALE_STEP_G = 0.01

/** Its zero is right when the program begins. */
const BEGAN_MS = Date.now()

/** Stands in for calipers with a cable: a piece near the size asked for, jaws closing, then a steady figure with the hand's noise and a zero that wanders. */
export const simulatedCalipers: LengthInstrument = {
  id: STAND_IN_CALIPERS,
  title: 'Calipers (simulated)',
  async *readings({ nearMm, isExact, zeroedAtMs = BEGAN_MS }, signal) {
    const trueMm = isExact ? nearMm : nearMm + (Math.random() * 2 - 1) * PIECE_SCATTER_MM
    for (let n = 0; !signal.aborted; n++) {
      const opening = n < STEADY_AFTER ? (STEADY_AFTER - n) * 0.9 : 0
      const valueMm = readCaliper(
        { trueMm: trueMm + opening, handSdMm: HAND_SCATTER_MM, zeroErrorMm: zeroDrift(Date.now() - zeroedAtMs, CALIPER_STEP_MM) },
        Math.random,
      )
      yield { valueMm, at: new Date().toISOString(), steady: n >= STEADY_AFTER }
      try {
        await wait(INTERVAL_MS, undefined, { signal })
      } catch {
        return
      }
    }
  },
}

/** How far a jar is from what the book says of it, and how a weighing scatters (house model, low). */
const JAR_SCATTER = 0.01
const SCALE_NOISE_G = 0.01

/** Stands in for a bench scale: about what the book says of the jar, with the losses and slips of a workshop and a zero that wanders. */
export const simulatedScale: Scale = {
  id: 'simulated-scale',
  title: 'Scale (simulated)',
  weigh: ({ nearG, isExact, zeroedAtMs = BEGAN_MS }) => {
    const trueG = isExact ? nearG : nearG * (1 + (Math.random() * 2 - 1) * JAR_SCATTER)
    return readScale({ trueG, noiseG: SCALE_NOISE_G, zeroErrorG: zeroDrift(Date.now() - zeroedAtMs, SCALE_STEP_G) }, Math.random)
  },
}

/** Stands in for a bench supply with an ammeter: about the current it is set to, and the fault that was put in. */
export const simulatedSupply: CurrentSupply = {
  id: 'simulated-supply',
  title: 'Etching supply (simulated)',
  read: (set) => readSupply(set, Math.random),
}

/** Stands in for a thermocouple on the work or in the kiln: about how hot it is there, with slips and the fault that was put in. */
export const simulatedThermometer: Thermometer = {
  id: 'simulated-thermometer',
  title: 'Thermometer (simulated)',
  read: (under) => readThermometer(under, Math.random),
}

/** Instruments that only stand in for real ones. */
export const simulatedIds: ReadonlySet<string> = new Set([simulatedCalipers.id])

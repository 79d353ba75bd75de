import type { SupplyModel, SupplyReading, ThermometerModel } from '@/core/instruments'

/** One value shown by a measuring instrument. */
export interface InstrumentReading {
  readonly valueMm: number
  readonly at: string
  /** Whether the value has stood still long enough to be taken. */
  readonly steady: boolean
}

/** What is between the jaws: a piece about so large, or a check piece that is exactly so large; and when their zero was set, where that is known. */
export interface BetweenJaws {
  readonly nearMm: number
  readonly isExact: boolean
  readonly zeroedAtMs?: number | undefined
}

/** What a length-measuring instrument offers the bench; a real one and a stand-in look the same from here. */
export interface LengthInstrument {
  readonly id: string
  readonly title: string
  /** Streams readings until the signal aborts. What is between the jaws is told to a stand-in. */
  readonly readings: (jaws: BetweenJaws, signal: AbortSignal) => AsyncIterable<InstrumentReading>
}

/** What lies on a pan: a thing that weighs about so much, or a check weight that weighs exactly so much; and when the zero was set, where that is known. */
export interface OnPan {
  readonly nearG: number
  readonly isExact: boolean
  readonly zeroedAtMs?: number | undefined
}

/** What a scale offers the drawer; a real one and a stand-in look the same from here. */
export interface Scale {
  readonly id: string
  readonly title: string
  /** What it shows now, g. What lies on the pan is told to a stand-in. */
  readonly weigh: (pan: OnPan) => number
}

/** What a current supply offers an etch; a real one and a stand-in look the same from here. */
export interface CurrentSupply {
  readonly id: string
  readonly title: string
  /** What its meters show now. What was set, and since when, tells a stand-in what it would show. */
  readonly read: (set: SupplyModel) => SupplyReading
}

/** What a thermometer offers a heat; a real one and a stand-in look the same from here. */
export interface Thermometer {
  readonly id: string
  readonly title: string
  /** What it shows now, °C; null where it shows nothing. What is under its couple tells a stand-in what it would show. */
  readonly read: (under: ThermometerModel) => number | null
}
